import { formFor, isCutToSize, isWorthKeeping, remainsOf, type FlatSize } from '@red-shelf/core';
import { stockRequest, type HoldingView, type StockRequestBody, type SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { usePreferences } from '../api/queries';
import { useChange } from '../api/useChange';
import { sayLength, type Units } from '../copy/measure';
import { onePart } from '../copy/parts';
import { AMOUNT_SHORT, readAmount } from '../form/amount';
import { measure, twoSides, typedOr } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { HeldForChoice, useHeldFor } from '../row/HeldForChoice';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Field } from '../ui/Field';
import { Txt } from '../ui/Txt';

interface UsedAskProps {
  readonly supply: SupplyView;
  readonly lot: HoldingView;
  readonly onDone: () => void;
}

/** What stays of a thing, by its kind: of ribbon a length, of card two sides, of a sticker sheet a share of it. */
type Staying = 'length' | 'sides' | 'share' | null;

function stayingOf(supply: SupplyView, lot: HoldingView): Staying {
  const form = formFor(supply);
  if (lot.as === 'base' || lot.as === 'pack' || !form.parts) return null;
  if (form.counting === 'length') return 'length';
  return isCutToSize(supply) ? 'sides' : 'share';
}

const SHARES = [
  ['nothing', 0],
  ['three quarters', 0.75],
  ['half', 0.5],
  ['a quarter', 0.25],
] as const;

/** What was used of a thing in hand, in its own unit; a piece that stays is kept, or goes to the bin by the person's own limits. */
export function UsedAsk({ supply, lot, onDone }: UsedAskProps) {
  const { units, keepFromUm } = usePreferences().preferences;
  const [share, setShare] = useState(0);
  const [against, setAgainst] = useState(false);
  const staying = stayingOf(supply, lot);
  const heldFor = useHeldFor(supply, true);
  const write = useChange((body: StockRequestBody) => order(routes.actOnSupply, { id: supply.id, body }));
  const said = usedSaid(supply, lot, staying, units);
  const ask = useAsk(`used.${lot.id}`, said, { used: startText(supply, lot), stays: '' });
  const read = said.safeParse(ask.said).data;
  const stays = staying === 'share' && share > 0 ? remainsOf(supply, { share }) : (read?.stays ?? null);
  const worth = stays !== null && (staying === 'length' || isWorthKeeping(stays, keepFromUm));
  const keeps = stays !== null && worth !== against;
  const submit = (): void =>
    ask.submit(async ({ used, stays: typed }) => {
      const piece = staying === 'share' && share > 0 ? remainsOf(supply, { share }) : typed;
      const kept = piece !== null && keeps ? piece : null;
      const body = stockRequest.safeParse(bodyOf(lot, staying, used, kept));
      if (!body.success) {
        // What is too much to be written stands at its field, in the contract's own sentence.
        const [wrong] = body.error.issues;
        ask.refuse(wrong?.path[0] === 'pieces' ? 'stays' : 'used', wrong?.message ?? '');
        return false;
      }
      await write.mutateAsync(lot.as === 'whole' ? { ...body.data, ...heldFor.said } : body.data);
      onDone();
      return true;
    });
  return (
    <View style={styles.box} role="form" aria-label={`What was used of ${supply.name}`}>
      <View style={styles.row}>
        <View style={styles.field}>
          <Field
            control={ask.control}
            name="used"
            label={lot.as === 'whole' ? AMOUNT_SHORT[formFor(supply).counting] : 'How many'}
            says={`How much was used of ${supply.name}`}
            hint={staying === 'length' && lot.as === 'whole' ? '80 cm' : ''}
            onSubmit={submit}
          />
        </View>
        {(staying === 'length' || staying === 'sides') && (
          <View style={styles.field}>
            <Field
              control={ask.control}
              name="stays"
              label={staying === 'length' ? 'And a remnant of' : 'And a piece stays'}
              says={`A piece of ${supply.name} that stays`}
              hint={staying === 'length' ? '30 cm; may stay empty' : '11 × 6 cm; may stay empty'}
              onSubmit={submit}
            />
          </View>
        )}
      </View>
      {staying === 'share' && (
        <View style={styles.row} role="radiogroup" aria-label="How much is left of the last one">
          {SHARES.map(([label, of]) => (
            <Chip key={label} label={`${label} left`} on={of === share} onPress={() => setShare(of)} />
          ))}
        </View>
      )}
      {lot.as === 'whole' && <HeldForChoice asked={heldFor} />}
      {stays !== null && (
        <View style={styles.row}>
          <Txt look="quiet" style={styles.words}>
            {worth
              ? `Worth keeping as ${onePart('scrap', supply.kind)}.`
              : `Below your own limit of ${sayLength(keepFromUm, units)}: to the bin.`}
          </Txt>
          <Chip
            many
            label={worth ? 'bin it all the same' : 'keep it all the same'}
            on={against}
            onPress={() => setAgainst(!against)}
          />
        </View>
      )}
      <View style={styles.row}>
        <Button
          label="Note it"
          says={`Note what was used of ${supply.name}`}
          main
          busy={write.isPending}
          onPress={submit}
        />
        <Button label="Not now" says={`Say nothing of ${supply.name} now`} onPress={onDone} />
      </View>
    </View>
  );
}

/** Of what is counted one is the usual answer. */
const startText = (supply: SupplyView, lot: HoldingView): string =>
  lot.as === 'whole' && formFor(supply).counting === 'length' ? '' : '1';

const usedSaid = (supply: SupplyView, lot: HoldingView, staying: Staying, units: Units) =>
  z.object({
    used: z.string().transform((text, context): number => {
      const form = formFor(supply);
      const counted = lot.as === 'whole' ? form : { ...form, counting: 'pieces' as const };
      const read = readAmount(text, 'full', counted);
      const amount = !read.ok
        ? 0
        : form.counting === 'fill' && lot.as === 'whole'
          ? read.count.items
          : read.count.left;
      if (read.ok && amount > 0) return amount;
      context.addIssue({
        code: 'custom',
        message: read.ok ? 'Nothing is not an amount; give something above 0.' : read.message,
      });
      return z.NEVER;
    }),
    stays: typedOr<FlatSize | null, FlatSize | null>(null, (text) => {
      if (staying !== 'length') return twoSides(units, 'Write width × height, such as 11 × 6 cm.')(text);
      const length = measure('length', units)(text);
      return length.ok ? { ok: true, value: remainsOf(supply, { lengthUm: length.value }) } : length;
    }),
  });

/** What is written: a use; or a cut, where a piece stays. Of a roll the piece is cut off with what was used. */
function bodyOf(
  lot: HoldingView,
  staying: Staying,
  used: number,
  piece: FlatSize | null,
): z.input<typeof stockRequest> {
  if (piece === null) return { act: 'use', amount: used, of: lot.as, lotId: lot.id };
  const off = staying === 'length' && lot.as === 'whole' ? piece.heightUm : 0;
  return {
    ...{ act: 'cut', amount: used + off, items: 0, left: 1, lotId: lot.id },
    pieces: [{ as: 'scrap', items: 1, sizeUm: piece }],
  };
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  field: { flexGrow: 1, flexBasis: 150 },
  words: { flexShrink: 1 },
});
