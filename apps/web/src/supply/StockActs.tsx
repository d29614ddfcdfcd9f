import { formFor, freeOf, LEVELS, levelOf, printLength, type FormDefinition } from '@red-shelf/core';
import type { HoldingView, StockRequestBody, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { usePreferences, useStash } from '../api/queries';
import { useSpotName } from '../api/spotName';
import { useChange } from '../api/useChange';
import { useHeld } from '../api/useHeld';
import { useBegun } from '../form/useDraft';
import { readPrice } from '../copy/measure';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { AMOUNT_LABEL, readAmount } from '../form/amount';
import { CountingHelp } from './CountingHelp';
import { LevelChoice } from '../form/LevelChoice';
import { PartActs } from './PartActs';
import { bottlesFor, isWeighed, RefillAsk } from './RefillAsk';

const ACT_NAMES = { use: 'Use', refill: 'Refill', count: 'Count', buy: 'Buy', discard: 'Discard' } as const;
type ActName = keyof typeof ACT_NAMES;
export const isActName = (word: string | undefined): word is ActName =>
  word !== undefined && word in ACT_NAMES;

/** Acts a form knows: only what runs dry can be refilled. */
const actsOf = (form: FormDefinition): ActName[] =>
  form.counting === 'fill'
    ? ['use', 'refill', 'count', 'buy', 'discard']
    : ['use', 'count', 'buy', 'discard'];

/** An amount being said: of which act, as typed, and how full. */
const amountSaid = z.object({
  act: z.enum(['use', 'count', 'buy', 'discard']),
  text: z.string(),
  level: z.enum(LEVELS),
  /** What was paid, as typed. */
  price: z.string().optional(),
});
type Amount = z.infer<typeof amountSaid>;

/** What the amount starts with. */
const startAmount = (act: Amount['act'], supply: SupplyView, form: FormDefinition): Amount => ({
  act,
  text: startText(act, supply, form),
  level: levelOf(supply.stock, form.usesPerFill ?? 1),
});

function startText(act: ActName, { stock }: SupplyView, form: FormDefinition): string {
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
  const form = formFor(supply);
  const { stash } = useStash();
  const [draft, setDraft, clear] = useBegun(`stock.${supply.id}`, amountSaid);
  const [asking, setAsking] = useState<ActName | null>(startWith ?? draft?.act ?? null);
  const act = useChange((body: StockRequestBody) => order(routes.actOnSupply, { id: supply.id, body }));
  const close = () => {
    clear();
    setAsking(null);
  };
  const write = (body: StockRequestBody): Promise<boolean> =>
    act.mutateAsync(body).then(
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
    else if (asking === name) close();
    else setAsking(name);
  };
  return (
    <View style={styles.box}>
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
        <Ask
          key={asking}
          amount={draft?.act === asking ? draft : startAmount(asking, supply, form)}
          supply={supply}
          form={form}
          busy={act.isPending}
          onType={setDraft}
          onWrite={write}
        />
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
  readonly amount: Amount;
  readonly supply: SupplyView;
  readonly form: FormDefinition;
  readonly busy: boolean;
  readonly onType: (amount: Amount) => void;
  readonly onWrite: (body: StockRequestBody) => Promise<boolean>;
}

function Ask({ amount: said, supply, form, busy, onType, onWrite }: AskProps) {
  const { act, text, level, price = '' } = said;
  const { preferences } = usePreferences();
  const [refusal, setRefusal] = useState<string | null>(null);
  const counting = act === 'count';
  const lots = supply.holdings.filter(
    (each) => each.as === 'whole' && (each.spot !== null || each.left > 0 || each.items > 0),
  );
  const [lotId, setLotId] = useState(lots[0]?.id);
  const lot = lots.find(({ id }) => id === lotId) ?? supply.holdings[0];
  const spotName = useSpotName();
  const placeOf = ({ spot }: HoldingView): string => (spot ? spotName(spot) : 'without a place');
  const submit = () => {
    const reading = readAmount(text, counting ? level : 'full', form);
    if (!reading.ok) return setRefusal(reading.message);
    const { items, left } = reading.count;
    if (counting)
      return void onWrite({ act, items, left, ...(lot ? { lotId: lot.id, version: lot.version } : {}) });
    const amount = form.counting === 'fill' ? items : left;
    if (amount === 0) return setRefusal('Nothing is not an amount; give something above 0.');
    if (act !== 'buy' || price.trim() === '') return void onWrite({ act, amount });
    const paid = readPrice(price, preferences.currency);
    if (!paid.ok) return setRefusal(paid.message);
    return void onWrite({ act, amount, price: paid.value });
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
        onChangeText={(next) => onType({ ...said, text: next })}
        onSubmitEditing={submit}
        inputMode={form.counting === 'length' ? 'text' : 'numeric'}
        autoFocus
        style={styles.input}
      />
      {counting && lots.length > 1 && (
        <Choice
          label="Of those in"
          options={lots.map(placeOf)}
          value={lot ? placeOf(lot) : ''}
          onChange={(word) => setLotId(lots.find((each) => placeOf(each) === word)?.id)}
        />
      )}
      {counting && form.counting === 'fill' && (
        <LevelChoice value={level} onChange={(next) => onType({ ...said, level: next })} />
      )}
      {act === 'buy' && (
        <Input
          label="Price"
          value={price}
          onChange={(next) => onType({ ...said, price: next })}
          hint={`4.50 ${preferences.currency}; may stay empty`}
        />
      )}
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label={`Note it: ${ACT_NAMES[act].toLowerCase()}`} main busy={busy} onPress={submit} />
      {counting && <CountingHelp supply={supply} onBegin={() => onType(said)} onWrite={onWrite} />}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.m - 4 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  ask: { gap: space.s + 2, padding: space.m - 4, borderWidth: 1, borderColor: colour.hairline },
  input: { backgroundColor: colour.card },
});
