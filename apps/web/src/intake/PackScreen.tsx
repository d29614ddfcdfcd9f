import { formOf, parseColour } from '@red-shelf/core';
import { groupBody, type GroupBody, type NewSupplyInput, type Preferences } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useEffect } from 'react';
import { useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { ApiError, order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { usePreferences } from '../api/queries';
import { many } from '../copy/words';
import { BLANK, readForm, startSaid } from '../form/model';
import { useSupplyForm } from '../form/useSupplyForm';
import { AMOUNT_SHORT, readAmount } from '../form/amount';
import { DayField } from '../form/bound';
import { forget, remember, remembered } from '../form/draft';
import { price, typedOr } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { KindAndForm } from '../form/KindAndForm';
import type { SupplyForm } from '../form/model';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';

const NO_LOT = { name: '', hex: '', amount: '' };
const DRAFT = 'pack';
const START = { name: '', price: '', source: '', acquiredOn: '', lots: [NO_LOT, NO_LOT] };
type Lot = typeof NO_LOT;
const isBlank = ({ name, hex, amount }: Lot): boolean => name + hex + amount === '';
const FIRST: SupplyForm = {
  ...BLANK,
  kind: 'cardstock',
  form: 'sheet-12',
  said: startSaid('cardstock', 'sheet-12'),
};

interface Pack {
  readonly supplies: NewSupplyInput[];
  readonly pack: GroupBody;
}

/** A pack as typed, read into its supplies and what it is as a whole; every lot is what `shared` says besides. */
const packSaid = (shared: SupplyForm, preferences: Preferences) =>
  z
    .object({
      name: z.string(),
      price: typedOr(null, price(preferences.currency)),
      source: z.string(),
      acquiredOn: z.string(),
      lots: z.array(z.object({ name: z.string(), hex: z.string(), amount: z.string() })),
    })
    .transform(({ lots, price: paid, ...said }, context): Pack => {
      const refuse = (path: (string | number)[], message: string): void =>
        context.addIssue({ code: 'custom', path, message });
      const definition = formOf(shared.kind, shared.form);
      const supplies = lots.flatMap((lot, i): NewSupplyInput[] => {
        if (isBlank(lot)) return [];
        const hex = parseColour(lot.hex);
        const amount = readAmount(lot.amount, 'full', definition);
        const reading = readForm({ ...shared, name: lot.name, hex: lot.hex }, {}, preferences);
        if (lot.name.trim() === '') refuse(['lots', i, 'name'], `Lot ${i + 1}: give it a name.`);
        if (!hex.ok)
          refuse(['lots', i, 'hex'], `Lot ${i + 1}: “${lot.hex}” is not a colour; type a hex or a name.`);
        if (!amount.ok) refuse(['lots', i, 'amount'], `Lot ${i + 1}: ${amount.message}`);
        if (!reading.ok) for (const { message } of reading.refusals) refuse(['lots', i, 'name'], message);
        return hex.ok && amount.ok && reading.ok
          ? [{ ...reading.fields, hex: hex.hex, count: amount.count }]
          : [];
      });
      if (lots.every(isBlank)) refuse(['lots', 0, 'name'], 'Name at least one lot.');
      const pack = groupBody.safeParse({
        sort: 'group',
        what: 'pack',
        ...said,
        acquiredOn: said.acquiredOn || null,
        ...(paid ? { price: paid } : {}),
      });
      if (pack.success) return { supplies, pack: pack.data };
      for (const { path, message } of pack.error.issues) refuse(path.map(String), message);
      return z.NEVER;
    });

/** One bought pack of several colours, split into its lots; what it cost and when is kept with them all. */
export function PackScreen() {
  const { form } = useSupplyForm(remembered(`${DRAFT}.form`, FIRST));
  const given = useWatch({ control: form.control }) as SupplyForm;
  const { preferences } = usePreferences();
  useEffect(() => remember(`${DRAFT}.form`, given), [given]);
  const ask = useAsk(DRAFT, packSaid(given, preferences), START);
  const { control, said, set } = ask;
  const add = useChange((body: Pack) => order(routes.addSupplies, { body }), { quiet: true });
  // There is always an empty line for the next lot.
  const isFull = said.lots.at(-1)?.name !== '';
  useEffect(() => {
    if (isFull) set('lots', [...said.lots, NO_LOT]);
  });
  const submit = (): void =>
    ask.submit(async (body) => {
      await add.mutateAsync(body);
      forget(`${DRAFT}.form`);
      router.replace('/bench/kits');
    });
  const ready = said.lots.filter(({ name }) => name !== '').length;
  return (
    <Page title="A mixed pack" narrow aside="Split into its colours, its purchase kept">
      <View style={styles.row}>
        <Field control={control} name="name" label="Pack" hint="Autumn pack of 24" />
        <Field control={control} name="price" label="Price of the pack" hint="unknown is fine" />
      </View>
      <View style={styles.row}>
        <Field control={control} name="source" label="From" />
        <DayField control={control} name="acquiredOn" label="Acquired" />
      </View>
      <KindAndForm control={form.control} setValue={form.setValue} />
      <View style={styles.row}>
        <Field control={form.control} name="maker" label="Maker" />
        <Field control={form.control} name="range" label="Range" />
      </View>
      <Txt look="strong" level={2}>
        Its colours
      </Txt>
      {said.lots.map((lot, i) => {
        const hex = parseColour(lot.hex);
        return (
          <View key={i} style={styles.row} role="group" aria-label={`Lot ${i + 1}`}>
            <View style={[styles.swatch, hex.ok && { backgroundColor: hex.hex }]} />
            <Field control={control} name={`lots.${i}.name`} label="Name" says={`Name of lot ${i + 1}`} />
            <Field control={control} name={`lots.${i}.hex`} label="Colour" says={`Colour of lot ${i + 1}`} />
            <Field
              control={control}
              name={`lots.${i}.amount`}
              label={AMOUNT_SHORT[formOf(given.kind, given.form).counting]}
              says={`How many in lot ${i + 1}`}
            />
          </View>
        );
      })}
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
