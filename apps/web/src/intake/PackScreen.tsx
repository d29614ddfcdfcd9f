import { formOf, parseColour } from '@red-shelf/core';
import type { GroupBody, NewSupplyInput } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { ApiError, order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { usePreferences } from '../api/queries';
import { many } from '../copy/words';
import { BLANK, readForm, startSaid } from '../form/model';
import { useSupplyForm } from '../form/useSupplyForm';
import { readPrice } from '../copy/measure';
import { AMOUNT_SHORT, readAmount } from '../form/amount';
import { forget, remember, remembered } from '../form/draft';
import { KindAndForm } from '../form/KindAndForm';
import type { SupplyForm } from '../form/model';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { DateField } from '../ui/DateField';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';

interface Lot {
  readonly name: string;
  readonly hex: string;
  readonly amount: string;
}
const NO_LOT: Lot = { name: '', hex: '', amount: '' };
const DRAFT = 'pack';
const START = { name: '', price: '', source: '', acquiredOn: '', lots: [NO_LOT, NO_LOT] as readonly Lot[] };
const FIRST: SupplyForm = {
  ...BLANK,
  kind: 'cardstock',
  form: 'sheet-12',
  said: startSaid('cardstock', 'sheet-12'),
};

/** One bought pack of several colours, split into its lots; what it cost and when is kept with them all. */
export function PackScreen() {
  const { form } = useSupplyForm(remembered(`${DRAFT}.form`, FIRST));
  const given = useWatch({ control: form.control }) as SupplyForm;
  const [pack, setPack] = useState(() => remembered(DRAFT, START));
  const [refusals, setRefusals] = useState<readonly string[]>([]);
  const { preferences } = usePreferences();
  useEffect(() => remember(DRAFT, pack), [pack]);
  useEffect(() => remember(`${DRAFT}.form`, given), [given]);
  const add = useChange(
    (body: { supplies: NewSupplyInput[]; pack: GroupBody }) => order(routes.addSupplies, { body }),
    { quiet: true },
  );
  const set = (key: 'name' | 'price' | 'source' | 'acquiredOn') => (text: string) =>
    setPack({ ...pack, [key]: text });
  const setLot = (i: number, lot: Lot): void => {
    const lots = pack.lots.map((each, k) => (k === i ? lot : each));
    // There is always an empty line for the next lot.
    setPack({ ...pack, lots: lots.at(-1) === lot && lot.name !== '' ? [...lots, NO_LOT] : lots });
  };
  const submit = (): void => {
    const wrong: string[] = [];
    const definition = formOf(given.kind, given.form);
    if (pack.name.trim() === '') wrong.push('Give the pack a name.');
    const price = pack.price.trim() === '' ? null : readPrice(pack.price, preferences.currency);
    if (price && !price.ok) wrong.push(price.message);
    const lots = pack.lots.filter(({ name, hex, amount }) => name || hex || amount);
    const supplies = lots.flatMap((lot, i): NewSupplyInput[] => {
      const hex = parseColour(lot.hex);
      const amount = readAmount(lot.amount, 'full', definition);
      const reading = readForm({ ...given, name: lot.name, hex: lot.hex }, {}, preferences);
      if (lot.name.trim() === '') wrong.push(`Lot ${i + 1}: give it a name.`);
      if (!hex.ok) wrong.push(`Lot ${i + 1}: “${lot.hex}” is not a colour; type a hex or a name.`);
      if (!amount.ok) wrong.push(`Lot ${i + 1}: ${amount.message}`);
      if (!reading.ok) wrong.push(...reading.refusals.map(({ message }) => message));
      return hex.ok && amount.ok && reading.ok
        ? [{ ...reading.fields, hex: hex.hex, count: amount.count }]
        : [];
    });
    if (lots.length === 0) wrong.push('Name at least one lot.');
    setRefusals(wrong);
    if (wrong.length > 0) return;
    const body: GroupBody = {
      sort: 'group',
      what: 'pack',
      name: pack.name.trim(),
      note: '',
      source: pack.source.trim(),
      acquiredOn: pack.acquiredOn || null,
      ...(price?.ok ? { price: price.value } : {}),
      members: [],
      matches: [],
      dissolvedOn: null,
      home: null,
    };
    add.mutate(
      { supplies, pack: body },
      {
        onSuccess: () => {
          forget(DRAFT);
          forget(`${DRAFT}.form`);
          router.replace('/bench/kits');
        },
      },
    );
  };
  const ready = pack.lots.filter(({ name }) => name !== '').length;
  return (
    <Page title="A mixed pack" narrow aside="Split into its colours, its purchase kept">
      <View style={styles.row}>
        <Input label="Pack" value={pack.name} onChange={set('name')} hint="Autumn pack of 24" />
        <Input label="Price of the pack" value={pack.price} onChange={set('price')} hint="unknown is fine" />
      </View>
      <View style={styles.row}>
        <Input label="From" value={pack.source} onChange={set('source')} />
        <DateField label="Acquired" value={pack.acquiredOn} onChange={set('acquiredOn')} />
      </View>
      <KindAndForm control={form.control} setValue={form.setValue} />
      <View style={styles.row}>
        <Field control={form.control} name="maker" label="Maker" />
        <Field control={form.control} name="range" label="Range" />
      </View>
      <Txt look="strong" level={2}>
        Its colours
      </Txt>
      {pack.lots.map((lot, i) => {
        const hex = parseColour(lot.hex);
        return (
          <View key={i} style={styles.row} role="group" aria-label={`Lot ${i + 1}`}>
            <View style={[styles.swatch, hex.ok && { backgroundColor: hex.hex }]} />
            <Input
              label="Name"
              says={`Name of lot ${i + 1}`}
              value={lot.name}
              onChange={(name) => setLot(i, { ...lot, name })}
            />
            <Input
              label="Colour"
              says={`Colour of lot ${i + 1}`}
              value={lot.hex}
              onChange={(text) => setLot(i, { ...lot, hex: text })}
            />
            <Input
              label={AMOUNT_SHORT[formOf(given.kind, given.form).counting]}
              says={`How many in lot ${i + 1}`}
              value={lot.amount}
              onChange={(amount) => setLot(i, { ...lot, amount })}
            />
          </View>
        );
      })}
      {refusals.map((refusal) => (
        <Note key={refusal} sort="error">
          {refusal}
        </Note>
      ))}
      {add.error && (
        <Note sort="error">{add.error instanceof ApiError ? add.error.message : 'That did not work.'}</Note>
      )}
      <Button label={`Add ${many(ready, 'lot')}`} main busy={add.isPending} onPress={submit} />
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  swatch: {
    width: TOUCH,
    height: TOUCH,
    marginTop: 6,
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
});
