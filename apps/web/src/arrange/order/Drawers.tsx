import {
  drawerKey,
  keepDrawers,
  KIND_DEFINITIONS,
  makeGroupOf,
  pairSubjects,
  shareIntoDrawers,
  type Drawer,
  type Kind,
  type SortKey,
} from '@red-shelf/core';
import { type DrawersBody, type SortableSupply } from '@red-shelf/contract';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../../api/client';
import { recordsOf, usePreferences, useRecords, type Stash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { listOf, many } from '../../copy/words';
import { ChoiceField } from '../../form/bound';
import { typed, whole } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';
import { DrawerLine } from './DrawerLine';
import { KeptDrawers } from './KeptDrawers';

interface DrawersProps {
  /** In the order they would stand. */
  readonly supplies: readonly SortableSupply[];
  readonly recipe: readonly SortKey[];
  readonly kind: Kind;
  readonly form: string | null;
  readonly stash: Stash;
}

/** The drawers of a kind: those that are kept, or a proposal to keep. */
export function Drawers(props: DrawersProps) {
  const { kind, form } = props;
  const { data } = useRecords();
  const plan = recordsOf(data, 'drawers').find(({ body }) => body.kind === kind && body.form === form);
  return (
    <View style={styles.box} role="region" aria-label="Drawers">
      {plan ? (
        <KeptDrawers plan={plan} supplies={props.supplies} stash={props.stash} />
      ) : (
        <Propose key={`${kind} ${form ?? ''}`} {...props} />
      )}
    </View>
  );
}

const WAYS = ['in this order', 'whole groups, paired'] as const;
const START: { typed: string; way: (typeof WAYS)[number] } = { typed: '6', way: WAYS[0] };
const drawersSaid = z.object({
  typed: typed(whole(1, 200, 'A whole number from 1 to 200.')),
  way: z.enum(WAYS),
});

/** So many drawers: which neighbours share one, which are split over two, so that each is about evenly filled. */
function Propose({ supplies, recipe, kind, form }: DrawersProps) {
  const { preferences } = usePreferences();
  const ask = useAsk(`drawers.${kind}.${form ?? ''}`, drawersSaid, START, { live: true });
  const { typed: n, way } = drawersSaid.safeParse(ask.said).data ?? { typed: 0, way: ask.said.way };
  const key = drawerKey(recipe);
  // Where groups come back later in the order, they are gathered, so colours are taken group by group.
  const byGroup = useMemo(() => {
    const groupOf = makeGroupOf(key, supplies, preferences, recipe);
    const found = new Map<string, SortableSupply[]>();
    for (const item of supplies) {
      const there = found.get(groupOf(item));
      if (there) there.push(item);
      else found.set(groupOf(item), [item]);
    }
    return found;
  }, [supplies, key, preferences, recipe]);
  const drawers = useMemo(() => {
    const groups = [...byGroup].map(([group, { length: count }]) => ({ group, count }));
    if (n === 0) return [];
    return way === WAYS[0] ? shareIntoDrawers(groups, n) : pairSubjects(groups, n);
  }, [byGroup, n, way]);
  const keep = useChange((body: DrawersBody) => order(routes.addRecord, { body: { body } }));
  const fullest = Math.max(1, ...drawers.map(({ count }) => count));
  const submit = (): void =>
    ask.submit(() => {
      const holds = keepDrawers(drawers, (group) => byGroup.get(group) ?? []);
      return keep.mutateAsync({
        sort: 'drawers',
        name: `Drawers of ${KIND_DEFINITIONS[kind].plural.toLowerCase()}`,
        kind,
        form,
        key,
        drawers: holds.map((drawer) => ({ ...drawer, holds: [...drawer.holds] })),
      });
    });
  return (
    <>
      <Txt look="strong" level={2}>
        In how many drawers?
      </Txt>
      <View style={styles.row}>
        <Field control={ask.control} name="typed" label="Drawers, trays or boxes" numeric />
      </View>
      <ChoiceField control={ask.control} name="way" label="Shared out" options={WAYS} />
      {supplies.length === 0 && <Note>Nothing to share out yet.</Note>}
      <View role="list" style={styles.box}>
        {drawers.map((drawer, i) => (
          <DrawerLine
            key={i}
            number={i + 1}
            items={drawer.parts.flatMap(({ group, from, to }) => (byGroup.get(group) ?? []).slice(from, to))}
            fullest={fullest}
          >
            <Txt>{sayDrawer(drawer)}</Txt>
          </DrawerLine>
        ))}
      </View>
      {drawers.length > 0 && (
        <Button label="Keep these drawers" main busy={keep.isPending} onPress={submit} />
      )}
    </>
  );
}

/** "red and orange: 34 things", "blue, 1 to 30 of 61: 30 things". */
export function sayDrawer({ parts, count }: Drawer): string {
  const said = parts.map(({ group, from, to, of }) =>
    to - from === of ? group : `${group} (${from + 1} to ${to} of ${of})`,
  );
  return `${listOf(said)}: ${many(count, 'thing')}`;
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', maxWidth: 240 },
});
