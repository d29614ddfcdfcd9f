import { formOf, ownedOfRange } from '@red-shelf/core';
import type { NewSupplyInput, RangeBody, RecordView } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { recordsOf, useRecords, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { many } from '../copy/words';
import { useDraft } from '../form/useDraft';
import { Waiting } from '../ui/Waiting';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { RowLink } from '../ui/RowLink';
import { NewRange } from './NewRange';
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

const NONE: readonly number[] = [];

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
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  tiles: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
