import { GROUNDS, MADE, parseColour, TAKEN, type SupplySwatch } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { useFactsChange } from '../api/useSupplyChange';
import { ColourWays } from '../colour/ColourWays';
import type { TakenColour } from '../colour/taken';
import { ChoiceField } from '../form/bound';
import { useAsk } from '../form/useAsk';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Input } from '../ui/Input';

const takenColour = z.object({
  hex: z.string(),
  taken: z.enum(TAKEN),
  spread: z.number().optional(),
  others: z.array(z.string()).optional(),
});

interface Swatched {
  readonly swatch: Pick<SupplySwatch, 'made' | 'ground' | 'hex' | 'taken' | 'spread'>;
  /** Other colours of a patterned thing. */
  readonly others: readonly string[];
}

/** A swatch as it is said: on what, how, and its colour, taken in one of the ways or typed. */
const swatchSaid = z
  .object({
    made: z.enum(MADE),
    ground: z.enum(GROUNDS),
    typed: z.string(),
    taken: takenColour.nullable(),
  })
  .transform(({ made, ground, typed, taken }, context): Swatched => {
    const said = parseColour(typed);
    const picked = taken ?? (said.ok ? { hex: said.hex, taken: 'typed' as const } : null);
    if (!picked) {
      const message = 'Take the colour first: type a hex, or use one of the ways.';
      context.addIssue({ code: 'custom', path: ['typed'], message });
      return z.NEVER;
    }
    const spread = taken?.spread === undefined ? {} : { spread: Number(taken.spread.toFixed(2)) };
    return {
      swatch: { made, ground, hex: picked.hex, taken: picked.taken, ...spread },
      others: taken?.others ?? [],
    };
  });

const USUALLY: Readonly<Record<string, (typeof MADE)[number]>> = { ink: 'stamped', marker: 'drawn' };
const MOST_OTHERS = 8;

/** A swatch being made: kept as the true colour, or beside it. */
export function NewSwatch({ supply, onDone }: { readonly supply: SupplyView; readonly onDone: () => void }) {
  const ask = useAsk(`swatch.${supply.id}`, swatchSaid, {
    made: USUALLY[supply.kind] ?? 'as bought',
    ground: 'white',
    typed: '',
    taken: null,
  });
  const change = useFactsChange(supply);
  const leave = (): void => {
    ask.clear();
    onDone();
  };
  const save = (isTrue: boolean): void =>
    ask.submit(({ swatch: said, others }) => {
      const { facts } = supply;
      const swatch = { id: Date.now().toString(36), ...said, on: format(new Date(), 'yyyy-MM-dd') };
      const known = [...new Set([...(facts.otherHexes ?? []), ...others])].slice(0, MOST_OTHERS);
      return change
        .mutateAsync({
          ...facts,
          swatches: [...(facts.swatches ?? []), swatch],
          ...(isTrue ? { trueSwatch: swatch.id, lidColour: false } : {}),
          ...(others.length > 0 ? { otherHexes: known } : {}),
        })
        .then(onDone);
    });
  const { taken, typed } = ask.said;
  const hex = taken?.hex ?? supply.hex;
  const take = ({ others, ...colourTaken }: TakenColour): void =>
    ask.set('taken', { ...colourTaken, ...(others ? { others: [...others] } : {}) });
  return (
    <View style={styles.box}>
      <ChoiceField control={ask.control} name="made" label="Made" options={MADE} />
      <ChoiceField control={ask.control} name="ground" label="On" options={GROUNDS} />
      <View style={styles.row}>
        <View style={[styles.swatch, { backgroundColor: hex }]} aria-hidden />
        <Input
          label="Swatch colour"
          value={taken ? taken.hex : typed}
          onChange={(text) => {
            ask.set('taken', null);
            ask.set('typed', text);
          }}
          error={ask.wrong('typed')}
          hint={taken ? `from ${taken.taken}` : 'a hex, or take it below'}
        />
      </View>
      <ColourWays hex={hex} onTake={take} start="Reader" />
      <View style={styles.row}>
        <Button label="Keep as the true colour" main busy={change.isPending} onPress={() => save(true)} />
        <Button label="Keep beside" busy={change.isPending} onPress={() => save(false)} />
        <Button label="Cancel" onPress={leave} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center', minHeight: TOUCH },
  swatch: {
    width: TOUCH,
    height: TOUCH,
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
});
