import { colourNameOf, formFor } from '@red-shelf/core';
import { stockRequest, type StockRequestBody, type SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences, useStash, type Stash } from '../api/queries';
import { readMeasure, type Units } from '../copy/measure';
import { sayStock } from '../copy/supply';
import { ChoiceField } from '../form/bound';
import { into, measure, typedOr } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Txt } from '../ui/Txt';
import { massesOf, Weigh } from './scale/Weigh';

const NO_BOTTLE = 'not from a bottle of mine';
const BOTTLES: ReadonlySet<string> = new Set(['refill', 'drops']);

/** Bottles of the same colour name that have something left. */
export function bottlesFor(supply: SupplyView, stash: Stash | undefined): readonly SupplyView[] {
  const name = colourNameOf(supply.name);
  return (stash?.supplies ?? []).filter(
    (each) =>
      each.id !== supply.id &&
      each.kind === 'ink' &&
      BOTTLES.has(each.form) &&
      each.stock.left > 0 &&
      colourNameOf(each.name) === name,
  );
}

/** Whether its contents can be weighed: the masses empty and full are known. */
export const isWeighed = (supply: SupplyView): boolean => massesOf(supply) !== null;

const BOTH = 'Give both masses, such as 9.7 g and 12.3 g, or neither.';

/** From which bottle, and both masses or neither; mg. */
const refillSaid = (units: Units) => {
  const mass = typedOr(null, measure('mass', units));
  return z
    .object({ from: z.string(), before: mass, after: mass })
    .refine(({ before, after }) => (before === null) === (after === null), { error: BOTH, path: ['after'] })
    .transform(({ from, before: beforeMg, after: afterMg }) => ({
      act: 'refill' as const,
      ...(from === NO_BOTTLE ? {} : { fromId: from }),
      ...(beforeMg === null || afterMg === null ? {} : { weights: { beforeMg, afterMg } }),
    }))
    .transform(into(stockRequest));
};

interface RefillAskProps {
  readonly supply: SupplyView;
  readonly busy: boolean;
  readonly onWrite: (body: StockRequestBody) => Promise<boolean>;
}

/** Filled up from which bottle, and what it weighed before and after, where somebody weighs. */
export function RefillAsk({ supply, busy, onWrite }: RefillAskProps) {
  const { stash } = useStash();
  const { preferences } = usePreferences();
  const bottles = bottlesFor(supply, stash);
  const title = (bottle: SupplyView): string =>
    `${bottle.name}, ${formFor(bottle).name}: ${sayStock(bottle)}`;
  const ask = useAsk(`refill.${supply.id}`, refillSaid(preferences.units), {
    from: bottles[0]?.id ?? NO_BOTTLE,
    before: '',
    after: '',
  });
  const submit = (): void => ask.submit(onWrite);
  const [weighing, setWeighing] = useState(false);
  const from = bottles.find(({ id }) => id === ask.said.from);
  const before = readMeasure(ask.said.before, 'mass', preferences.units);
  const say = (id: string): string => {
    const bottle = bottles.find((each) => each.id === id);
    return bottle ? title(bottle) : NO_BOTTLE;
  };
  return (
    <View style={styles.ask}>
      <Txt look="strong">Refill from?</Txt>
      {bottles.length > 0 && (
        <ChoiceField
          control={ask.control}
          name="from"
          label="Its bottle gives what it gets"
          options={[...bottles.map(({ id }) => id), NO_BOTTLE]}
          say={say}
        />
      )}
      {weighing && (
        <Weigh
          supply={supply}
          chemistry={from?.facts.attributes?.chemistry ?? supply.form}
          beforeMg={before.ok ? Number(before.value) : null}
          onTake={(which, mg) => ask.set(which, `${(mg / 1000).toFixed(2)} g`)}
        />
      )}
      <View style={styles.row}>
        <Button label={weighing ? 'Put the scale away' : 'Weigh it'} onPress={() => setWeighing(!weighing)} />
      </View>
      <View style={styles.row}>
        <Field control={ask.control} name="before" label="Mass before" hint="if you weigh it" />
        <Field control={ask.control} name="after" label="Mass after" onSubmit={submit} />
      </View>
      <Button label="Note it: refilled" main busy={busy} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  ask: { gap: space.s + 2, padding: space.m - 4, borderWidth: 1, borderColor: colour.hairline },
  row: { flexDirection: 'row', gap: space.s },
});
