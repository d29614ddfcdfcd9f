import { formOf, KIND_DEFINITIONS, type Level } from '@red-shelf/core';
import { newSupply, type NewSupplyInput } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { call, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { AMOUNT_LABEL, readAmount } from './amount';
import { forget, remember, remembered } from './draft';
import { LevelChoice } from './LevelChoice';
import { SupplyFields, type SupplyForm } from './SupplyFields';

const BLANK: SupplyForm = {
  kind: 'ink',
  form: KIND_DEFINITIONS.ink.defaultForm,
  name: '',
  maker: '',
  range: '',
  code: '',
  hex: '',
  finish: 'matte',
  familyOverride: null,
  familyReason: '',
  note: '',
};

/** Add a supply; "add and next" keeps kind, form, maker and range for the next of the pile. */
export function AddScreen() {
  const form = useForm<SupplyForm>({ defaultValues: remembered(BLANK) });
  const [amount, setAmount] = useState('1');
  const [level, setLevel] = useState<Level>('full');
  const [refusal, setRefusal] = useState<string | null>(null);
  const given = useWatch({ control: form.control }) as SupplyForm;
  useEffect(() => remember(given), [given]);
  const definition = formOf(given.kind, given.form);
  const add = useChange((body: NewSupplyInput) => call(routes.addSupply, { body }));

  const submit = (after: (added: SupplyForm, id: string) => void) =>
    void form.handleSubmit(async (fields) => {
      const reading = readAmount(amount, level, definition);
      setRefusal(reading.ok ? null : reading.message);
      if (!reading.ok) return;
      const checked = newSupply.safeParse({ ...fields, count: reading.count });
      if (!checked.success) {
        for (const { path, message } of checked.error.issues)
          form.setError(path[0] as keyof SupplyForm, { message });
        return;
      }
      const { supply } = await add.mutateAsync({ ...fields, count: reading.count });
      forget();
      after(fields, supply.id);
    })();
  const next = (added: SupplyForm) => {
    form.reset({
      ...BLANK,
      kind: added.kind,
      form: added.form,
      maker: added.maker,
      range: added.range,
      finish: added.finish,
    });
    setAmount('1');
    setLevel('full');
    form.setFocus('name');
  };
  return (
    <Page title="Add to the stash" narrow>
      <SupplyFields control={form.control} setValue={form.setValue} onSubmit={() => submit(next)} />
      <TextInput
        mode="outlined"
        dense
        label={AMOUNT_LABEL[definition.counting]}
        aria-label={AMOUNT_LABEL[definition.counting]}
        value={amount}
        onChangeText={setAmount}
        onSubmitEditing={() => submit(next)}
        inputMode={definition.counting === 'length' ? 'text' : 'numeric'}
        style={styles.input}
      />
      {definition.counting === 'fill' && <LevelChoice value={level} onChange={setLevel} />}
      {refusal && <Note sort="error">{refusal}</Note>}
      <View style={styles.acts}>
        <Button label="Add and next" main grow busy={add.isPending} onPress={() => submit(next)} />
        <Button
          label="Add and look"
          grow
          busy={add.isPending}
          onPress={() => submit((_, id) => router.replace({ pathname: '/stash', params: { supply: id } }))}
        />
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  input: { backgroundColor: colour.card },
  acts: { flexDirection: 'row', gap: space.s },
});
