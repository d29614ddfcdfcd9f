import { formOf, KIND_DEFINITIONS } from '@red-shelf/core';
import {
  dealtWithIn,
  type DealtWith,
  type DoneBody,
  type NewSupplyInput,
  type SessionBody,
} from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { router, useLocalSearchParams } from 'expo-router';
import { useRef, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { StyleSheet, View, type TextInput } from 'react-native';
import { order, routes } from '../api/client';
import { useRecords, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { AttributeFields } from '../form/AttributeFields';
import { BLANK, startSaid } from '../form/model';
import { useSupplyForm } from '../form/useSupplyForm';
import { Waiting } from '../ui/Waiting';
import { space } from '../theme/tokens';
import { forget, remember, remembered } from '../form/draft';
import { useAsk } from '../form/useAsk';
import { ColourLine } from '../form/ColourLine';
import { CountFields, countSaid, ONE } from '../form/CountFields';
import { KeptForm } from '../form/KeptForm';
import { KindAndForm } from '../form/KindAndForm';
import type { SupplyForm } from '../form/model';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Columns } from '../ui/Columns';
import { Page } from '../ui/Page';
import { RowLink } from '../ui/RowLink';
import { Txt } from '../ui/Txt';
import { Entered } from './Entered';
import { PasteList } from './PasteList';
import { isPile, sharedForm, type PileSession } from './shared';

const FIRST: SupplyForm = { ...BLANK, said: startSaid(BLANK.kind, BLANK.form) };

/** Entering a pile: kind and form once, then name, colour, next. A pile can be left and taken up again. */
export function PileScreen() {
  const { session: id } = useLocalSearchParams<{ session?: string }>();
  const { data, error } = useRecords();
  const sessions = (data ?? []).filter(isPile);
  if (!data) return <Waiting error={error} />;
  const current = sessions.find((session) => session.id === id);
  if (current) return <Pile key={current.id} session={current} done={dealtWithIn(data, current.id)} />;
  const open = sessions.filter(({ body }) => body.finishedOn === null);
  return <StartPile open={open.map((session) => ({ session, n: dealtWithIn(data, session.id).length }))} />;
}

const NEW_PILE = 'pile.new';

/** What every thing of the pile shares. */
function StartPile({
  open,
}: {
  readonly open: readonly { readonly session: PileSession; readonly n: number }[];
}) {
  const { form } = useSupplyForm(remembered(NEW_PILE, FIRST));
  const [kind, formId] = useWatch({ control: form.control, name: ['kind', 'form'] });
  // Nothing was entered yet: there is nothing to say.
  const start = useChange((body: SessionBody) => order(routes.addRecord, { body: { body } }), {
    silent: true,
  });
  const begin = (): void => {
    const { maker, range, finish, said } = form.getValues();
    const name = [KIND_DEFINITIONS[kind].plural, formOf(kind, formId).name, maker].filter(Boolean).join(', ');
    start.mutate(
      {
        sort: 'session',
        what: 'pile',
        name,
        kind,
        form: formId,
        unitId: null,
        shared: {
          ...Object.fromEntries(Object.entries(said).filter(([, text]) => text)),
          maker,
          range,
          finish,
        },
        finishedOn: null,
      },
      {
        onSuccess: ({ record }) => {
          forget(NEW_PILE);
          router.setParams({ session: record.id });
        },
      },
    );
  };
  return (
    <Page title="A pile at a time" narrow aside="Say once what they share">
      {open.length > 0 && (
        <View style={styles.box}>
          <Txt look="strong" level={2}>
            Take up again
          </Txt>
          {open.map(({ session, n }) => (
            <RowLink
              key={session.id}
              title={session.body.name}
              detail={`${n} entered`}
              onPress={() => router.setParams({ session: session.id })}
            />
          ))}
        </View>
      )}
      <KeptForm control={form.control} keep={(given) => remember(NEW_PILE, given)} />
      <KindAndForm control={form.control} setValue={form.setValue} />
      <View style={styles.row}>
        <Field control={form.control} name="maker" label="Maker" />
        <Field control={form.control} name="range" label="Range" />
      </View>
      <AttributeFields control={form.control} kind={kind} form={formId} ask="first" but="choice" />
      <Button label="Start the pile" main busy={start.isPending} onPress={begin} />
    </Page>
  );
}

function Pile({
  session,
  done,
}: {
  readonly session: PileSession;
  /** What was entered so far. */
  readonly done: readonly DealtWith[];
}) {
  const { body } = session;
  const { stash } = useStash();
  const [pasting, setPasting] = useState(false);
  const entered = [...done].reverse().flatMap(({ supplyId }) => stash?.byId.get(supplyId) ?? []);
  const keep = useChange((next: SessionBody) =>
    order(routes.editRecord, { id: session.id, body: { version: session.version, body: next } }),
  );
  // The thing added was said already; that the pile remembers it needs no words.
  const remembering = useChange((entered: DoneBody) => order(routes.addRecord, { body: { body: entered } }), {
    silent: true,
  });
  const note = async (ids: readonly string[]): Promise<void> => {
    const entries = ids.map((supplyId) => ({ supplyId, verdict: null }));
    await remembering.mutateAsync({ sort: 'done', sessionId: session.id, entries });
  };
  return (
    <Page title={body.name} aside={`${done.length} entered`}>
      <Columns
        first={
          pasting ? (
            <PasteList session={session} onAdded={note} onClose={() => setPasting(false)} />
          ) : (
            <>
              <OneOfPile session={session} onAdded={(id) => note([id])} />
              <View style={styles.row}>
                <Button label="Paste a list" onPress={() => setPasting(true)} />
                <Button label="Leave it for now" onPress={() => router.setParams({ session: '' })} />
                <Button
                  label="This pile is done"
                  onPress={() =>
                    keep.mutate(
                      { ...body, finishedOn: format(new Date(), 'yyyy-MM-dd') },
                      { onSuccess: () => router.replace('/stash') },
                    )
                  }
                />
              </View>
            </>
          )
        }
        second={<Entered supplies={entered} />}
      />
    </Page>
  );
}

/** Name, colour, next: Enter adds, and the name field is ready for the next one. */
function OneOfPile({
  session,
  onAdded,
}: {
  readonly session: PileSession;
  readonly onAdded: (id: string) => Promise<void>;
}) {
  const start = remembered(`pile.${session.id}`, sharedForm(session));
  const { form, read, startNext } = useSupplyForm(start);
  const draft = `pile.${session.id}`;
  const colourPlace = useRef<TextInput>(null);
  const definition = formOf(start.kind, start.form);
  const count = useAsk(`${draft}.count`, countSaid(definition), {
    ...ONE,
    amount: definition.counting === 'length' ? '9 m' : String(definition.usualPurchase),
  });
  const add = useChange((body: NewSupplyInput) => order(routes.addSupply, { body }));
  const submit = (): void =>
    count.submit(async (counted) => {
      await form.handleSubmit(async (fields) => {
        const body = read(fields, {}, counted);
        if (!body) return;
        const { supply } = await add.mutateAsync(body);
        await onAdded(supply.id);
        forget(draft);
        startNext(sharedForm(session));
      })();
      // The next one of the pile is as many.
      return false;
    });
  return (
    <View style={styles.box}>
      <KeptForm control={form.control} keep={(given) => remember(draft, given)} />
      <Field control={form.control} name="name" label="Name" onSubmit={() => colourPlace.current?.focus()} />
      <ColourLine
        control={form.control}
        setValue={form.setValue}
        onSubmit={submit}
        colourPlace={colourPlace}
      />
      <View style={styles.row}>
        <Field control={form.control} name="code" label="Code" onSubmit={submit} />
      </View>
      <CountFields control={count.control} set={count.set} form={definition} onSubmit={submit} />
      <Button label="Next" says="Add it, and the next one" main busy={add.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.m - 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
