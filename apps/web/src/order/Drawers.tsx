import { pairSubjects, shareIntoDrawers, type Drawer, type Sortable } from '@red-shelf/core';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { many } from '../copy/words';
import { space } from '../theme/tokens';
import { ColourThreads } from '../ui/ColourThreads';
import { Choice } from '../ui/Choice';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

interface DrawersProps {
  /** In the order they would stand. */
  readonly supplies: readonly (Sortable & { readonly hex: string })[];
  readonly groupOf: (item: Sortable) => string;
}

const WAYS = ['in this order', 'whole groups, paired'] as const;

/** So many drawers: which neighbours share one, which are split over two, so that each is about evenly filled. */
export function Drawers({ supplies, groupOf }: DrawersProps) {
  const [typed, setTyped] = useState('6');
  const [way, setWay] = useState<string>(WAYS[0]);
  const n = Number(typed);
  const valid = Number.isInteger(n) && n >= 1 && n <= 200;
  const drawers = useMemo(() => {
    const counts = new Map<string, number>();
    for (const item of supplies) counts.set(groupOf(item), (counts.get(groupOf(item)) ?? 0) + 1);
    const groups = [...counts].map(([group, count]) => ({ group, count }));
    if (!valid) return [];
    return way === WAYS[0] ? shareIntoDrawers(groups, n) : pairSubjects(groups, n);
  }, [supplies, groupOf, n, valid, way]);
  // Where groups come back later in the order, they are gathered, so colours are taken group by group.
  const byGroup = useMemo(() => {
    const found = new Map<string, DrawersProps['supplies'][number][]>();
    for (const item of supplies) found.set(groupOf(item), [...(found.get(groupOf(item)) ?? []), item]);
    return found;
  }, [supplies, groupOf]);
  const fullest = Math.max(1, ...drawers.map(({ count }) => count));
  return (
    <View style={styles.box} role="region" aria-label="Drawers">
      <Txt look="strong" level={2}>
        In how many drawers?
      </Txt>
      <View style={styles.row}>
        <Input
          label="Drawers, trays or boxes"
          value={typed}
          onChange={setTyped}
          numeric
          error={valid ? undefined : 'A whole number from 1 to 200.'}
        />
      </View>
      <Choice label="Shared out" options={WAYS} value={way} onChange={setWay} />
      {supplies.length === 0 && <Note>Nothing to share out yet.</Note>}
      <View role="list" style={styles.box}>
        {drawers.map((drawer, i) => (
          <View key={i} role="listitem" style={styles.drawer}>
            <Txt look="label" style={styles.number}>
              {i + 1}
            </Txt>
            <View style={styles.words}>
              <View style={{ width: `${(100 * drawer.count) / fullest}%` }}>
                <ColourThreads
                  items={drawer.parts.flatMap(({ group, from, to }) =>
                    (byGroup.get(group) ?? []).slice(from, to),
                  )}
                  says={many(drawer.count, 'thing')}
                  height={22}
                  most={60}
                />
              </View>
              <Txt>{sayDrawer(drawer)}</Txt>
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}

/** "red and orange: 34 things", "blue, 1 to 30 of 61: 30 things". */
export function sayDrawer({ parts, count }: Drawer): string {
  const said = parts.map(({ group, from, to, of }) =>
    to - from === of ? group : `${group} (${from + 1} to ${to} of ${of})`,
  );
  const last = said.at(-1) ?? '';
  const list = said.length > 1 ? `${said.slice(0, -1).join(', ')} and ${last}` : last;
  return `${list}: ${many(count, 'thing')}`;
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', maxWidth: 240 },
  drawer: { flexDirection: 'row', gap: space.s, alignItems: 'center' },
  number: { width: 24, textAlign: 'right' },
  words: { flex: 1, gap: 2 },
});
