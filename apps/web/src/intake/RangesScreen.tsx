import { formOf, KIND_DEFINITIONS, KINDS, ownedOfRange, type Kind } from '@red-shelf/core';
import type { NewSupplyInput, RangeBody, RangeReadingView, RecordView } from '@red-shelf/contract';
import { useMutation } from '@tanstack/react-query';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { ApiError, order, readRangeFile, routes } from '../api/client';
import { recordsOf, useRecords, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { many } from '../copy/words';
import { chooseFile } from '../ui/files';
import { useDraft } from '../form/useDraft';
import { Waiting } from '../ui/Waiting';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { RowLink } from '../ui/RowLink';
import { Txt } from '../ui/Txt';
import { RangeTile } from './RangeTile';

type Range = RecordView & { body: RangeBody };

/** Makers' ranges as checklists: bring one in, tick what is owned. */
export function RangesScreen() {
  const { range: id } = useLocalSearchParams<{ range?: string }>();
  const { data, error } = useRecords();
  const { stash } = useStash();
  if (!data || !stash) return <Waiting error={error} />;
  const ranges = recordsOf(data, 'range');
  const current = ranges.find((range) => range.id === id);
  if (current) return <Checklist key={current.id} range={current} />;
  return (
    <Page title="Ranges" narrow aside="What exists, and what you own of it">
      {ranges.map((range) => {
        const owned = ownedOfRange(range.body.entries, range.body, stash.supplies).filter(Boolean).length;
        return (
          <RowLink
            key={range.id}
            title={`${range.body.maker} ${range.body.name}`.trim()}
            detail={`${owned} of ${range.body.entries.length} owned`}
            onPress={() => router.setParams({ range: range.id })}
          />
        );
      })}
      <NewRange />
    </Page>
  );
}

/** A range being brought in: what was read of its file, and what is said of it. */
const NO_RANGE: { reading: RangeReadingView | null; kind: Kind; maker: string; name: string } = {
  reading: null,
  kind: 'ink',
  maker: '',
  name: '',
};
const NONE: readonly number[] = [];

/** A checklist from a CSV file with names and hexes, or from a .gpl palette. */
function NewRange() {
  const [draft, setDraft, clear] = useDraft('range', NO_RANGE);
  const { reading, kind, maker, name } = draft;
  const read = useMutation({
    mutationFn: async () => {
      const file = await chooseFile('.csv,.gpl,text/csv,text/plain');
      return file && readRangeFile(file);
    },
    onSuccess: (answer) => {
      if (!answer) return;
      setDraft({ ...draft, reading: answer, name: answer.name });
    },
  });
  const keep = useChange((body: RangeBody) => order(routes.addRecord, { body: { body } }), { quiet: true });
  const submit = () =>
    reading &&
    keep.mutate(
      {
        sort: 'range',
        maker,
        name,
        kind,
        form: KIND_DEFINITIONS[kind].defaultForm,
        finish: 'matte',
        entries: reading.entries,
      },
      {
        onSuccess: ({ record }) => {
          clear();
          router.setParams({ range: record.id });
        },
      },
    );
  const error = read.error ?? keep.error;
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Bring a range in
      </Txt>
      <Txt look="quiet">A CSV file with columns for name, code and hex, or a .gpl palette.</Txt>
      <Button label="Choose a range file" busy={read.isPending} onPress={() => read.mutate()} />
      {error && <Note sort="error">{error instanceof ApiError ? error.message : 'That did not work.'}</Note>}
      {reading && (
        <>
          <Note>
            {`${many(reading.entries.length, 'colour')} read${reading.leftOut > 0 ? `, ${many(reading.leftOut, 'line')} without a name or colour left out` : ''}.`}
          </Note>
          <Choice
            label="They are"
            options={KINDS.map((each) => KIND_DEFINITIONS[each].plural)}
            value={KIND_DEFINITIONS[kind].plural}
            onChange={(plural) =>
              setDraft({
                ...draft,
                kind: KINDS.find((each) => KIND_DEFINITIONS[each].plural === plural) ?? 'ink',
              })
            }
          />
          <View style={styles.row}>
            <Input label="Maker" value={maker} onChange={(text) => setDraft({ ...draft, maker: text })} />
            <Input label="Range" value={name} onChange={(text) => setDraft({ ...draft, name: text })} />
          </View>
          <Button label="Keep the checklist" main busy={keep.isPending} onPress={submit} />
        </>
      )}
    </View>
  );
}

function Checklist({ range }: { readonly range: Range }) {
  const { body } = range;
  const { stash } = useStash();
  const [ticks, setTicks, clear] = useDraft<readonly number[]>(`range.${range.id}`, NONE);
  const ticked = new Set(ticks);
  const owned = useMemo(() => ownedOfRange(body.entries, body, stash?.supplies ?? []), [body, stash]);
  const add = useChange((supplies: NewSupplyInput[]) => order(routes.addSupplies, { body: { supplies } }), {
    quiet: true,
  });
  const remove = useChange(() =>
    order(routes.removeRecord, { id: range.id, body: { version: range.version } }),
  );
  const form = formOf(body.kind, body.form);
  const count =
    form.counting === 'fill'
      ? { items: 1, left: form.usesPerFill ?? 1 }
      : { items: 1, left: form.usualPurchase };
  const submit = () =>
    add.mutate(
      [...ticked].flatMap((i): NewSupplyInput[] => {
        const entry = body.entries[i];
        if (!entry) return [];
        const { kind, form: formId, maker, name: rangeName, finish } = body;
        return [{ ...entry, kind, form: formId, maker, range: rangeName, finish, count }];
      }),
      { onSuccess: clear },
    );
  const flip = (i: number) => setTicks(ticked.has(i) ? ticks.filter((each) => each !== i) : [...ticks, i]);
  const have = owned.filter(Boolean).length;
  return (
    <Page
      title={`${body.maker} ${body.name}`.trim()}
      aside={`${have} of ${body.entries.length} owned, ${Math.round((100 * have) / Math.max(1, body.entries.length))}%`}
    >
      <View style={styles.tiles} role="group" aria-label="Tick what you own">
        {body.entries.map((entry, i) => (
          <RangeTile
            key={`${entry.code} ${entry.name}`}
            entry={entry}
            owned={Boolean(owned[i])}
            ticked={ticked.has(i)}
            onPress={() => flip(i)}
          />
        ))}
      </View>
      {add.error && <Note sort="error">{add.error.message}</Note>}
      <View style={styles.row}>
        <Button
          label={`Add ${many(ticked.size, 'supply', 'supplies')}`}
          main
          disabled={ticked.size === 0}
          busy={add.isPending}
          onPress={submit}
        />
        <Button label="All ranges" onPress={() => router.setParams({ range: '' })} />
        <Button
          label="Remove this checklist"
          onPress={() => remove.mutate(undefined, { onSuccess: () => router.setParams({ range: '' }) })}
        />
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  tiles: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
