import { formOf } from '@red-shelf/core';
import type { NewSupplyInput } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useWatch, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { DEFAULT_PREFERENCES, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import type { TakenColour } from '../colour/taken';
import { CountFields, countSaid, ONE } from '../form/CountFields';
import { BLANK, formOfSupply, startSaid } from '../form/model';
import { KeptForm } from '../form/KeptForm';
import { useAsk } from '../form/useAsk';
import { useDraft } from '../form/useDraft';
import { factsOfTaken, useSupplyForm } from '../form/useSupplyForm';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { CapNote } from '../judge/CapNote';
import { DoubleHint } from './DoubleHint';
import { forget, remember, remembered } from '../form/draft';
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

function AddForm({ draft, start }: { readonly draft: string; readonly start: SupplyForm }) {
  const { form, read, startNext } = useSupplyForm(start);
  const [taken, setTaken, clearTaken] = useDraft<TakenColour | null>(`${draft}.taken`, null);
  const [kind, variant] = useWatch({ control: form.control, name: ['kind', 'form'] });
  const definition = formOf(kind, variant);
  const count = useAsk(`${draft}.count`, countSaid(definition), ONE);
  const add = useChange((body: NewSupplyInput) => order(routes.addSupply, { body }));

  const submit = (after: (added: SupplyForm, id: string) => void): void =>
    count.submit(async (counted) => {
      let added = false;
      await form.handleSubmit(async (fields) => {
        const body = read(fields, factsOfTaken(taken), counted);
        if (!body) return;
        const { supply } = await add.mutateAsync(body);
        added = true;
        forget(draft);
        clearTaken();
        after(fields, supply.id);
      })();
      return added;
    });
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
  };
  return (
    <Page title="Add to the stash" narrow>
      <SupplyFields
        control={form.control}
        setValue={form.setValue}
        onSubmit={() => submit(next)}
        onTake={setTaken}
      />
      <CountFields control={count.control} set={count.set} form={definition} onSubmit={() => submit(next)} />
      <CapNote kind={kind} />
      <KeptForm control={form.control} keep={(given) => remember(draft, given)} />
      <Owned control={form.control} />
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

function Owned({ control }: { readonly control: Control<SupplyForm> }) {
  const [name, hex, kind] = useWatch({ control, name: ['name', 'hex', 'kind'] });
  return <DoubleHint name={name} hex={hex} kind={kind} />;
}

const styles = StyleSheet.create({
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
