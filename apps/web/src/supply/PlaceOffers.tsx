import {
  addressIn,
  formOf,
  growthOf,
  makeRecipesOrder,
  offerSlots,
  oneMore,
  racksFor,
  type Settled,
} from '@red-shelf/core';
import { toSortable, type HoldingView, type Place, type SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { hasPlace, mainOf, useContents, useRoom } from '../api/contents';
import { usePreferences, useStashLater, type Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { unitTitle } from '../copy/supply';
import { listOf, many } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';

const OFFERED = 3;
/** From here on the smoothest way decides where one more goes, not lightness. */
const RATHER_SMOOTH = 0.5;

/** A thing in its place, as one more is set among it. */
type There = Settled & { readonly supply: SupplyView; readonly lot: HoldingView };
const asThere = (supply: SupplyView, lot: HoldingView): There => ({
  id: lot.id,
  ...{ hex: supply.hex, finish: supply.finish, family: supply.family, name: supply.name },
  ...{ supply, lot, stays: supply.facts.stays ?? false },
});

/** How this person puts things in order, and how fast families grow, to say where one more goes. */
function useOneMore(stash: Stash | undefined) {
  const { preferences } = usePreferences();
  return useMemo(() => {
    const sortable = new Map((stash?.supplies ?? []).map((supply) => [supply.id, toSortable(supply)]));
    const all = [...sortable.values()];
    const inOrder = makeRecipesOrder(preferences.recipes, preferences, all);
    const grown = growthOf(
      all.map(({ family, createdAt }) => ({ group: family, createdAt })),
      Date.now(),
    );
    const bySorting = (a: There, b: There): number => {
      const [p, q] = [sortable.get(a.supply.id), sortable.get(b.supply.id)];
      return p && q ? inOrder(p, q) : 0;
    };
    const smooth = preferences.smooth > RATHER_SMOOTH;
    return { rates: Object.fromEntries(grown), order: smooth ? ('smooth' as const) : bySorting };
  }, [stash, preferences]);
}

/**
 * Where a thing without a place goes: the racks for its shape, in each the spot where it belongs with the fewest others moved over,
 * and the one near it where nothing moves.
 */
export function PlaceOffers({ supply }: { readonly supply: SupplyView }) {
  const stash = useStashLater();
  const contents = useContents(stash);
  const room = useRoom(stash);
  const lot = mainOf(supply);
  const placed = hasPlace(supply);
  const how = useOneMore(placed ? undefined : stash);
  const set = useChange((moves: readonly { lot: HoldingView; place: Place }[]) =>
    order(routes.moveHoldings, {
      body: { moves: moves.map(({ lot: { id, version }, place }) => ({ id, version, place })) },
    }),
  );
  const offers = useMemo(() => {
    if (!lot || placed) return [];
    const units = (stash?.wall.units ?? []).map((unit) => ({
      unit,
      slots: (contents.get(unit.id) ?? []).map((living) => living && living.supply),
    }));
    return offerSlots({ supply, lot, hex: supply.hex }, units, room)
      .slice(0, OFFERED)
      .map((offer) => {
        const there = (contents.get(offer.unit.id) ?? []).map(
          (living) => living && asThere(living.supply, living.lot),
        );
        return { ...offer, one: oneMore(asThere(supply, lot), offer.unit, there, room, how) };
      });
  }, [supply, lot, placed, stash, contents, room, how]);
  if (!stash || !lot || placed) return null;
  const form = formOf(supply.kind, supply.form).name;
  const [template] = racksFor({ supply, lot });
  return (
    <View style={styles.box} role="group" aria-label="Where it could live">
      {offers.map(({ unit, cell, made, open, beside, one }) => {
        const exact = one ?? { cell, before: null, over: [], near: null };
        const at = addressIn(unit, exact.cell);
        const place = (to: number | null): Place => ({ unitId: unit.id, cell: to });
        const over = exact.over.map(({ thing, to }) => ({ lot: thing.lot, place: place(to) }));
        const first = { ...place(exact.cell), ...(exact.before ? { before: exact.before.id } : {}) };
        return (
          <View key={unit.id} style={styles.offer}>
            <Txt look="quiet">
              {[
                unitTitle(unit),
                made ? `made for this: ${form}` : 'takes it',
                ...(open === null ? [] : [`${open} open`]),
                exact.before
                  ? `right before ${exact.before.name ?? 'another'}`
                  : beside
                    ? `beside ${beside.name}`
                    : 'empty',
              ].join(' · ')}
            </Txt>
            <View style={styles.acts}>
              <Button
                label={over.length === 0 ? `To ${at}` : `To ${at}, ${many(over.length, 'other')} over`}
                says={
                  over.length === 0
                    ? `Set it down in ${at}`
                    : `Set it down in ${at}, and move ${many(over.length, 'other')} over`
                }
                disabled={set.isPending}
                onPress={() => set.mutate([...over, { lot, place: first }])}
              />
              {exact.near && (
                <Button
                  label={`Or ${addressIn(unit, exact.near.cell)}: nothing moves`}
                  says={`Set it down in ${addressIn(unit, exact.near.cell)}, near where it belongs; nothing moves`}
                  disabled={set.isPending}
                  onPress={() => set.mutate([{ lot, place: place(exact.near?.cell ?? null) }])}
                />
              )}
            </View>
            {exact.over.length > 0 && (
              <Txt look="quiet">
                {`Moves over first: ${listOf(
                  exact.over.map(({ thing, to }) => `${thing.name ?? ''} to ${addressIn(unit, to)}`),
                )}.`}
              </Txt>
            )}
          </View>
        );
      })}
      {offers.every(({ made }) => !made) && (
        <View style={styles.row}>
          <Txt look="quiet" style={styles.words}>
            {template
              ? `No rack made for this (${form}) has room. A new one would be: ${template.name.toLowerCase()}.`
              : `No sort of rack takes its size; a ${form} is usually smaller. Check its outside size.`}
          </Txt>
          {template && (
            <Button
              label="Put one up"
              says={`Put up: ${template.name}`}
              onPress={() => router.push({ pathname: '/rack', params: { template: template.id } })}
            />
          )}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.m - 4 },
  offer: { gap: space.xs },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  words: { flex: 1 },
});
