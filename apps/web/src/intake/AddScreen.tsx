import { formOf, type Level } from '@red-shelf/core';
import type { NewSupplyInput } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { DEFAULT_PREFERENCES, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import type { TakenColour } from '../colour/taken';
import { BLANK, formOfSupply, startSaid } from '../form/model';
import { useDraft } from '../form/useDraft';
import { factsOfTaken, useSupplyForm } from '../form/useSupplyForm';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { useOnce } from '../ui/useOnce';
import { AMOUNT_LABEL, readAmount } from '../form/amount';
import { CapNote } from '../judge/CapNote';
import { DoubleHint } from './DoubleHint';
import { forget, remember, remembered } from '../form/draft';
import { LevelChoice } from '../form/LevelChoice';
import { readParts, PartFields } from '../form/PartFields';
import { SupplyFields, type SupplyForm } from '../form/SupplyFields';

const FIRST: SupplyForm = { ...BLANK, said: startSaid(BLANK.kind, BLANK.form) };

/** Add a supply; "add and next" keeps kind, form, maker and range for the next of the pile. */
export function AddScreen() {
  const { like } = useLocalSearchParams<{ like?: string }>();
  const { stash } = useStash();
  const model = like ? stash?.byId.get(like) : undefined;
  // A copy starts from the thing it is like, without what makes that thing itself.
  if (like && !stash) return null;
  const blank = model
    ? { ...formOfSupply(model, DEFAULT_PREFERENCES), name: '', code: '', hex: '', familyOverride: null }
    : FIRST;
  const draft = model ? `add.like.${model.id}` : 'add';
  return <AddForm key={draft} draft={draft} start={remembered(draft, blank)} />;
}

/** How many of it, and a colour that was taken rather than typed. */
const ONE: { amount: string; level: Level; parts: Record<string, string>; taken: TakenColour | null } = {
  amount: '1',
  level: 'full',
  parts: {},
  taken: null,
};

function AddForm({ draft, start }: { readonly draft: string; readonly start: SupplyForm }) {
  const { form, read, startNext } = useSupplyForm(start);
  const [count, setCount, clearCount] = useDraft(`${draft}.count`, ONE);
  const { amount, level, parts, taken } = count;
  const [refusal, setRefusal] = useState<string | null>(null);
  const given = useWatch({ control: form.control }) as SupplyForm;
  useEffect(() => remember(draft, given), [draft, given]);
  const definition = formOf(given.kind, given.form);
  const add = useChange((body: NewSupplyInput) => order(routes.addSupply, { body }));

  const submit = useOnce((after: (added: SupplyForm, id: string) => void) =>
    form.handleSubmit(async (fields) => {
      const reading = readAmount(amount, level, definition);
      const counted = readParts(parts, definition);
      setRefusal(!reading.ok ? reading.message : !counted.ok ? counted.message : null);
      if (!reading.ok || !counted.ok) return;
      const body = read(fields, factsOfTaken(taken), { count: reading.count, ...counted.given });
      if (!body) return;
      const { supply } = await add.mutateAsync(body);
      forget(draft);
      clearCount();
      after(fields, supply.id);
    })(),
  );
  const next = (added: SupplyForm) => {
    startNext({
      ...BLANK,
      kind: added.kind,
      form: added.form,
      maker: added.maker,
      range: added.range,
      finish: added.finish,
      said: { ...added.said, barcode: '' },
    });
    clearCount();
  };
  return (
    <Page title="Add to the stash" narrow>
      <SupplyFields
        control={form.control}
        setValue={form.setValue}
        onSubmit={() => submit(next)}
        onTake={(colour) => setCount({ ...count, taken: colour })}
      />
      <Input
        label={AMOUNT_LABEL[definition.counting]}
        value={amount}
        onChange={(text) => setCount({ ...count, amount: text })}
        onSubmit={() => submit(next)}
        numeric={definition.counting !== 'length'}
      />
      {definition.counting === 'fill' && (
        <LevelChoice value={level} onChange={(next) => setCount({ ...count, level: next })} />
      )}
      <PartFields
        form={definition}
        value={parts}
        onChange={(given) => setCount({ ...count, parts: given })}
      />
      {refusal && <Note sort="error">{refusal}</Note>}
      <CapNote kind={given.kind} />
      <DoubleHint name={given.name} hex={given.hex} kind={given.kind} />
      <View style={styles.acts}>
        <Button label="Add and next" main grow busy={add.isPending} onPress={() => submit(next)} />
        <Button
          label="Add and look"
          grow
          busy={add.isPending}
          onPress={() => submit((_, id) => router.replace({ pathname: '/stash', params: { supply: id } }))}
        />
      </View>
      <Txt look="quiet">Much to enter? There are quicker ways:</Txt>
      <View style={styles.acts}>
        <Button label="A whole pile" onPress={() => router.push('/stash/pile')} />
        <Button label="A maker’s range" onPress={() => router.push('/stash/ranges')} />
        <Button label="A mixed pack" onPress={() => router.push('/stash/pack')} />
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
