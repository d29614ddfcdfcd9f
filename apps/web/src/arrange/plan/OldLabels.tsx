import { router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useContents } from '../../api/contents';
import type { Stash } from '../../api/queries';
import { unitTitle } from '../../copy/supply';
import { many } from '../../copy/words';
import { oldLabels } from '../../judge/labelled';
import { RowLink } from '../../ui/RowLink';

interface OldLabelsProps {
  readonly stash: Stash;
  /** Ids of places whose things were moved. */
  readonly unitIds: readonly string[];
}

/** After things were moved: places with labels that say what is there no more, each a tap from printing those that changed. */
export function OldLabels({ stash, unitIds }: OldLabelsProps) {
  const contents = useContents(stash);
  const named = unitIds.join('\n');
  const old = useMemo(() => {
    const ids = new Set(named.split('\n'));
    return stash.wall.units
      .filter(({ id }) => ids.has(id))
      .map((unit) => ({ unit, count: oldLabels(unit, contents.get(unit.id) ?? []) }))
      .filter(({ count }) => count > 0);
  }, [stash, contents, named]);
  if (old.length === 0) return null;
  return (
    <View role="list" aria-label="Labels to print again">
      {old.map(({ unit, count }) => (
        <RowLink
          key={unit.id}
          title={`${many(count, 'label')} of ${unitTitle(unit)} ${count === 1 ? 'says' : 'say'} something else than what is there`}
          detail="print what changed"
          onPress={() => router.push({ pathname: '/storage', params: { unit: unit.id } })}
        />
      ))}
    </View>
  );
}
