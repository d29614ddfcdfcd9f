import { isOnWall, makeGroupOf, recipeOf } from '@red-shelf/core';
import {
  type DrawersBody,
  type RecordView,
  type SupplyView,
  type UnitView,
  planDrawerOf,
  type SortableSupply,
} from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { livesIn, unitIdsOf } from '../../api/contents';
import { usePreferences, type Stash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { unitTitle } from '../../copy/supply';
import { listOf, many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';
import { DrawerLine } from './DrawerLine';

const NO_RACK = 'a drawer of its own';

interface KeptDrawersProps {
  readonly plan: RecordView & { body: DrawersBody };
  /** In the order they would stand. */
  readonly supplies: readonly SortableSupply[];
  readonly stash: Stash;
}

/** Drawers that were decided on, with what lies in each now, and what has none yet. */
export function KeptDrawers({ plan, supplies, stash }: KeptDrawersProps) {
  const { body } = plan;
  const { units } = stash.wall;
  const { preferences } = usePreferences();
  const [asking, setAsking] = useState<number | null>(null);
  const keep = useChange((next: DrawersBody) =>
    order(routes.editRecord, { id: plan.id, body: { version: plan.version, body: next } }),
  );
  const lift = useChange((things: readonly SupplyView[]) =>
    order(routes.batchEdit, {
      body: { supplies: things.map(({ id, version }) => ({ id, version })), set: { lift: true } },
    }),
  );
  const remove = useChange(() =>
    order(routes.removeRecord, { id: plan.id, body: { version: plan.version } }),
  );
  const { inside, homeless } = useMemo(() => {
    const drawerOf = planDrawerOf(body, stash.supplies, preferences);
    const recipe = recipeOf(preferences.recipes, { kind: body.kind, form: body.form ?? '' });
    const groupOf = makeGroupOf(body.key, supplies, preferences, recipe);
    const lying: SortableSupply[][] = body.drawers.map(() => []);
    const without = new Map<string, number>();
    for (const item of supplies) {
      const drawer = drawerOf(item);
      if (drawer !== null) lying[drawer]?.push(item);
      else without.set(groupOf(item), (without.get(groupOf(item)) ?? 0) + 1);
    }
    return { inside: lying, homeless: [...without] };
  }, [body, supplies, stash, preferences]);
  const fullest = Math.max(...inside.map(({ length }) => length));
  const emptiest = inside.findIndex(
    ({ length }) => length === Math.min(...inside.map((each) => each.length)),
  );
  const change = (at: number, more: (drawer: DrawersBody['drawers'][number]) => object): void =>
    keep.mutate({
      ...body,
      drawers: body.drawers.map((drawer, i) => (i === at ? { ...drawer, ...more(drawer) } : drawer)),
    });
  const racks = units.filter((unit) => unit.rules.kinds.includes(body.kind) && isOnWall(unit));
  return (
    <>
      <Txt look="strong" level={2}>
        {body.name}
      </Txt>
      <Txt look="quiet">
        By {body.key}, kept on {format(parseISO(plan.updatedAt), 'd MMM yyyy')}. What is new goes where it
        belongs.
      </Txt>
      {homeless.map(([group, count]) => (
        <Note key={group} sort="attention">
          <Txt>
            {group}: {many(count, 'thing')} without a drawer yet.
          </Txt>
          <Button
            label={`Put it in drawer ${emptiest + 1}, the emptiest`}
            says={`Put ${group} in drawer ${emptiest + 1}, the emptiest`}
            disabled={keep.isPending}
            onPress={() =>
              change(emptiest, ({ holds }) => ({ holds: [...holds, { group, startsAt: null, share: 0 }] }))
            }
          />
        </Note>
      ))}
      <View role="list" style={styles.box}>
        {body.drawers.map(({ unitId }, i) => {
          const rack = units.find(({ id }) => id === unitId);
          const away = (inside[i] ?? []).filter(
            (supply) => unitIdsOf(supply).length > 0 && !livesIn(supply, unitId),
          );
          return (
            <DrawerLine key={i} number={i + 1} items={inside[i] ?? []} fullest={fullest}>
              <Txt>
                {sayHolds(body, i)}: {many(inside[i]?.length ?? 0, 'thing')}
                {rack ? `, in ${unitTitle(rack)}` : ''}
              </Txt>
              {away.length > 0 && (
                <Txt look="quiet">
                  {`${away.length} of them ${away.length === 1 ? 'has its slot' : 'have their slots'} in ${racksOf(away, units)}.`}
                </Txt>
              )}
              <View style={styles.acts}>
                {racks.length > 0 && (
                  <Button
                    label={rack ? 'Another rack' : 'It is a rack'}
                    says={`Which rack drawer ${i + 1} is`}
                    onPress={() => setAsking(asking === i ? null : i)}
                  />
                )}
                {away.length > 0 && !rack && (
                  <Button
                    label="They lie here now"
                    says={`What is in drawer ${i + 1} lies there now`}
                    disabled={lift.isPending}
                    onPress={() => lift.mutate(away)}
                  />
                )}
              </View>
              {asking === i && (
                <Choice
                  label="Arrange then keeps its things there, and others out"
                  options={[NO_RACK, ...racks.map(unitTitle)]}
                  value={rack ? unitTitle(rack) : NO_RACK}
                  onChange={(title) => {
                    setAsking(null);
                    change(i, () => ({
                      unitId: racks.find((each) => unitTitle(each) === title)?.id ?? null,
                    }));
                  }}
                />
              )}
            </DrawerLine>
          );
        })}
      </View>
      <Button label="Share out anew" busy={remove.isPending} onPress={() => remove.mutate(undefined)} />
    </>
  );
}

/** "coffee, blue (part 2 of 3)": what a drawer holds, and which part of a group that is cut. */
function sayHolds({ drawers }: DrawersBody, at: number): string {
  const said = (drawers[at]?.holds ?? []).map(({ group }) => {
    const parts = drawers.flatMap(({ holds }, i) => (holds.some((hold) => hold.group === group) ? [i] : []));
    return parts.length > 1 ? `${group} (part ${parts.indexOf(at) + 1} of ${parts.length})` : group;
  });
  return said.join(', ') || 'nothing';
}

/** "D Ribbon pegs and E Sticker album". */
function racksOf(things: readonly SupplyView[], units: readonly UnitView[]): string {
  const ids = new Set(things.flatMap(unitIdsOf));
  return listOf(units.filter(({ id }) => ids.has(id)).map(unitTitle));
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
