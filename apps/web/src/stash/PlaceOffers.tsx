import { formOf, offerSlots, racksFor, slotAddress } from '@red-shelf/core';
import type { Place, SupplyView, UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { recordsOf, usePreferences, useRecords, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { unitTitle } from '../copy/supply';
import { planDrawerOf } from '../order/useWhere';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';
import { useSlots } from '../wall/useWall';

const OFFERED = 3;

/** Units that are open to a thing: those its drawer is, else those no palette and no drawer has to itself. */
function useOpenTo(supply: SupplyView): (unit: UnitView) => boolean {
  const { stash } = useStash();
  const { data } = useRecords();
  const { preferences } = usePreferences();
  return useMemo(() => {
    const own = new Set<string>();
    const others = new Set<string>();
    for (const { body } of recordsOf(data, 'group')) {
      if (body.what !== 'palette' || !body.home) continue;
      const mine = body.members.some(({ supplyId }) => supplyId === supply.id);
      (mine ? own : others).add(body.home);
    }
    for (const { body } of recordsOf(data, 'drawers')) {
      const mine = planDrawerOf(body, stash?.supplies ?? [], preferences)(supply);
      body.drawers.forEach(({ unitId }, i) => unitId && (i === mine ? own : others).add(unitId));
    }
    return ({ id }) => (own.size > 0 ? own.has(id) : !others.has(id));
  }, [supply, stash, data, preferences]);
}

/** Where a thing without a slot could live: the racks for its shape, each with the open slot among its likes. */
export function PlaceOffers({ supply }: { readonly supply: SupplyView }) {
  const { stash } = useStash();
  const slots = useSlots(stash);
  const isOpen = useOpenTo(supply);
  const set = useChange((place: Place) => call(routes.placeSupply, { id: supply.id, body: { place } }));
  const offers = useMemo(
    () =>
      offerSlots(
        supply,
        (stash?.wall.units ?? [])
          .filter(isOpen)
          .map((unit) => ({ unit, facts: unit.facts, slots: slots.get(unit.id) ?? [] })),
      ).slice(0, OFFERED),
    [supply, stash, slots, isOpen],
  );
  if (!stash || supply.place) return null;
  const form = formOf(supply.kind, supply.form).name;
  const [template] = racksFor(supply);
  return (
    <View style={styles.box} role="group" aria-label="Where it could live">
      {offers.map(({ unit, slot, made, open, beside }) => (
        <View key={unit.id} style={styles.offer}>
          <Txt look="quiet" style={styles.words}>
            {[
              unitTitle(unit),
              made ? `made for this: ${form}` : 'takes it',
              `${open} open`,
              beside ? `beside ${beside.name}` : 'empty',
            ].join(' · ')}
          </Txt>
          <Button
            label={`To ${slotAddress(unit, slot)}`}
            says={`Set it down in ${slotAddress(unit, slot)}`}
            disabled={set.isPending}
            onPress={() => set.mutate({ unitId: unit.id, slot })}
          />
        </View>
      ))}
      {offers.every(({ made }) => !made) && (
        <View style={styles.offer}>
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
  box: { gap: space.s },
  offer: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  words: { flex: 1 },
});
