import { FILLINGS, isOnWall, REACHES, STANDINGS, unitFactsSchema, type UnitFacts } from '@red-shelf/core';
import type { EditedUnit, SupplyView, UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { unitTitle } from '../copy/supply';
import { many } from '../copy/words';
import { useDraft } from '../form/useDraft';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Columns } from '../ui/Columns';
import { Choice } from '../ui/Choice';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Labels } from './Labels';

const FIRST = 'at the front';
const REACH_WORDS = { near: 'at hand', mid: 'a step away', far: 'deep storage' } as const;
const FILLING_WORDS = { rows: 'row by row', columns: 'column by column', snake: 'as a snake' } as const;

const wordOf = <K extends string>(words: Readonly<Record<K, string>>, word: string): K | undefined =>
  (Object.keys(words) as K[]).find((key) => words[key] === word);

interface UnitEditProps {
  readonly unit: UnitView;
  readonly units: readonly UnitView[];
  readonly slots: readonly (SupplyView | null)[];
}

/** What is known of one unit: its name, standing, reach, limit, the order it is filled in, its labels. */
export function UnitEdit({ unit, units, slots }: UnitEditProps) {
  const at = units.findIndex(({ id }) => id === unit.id);
  const before = units[at - 1];
  const [start] = useState(() => ({
    name: unit.name,
    facts: unit.facts,
    cap: String(unit.facts.cap ?? ''),
    skip: (unit.facts.skipColumns ?? []).join(', '),
    after: before ? unitTitle(before) : FIRST,
  }));
  const [draft, setDraft, clear] = useDraft(`unit.${unit.id}.${unit.version}`, start);
  const { name, facts, cap, skip, after } = draft;
  const change = (more: Partial<typeof draft>): void => setDraft({ ...draft, ...more });
  const setFacts = (next: UnitFacts): void => change({ facts: next });
  const done = (): void => {
    clear();
    router.setParams({ unit: '' });
  };
  const [refusal, setRefusal] = useState<string | null>(null);
  const keep = useChange((body: EditedUnit) => call(routes.editUnit, { id: unit.id, body }), { quiet: true });
  const inside = slots.filter((slot) => slot !== null).length;
  const leaves = isOnWall(unit.facts) && !isOnWall(facts) ? inside : 0;
  const submit = (): void => {
    if (keep.isPending) return;
    const columns = skip
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    const bad = columns.find((column) => !Number.isInteger(column) || column < 1 || column > unit.columns);
    if (bad !== undefined)
      return setRefusal(`Columns are numbered 1 to ${unit.columns}; write the ones to skip like 3, 7.`);
    if (columns.length >= unit.columns) return setRefusal('At least one column must be left to fill.');
    const { cap: _, skipColumns: __, ...rest } = facts;
    const read = unitFactsSchema.safeParse({
      ...rest,
      ...(cap.trim() === '' ? {} : { cap: Number(cap) }),
      ...(columns.length > 0 ? { skipColumns: columns } : {}),
    });
    if (!read.success)
      return setRefusal(
        cap.trim() !== '' && !/^\d+$/.test(cap.trim())
          ? 'A limit is a whole number such as 40.'
          : (read.error.issues[0]?.message ?? ''),
      );
    setRefusal(null);
    const behind = units.find((each) => unitTitle(each) === after);
    const moved = (behind?.id ?? null) !== (before?.id ?? null);
    // The new version may stand here before the answer is told, as a form of its own: the promise outlives this one.
    const body = {
      version: unit.version,
      name,
      facts: read.data,
      ...(moved ? { after: behind?.id ?? null } : {}),
    };
    return void keep.mutateAsync(body).then(done, () => undefined);
  };
  return (
    <Page title={unitTitle(unit)} aside={`${many(inside, 'thing')} in it`}>
      <Columns
        first={
          <>
            <Input label="Name" value={name} onChange={(text) => change({ name: text })} onSubmit={submit} />
            <Choice
              label="Standing"
              options={STANDINGS}
              value={facts.standing ?? 'active'}
              onChange={(word) => setFacts({ ...facts, standing: STANDINGS.find((each) => each === word) })}
            />
            {!isOnWall(facts) && (
              <Input
                label="Where it is kept"
                value={facts.keptAt ?? ''}
                onChange={(keptAt) => setFacts({ ...facts, keptAt })}
                hint="loft, behind the boxes"
              />
            )}
            {leaves > 0 && (
              <Note sort="attention">{`${many(leaves, 'thing')} in it will have no place; they stay in the stash.`}</Note>
            )}
            <Choice
              label="From the desk it is"
              options={REACHES.map((reach) => REACH_WORDS[reach])}
              value={REACH_WORDS[facts.reach ?? 'mid']}
              onChange={(word) => setFacts({ ...facts, reach: wordOf(REACH_WORDS, word) })}
            />
            <Choice
              label="Filled"
              options={FILLINGS.map((filling) => FILLING_WORDS[filling])}
              value={FILLING_WORDS[facts.filling ?? 'rows']}
              onChange={(word) => setFacts({ ...facts, filling: wordOf(FILLING_WORDS, word) })}
            />
            <View style={styles.row}>
              <Input
                label="Columns to skip"
                value={skip}
                onChange={(text) => change({ skip: text })}
                hint="3, 7; none when empty"
              />
              <Input
                label="At most"
                value={cap}
                onChange={(text) => change({ cap: text })}
                numeric
                hint="things; then one in, one out"
              />
            </View>
            <Choice
              label="It comes after"
              options={[FIRST, ...units.filter(({ id }) => id !== unit.id).map(unitTitle)]}
              value={after}
              onChange={(word) => change({ after: word })}
            />
            {(refusal ?? keep.error) && <Note sort="error">{refusal ?? keep.error?.message ?? ''}</Note>}
            <View style={styles.row}>
              <Button label="Keep it so" main busy={keep.isPending} onPress={submit} />
              <Button label="Leave it as it was" onPress={done} />
            </View>
            <Txt look="quiet">Nothing in it moves until you arrange it.</Txt>
          </>
        }
        second={<Labels unit={unit} slots={slots} />}
      />
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
