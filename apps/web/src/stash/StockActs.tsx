import { formOf, freeOf, levelOf, printLength, type FormDefinition, type Level } from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { call, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { useHeld } from '../api/useHeld';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { AMOUNT_LABEL, readAmount } from './amount';
import { CountingHelp } from './CountingHelp';
import { LevelChoice } from './LevelChoice';
import { PartActs } from './PartActs';

const ACT_NAMES = { use: 'Use', refill: 'Refill', count: 'Count', buy: 'Buy', discard: 'Discard' } as const;
type ActName = keyof typeof ACT_NAMES;
export const isActName = (word: string | undefined): word is ActName =>
  word !== undefined && word in ACT_NAMES;

/** Acts a form knows: only what runs dry can be refilled. */
const actsOf = (form: FormDefinition): ActName[] =>
  form.counting === 'fill'
    ? ['use', 'refill', 'count', 'buy', 'discard']
    : ['use', 'count', 'buy', 'discard'];

/** What the amount field starts with. */
function startAmount(act: ActName, { stock }: SupplyView, form: FormDefinition): string {
  if (form.counting === 'length') {
    if (act === 'count') return printLength(stock.left, 'm');
    return act === 'buy' ? printLength(form.usualPurchase, 'm') : '';
  }
  if (act === 'count') return String(form.counting === 'fill' ? stock.items : stock.left);
  return act === 'buy' ? String(form.usualPurchase) : '1';
}

interface StockActsProps {
  readonly supply: SupplyView;
  readonly startWith: ActName | null;
}

/** Use, refill, count, buy, discard: each writes one line into the ledger. */
export function StockActs({ supply, startWith }: StockActsProps) {
  const form = formOf(supply.kind, supply.form);
  const [asking, setAsking] = useState<ActName | null>(startWith);
  const act = useChange((body: StockRequestBody) => call(routes.actOnSupply, { id: supply.id, body }));
  const write = (body: StockRequestBody) => act.mutate(body, { onSuccess: () => setAsking(null) });
  // One tap is enough where the answer is nearly always "one"; the rest asks how much.
  const press = (name: ActName) => {
    if (name === 'refill') write({ act: 'refill' });
    else if (name === 'use' && form.counting !== 'length') write({ act: 'use', amount: 1 });
    else setAsking(asking === name ? null : name);
  };
  return (
    <View style={styles.box}>
      <View style={styles.acts}>
        {actsOf(form).map((name) => (
          <Button
            key={name}
            label={name === 'use' && form.counting !== 'length' ? 'Use one' : ACT_NAMES[name]}
            main={name === 'use'}
            disabled={act.isPending}
            onPress={() => press(name)}
          />
        ))}
      </View>
      {asking && asking !== 'refill' && (
        <Ask key={asking} act={asking} supply={supply} form={form} busy={act.isPending} onWrite={write} />
      )}
      <Kept supply={supply} />
      <PartActs supply={supply} />
    </View>
  );
}

/** Before more is used than is free, or of what cannot be bought again: said, never refused. */
function Kept({ supply }: { readonly supply: SupplyView }) {
  const held = useHeld(supply.id);
  const { facts, stock } = supply;
  const names = [
    ...(facts.reserved ?? []).map(({ project }) => project),
    ...held.map(({ name }) => `the kit ${name}`),
  ];
  const scarce = facts.status === 'irreplaceable' || facts.status === 'retired';
  return (
    <>
      {names.length > 0 && stock.left > 0 && freeOf(stock.left, facts, held) === 0 && (
        <Note sort="attention">{`All that is left is put aside for ${names.join(', ')}. Using some takes it from there.`}</Note>
      )}
      {scarce && stock.left > 0 && (
        <Note sort="attention">It cannot be bought again: use it sparingly, or find a stand-in first.</Note>
      )}
    </>
  );
}

interface AskProps {
  readonly act: Exclude<ActName, 'refill'>;
  readonly supply: SupplyView;
  readonly form: FormDefinition;
  readonly busy: boolean;
  readonly onWrite: (body: StockRequestBody) => void;
}

function Ask({ act, supply, form, busy, onWrite }: AskProps) {
  const [text, setText] = useState(startAmount(act, supply, form));
  const [level, setLevel] = useState<Level>(levelOf(supply.stock, form.usesPerFill ?? 1));
  const [refusal, setRefusal] = useState<string | null>(null);
  const counting = act === 'count';
  const submit = () => {
    const reading = readAmount(text, counting ? level : 'full', form);
    if (!reading.ok) return setRefusal(reading.message);
    const { items, left } = reading.count;
    if (counting) return onWrite({ act, items, left });
    const amount = form.counting === 'fill' ? items : left;
    if (amount === 0) return setRefusal('Nothing is not an amount; give something above 0.');
    return onWrite({ act, amount });
  };
  return (
    <View style={styles.ask}>
      <Txt look="strong">{counting ? 'What is there now?' : `${ACT_NAMES[act]} how much?`}</Txt>
      <TextInput
        mode="outlined"
        dense
        label={AMOUNT_LABEL[form.counting]}
        aria-label={AMOUNT_LABEL[form.counting]}
        value={text}
        onChangeText={setText}
        onSubmitEditing={submit}
        inputMode={form.counting === 'length' ? 'text' : 'numeric'}
        autoFocus
        style={styles.input}
      />
      {counting && form.counting === 'fill' && <LevelChoice value={level} onChange={setLevel} />}
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label={`Note it: ${ACT_NAMES[act].toLowerCase()}`} main busy={busy} onPress={submit} />
      {counting && <CountingHelp supply={supply} onWrite={onWrite} />}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.m - 4 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  ask: { gap: space.s + 2, padding: space.m - 4, borderWidth: 1, borderColor: colour.hairline },
  input: { backgroundColor: colour.card },
});
