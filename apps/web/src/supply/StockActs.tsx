import { formFor, freeOf, leftInAll, isScarce, type FormDefinition } from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { useHeld } from '../api/useHeld';
import { sayHolder } from '../copy/supply';
import { forgetAll, isBegun } from '../form/draft';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { ACT_NAMES, AmountAsk, askName, type ActName } from './AmountAsk';
import { HeldForChoice, useHeldFor } from '../row/HeldForChoice';
import { PartActs } from './PartActs';
import { bottlesFor, isWeighed, RefillAsk } from './RefillAsk';

const ACTS = Object.keys(ACT_NAMES) as ActName[];
export const isActName = (word: string | undefined): word is ActName =>
  word !== undefined && word in ACT_NAMES;

/** Acts a form knows: only what runs dry can be refilled. */
const actsOf = (form: FormDefinition): ActName[] =>
  form.counting === 'fill'
    ? ['use', 'refill', 'count', 'buy', 'discard']
    : ['use', 'count', 'buy', 'discard'];

interface StockActsProps {
  readonly supply: SupplyView;
  readonly startWith: ActName | null;
}

/** Use, refill, count, buy, discard: each writes one line into the ledger. */
export function StockActs({ supply, startWith }: StockActsProps) {
  const form = formFor(supply);
  const { stash } = useStash();
  const [asking, setAsking] = useState<ActName | null>(
    () => startWith ?? ACTS.find((each) => isBegun(askName(supply, each))) ?? null,
  );
  const act = useChange((body: StockRequestBody) => order(routes.actOnSupply, { id: supply.id, body }));
  const close = () => {
    if (asking) forgetAll(askName(supply, asking));
    setAsking(null);
  };
  const heldFor = useHeldFor(supply);
  const write = (body: StockRequestBody): Promise<boolean> =>
    act.mutateAsync(body.act === 'use' ? { ...body, ...heldFor.said } : body).then(
      () => {
        close();
        return true;
      },
      () => false,
    );
  // One tap is enough where the answer is nearly always "one"; the rest asks how much.
  const press = (name: ActName) => {
    if (name === 'refill' && bottlesFor(supply, stash).length === 0 && !isWeighed(supply))
      void write({ act: 'refill' });
    else if (name === 'use' && form.counting !== 'length') void write({ act: 'use', amount: 1 });
    else {
      close();
      if (asking !== name) setAsking(name);
    }
  };
  return (
    <View style={styles.box}>
      {supply.stock.left > 0 && <HeldForChoice asked={heldFor} />}
      <View style={styles.acts}>
        {actsOf(form).map((name) => (
          <Button
            key={name}
            label={name === 'use' && form.counting !== 'length' ? 'Use one' : ACT_NAMES[name]}
            main={name === 'use'}
            onPress={() => press(name)}
          />
        ))}
      </View>
      {asking === 'refill' && <RefillAsk supply={supply} busy={act.isPending} onWrite={write} />}
      {asking && asking !== 'refill' && (
        <AmountAsk key={asking} act={asking} supply={supply} busy={act.isPending} onWrite={write} />
      )}
      <Kept supply={supply} />
      <PartActs supply={supply} heldFor={heldFor.said} />
    </View>
  );
}

/** Before more is used than is free, or of what cannot be bought again: said, never refused. */
function Kept({ supply }: { readonly supply: SupplyView }) {
  const held = useHeld(supply.id);
  const { stock } = supply;
  const names = held.map(sayHolder);
  return (
    <>
      {names.length > 0 && stock.left > 0 && freeOf(leftInAll(supply), held) === 0 && (
        <Note sort="attention">{`All that is left is put aside for ${names.join(', ')}. Using some takes it from there.`}</Note>
      )}
      {isScarce(supply) && stock.left > 0 && (
        <Note sort="attention">It cannot be bought again: use it sparingly, or find a stand-in first.</Note>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.m - 4 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
