import { fold, formFor, parseMass } from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences, useStash, type Stash } from '../api/queries';
import { sayStock } from '../copy/supply';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

const NO_BOTTLE = 'not from a bottle of mine';
const BOTTLES: ReadonlySet<string> = new Set(['refill', 'drops']);

/** Bottles of the same colour name that have something left. */
export function bottlesFor(supply: SupplyView, stash: Stash | undefined): readonly SupplyView[] {
  const name = fold(supply.name);
  return (stash?.supplies ?? []).filter(
    (each) =>
      each.id !== supply.id &&
      each.kind === 'ink' &&
      BOTTLES.has(each.form) &&
      each.stock.left > 0 &&
      each.facts.status !== 'gone' &&
      fold(each.name) === name,
  );
}

/** Whether its contents can be weighed: the masses empty and full are known. */
export const isWeighed = ({ facts }: SupplyView): boolean =>
  typeof facts.attributes?.emptyMass === 'number' && typeof facts.attributes.fullMass === 'number';

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
  const [from, setFrom] = useState(bottles[0]?.id ?? '');
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const mass = (text: string): number | null => {
    const read = parseMass(text, preferences.units === 'inches' ? 'oz' : 'g');
    return read.ok ? read.amount : null;
  };
  const submit = (): void => {
    const weighed = before.trim() !== '' || after.trim() !== '';
    const [beforeMg, afterMg] = [mass(before), mass(after)];
    if (weighed && (beforeMg === null || afterMg === null))
      return setRefusal('Give both masses, such as 9.7 g and 12.3 g, or neither.');
    setRefusal(null);
    return void onWrite({
      act: 'refill',
      ...(from === '' ? {} : { fromId: from }),
      ...(weighed && beforeMg !== null && afterMg !== null ? { weights: { beforeMg, afterMg } } : {}),
    });
  };
  const chosen = bottles.find(({ id }) => id === from);
  return (
    <View style={styles.ask}>
      <Txt look="strong">Refill from?</Txt>
      {bottles.length > 0 && (
        <Choice
          label="Its bottle gives what it gets"
          options={[...bottles.map(title), NO_BOTTLE]}
          value={chosen ? title(chosen) : NO_BOTTLE}
          onChange={(word) => setFrom(bottles.find((bottle) => title(bottle) === word)?.id ?? '')}
        />
      )}
      <View style={styles.row}>
        <Input label="Mass before" value={before} onChange={setBefore} hint="if you weigh it" />
        <Input label="Mass after" value={after} onChange={setAfter} onSubmit={submit} />
      </View>
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label="Note it: refilled" main busy={busy} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  ask: { gap: space.s + 2, padding: space.m - 4, borderWidth: 1, borderColor: colour.hairline },
  row: { flexDirection: 'row', gap: space.s },
});
