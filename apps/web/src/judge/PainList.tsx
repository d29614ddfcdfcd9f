import { isOnWall, painOf } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { recordsOf, usePreferences, useRecords, type Stash } from '../api/queries';
import { unitTitle } from '../copy/supply';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';
import { useContents } from '../api/contents';
import { labelled } from './labelled';
import { sayPain } from './painWords';

const WORST = 3;

/** Every unit with where it hurts, the worst first. */
export function usePains(stash: Stash | undefined) {
  const slots = useContents(stash);
  const { data } = useRecords();
  const { preferences } = usePreferences();
  const { recipes } = preferences;
  const homes = useMemo(
    () =>
      new Set(
        recordsOf(data, 'group').flatMap(({ body }) => (body.what === 'palette' ? (body.home ?? []) : [])),
      ),
    [data],
  );
  const [opened] = useState(() => Date.now());
  const judged = useMemo(
    () =>
      (stash?.wall.units ?? [])
        .map((unit) => {
          const byFamily =
            !homes.has(unit.id) &&
            unit.rules.kinds.every((kind) => (recipes[kind]?.[0] ?? 'family') === 'family');
          return { unit, ...painOf(unit, labelled(slots.get(unit.id) ?? []), opened, byFamily) };
        })
        .sort((p, q) => q.score - p.score || (p.unit.label < q.unit.label ? -1 : 1)),
    [stash, slots, opened, recipes, homes],
  );
  return { slots, judged };
}

interface PainListProps {
  readonly stash: Stash;
  readonly busy: boolean;
  /** Begins with one of them. */
  readonly onStart: (unit: UnitView) => void;
}

/** The places that hurt most, for starting there. */
export function PainList({ stash, busy, onStart }: PainListProps) {
  const { judged, slots } = usePains(stash);
  const worst = judged.filter(({ unit, score }) => score > 0 && isOnWall(unit)).slice(0, WORST);
  if (worst.length === 0) return null;
  return (
    <View style={styles.box}>
      <View role="list" aria-label="Where it hurts most" style={styles.box}>
        {worst.map(({ unit, pains }) => (
          <View key={unit.id} role="listitem" style={styles.place}>
            <Txt look="quiet" style={styles.words}>
              {unitTitle(unit)}: {pains.map(sayPain).join(', ')}
            </Txt>
            {slots.get(unit.id)?.some((living) => living !== null) && (
              <Button
                label="Start here"
                says={`Sort out ${unitTitle(unit)}`}
                disabled={busy}
                onPress={() => onStart(unit)}
              />
            )}
          </View>
        ))}
      </View>
      <View style={styles.start}>
        <Button label="All storage" onPress={() => router.push('/storage')} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  place: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  words: { flex: 1 },
  start: { alignItems: 'flex-start' },
});
