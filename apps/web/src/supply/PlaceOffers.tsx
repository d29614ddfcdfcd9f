import { addressIn, formOf, offerSlots, racksFor } from '@red-shelf/core';
import type { Place, SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { hasPlace, mainOf, useContents, useRoom } from '../api/contents';
import { useStashLater } from '../api/queries';
import { useChange } from '../api/useChange';
import { unitTitle } from '../copy/supply';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';

const OFFERED = 3;

/** Where a thing without a place could live: the racks for its shape, each with the open place among its likes. */
export function PlaceOffers({ supply }: { readonly supply: SupplyView }) {
  const stash = useStashLater();
  const contents = useContents(stash);
  const room = useRoom(stash);
  const lot = mainOf(supply);
  const set = useChange((place: Place) =>
    order(routes.placeHolding, { id: lot?.id ?? '', body: { version: lot?.version ?? 0, place } }),
  );
  const offers = useMemo(
    () =>
      lot
        ? offerSlots(
            { supply, lot, hex: supply.hex },
            (stash?.wall.units ?? []).map((unit) => ({
              unit,
              slots: (contents.get(unit.id) ?? []).map((living) => living && living.supply),
            })),
            room,
          ).slice(0, OFFERED)
        : [],
    [supply, lot, stash, contents, room],
  );
  if (!stash || !lot || hasPlace(supply)) return null;
  const form = formOf(supply.kind, supply.form).name;
  const [template] = racksFor({ supply, lot });
  return (
    <View style={styles.box} role="group" aria-label="Where it could live">
      {offers.map(({ unit, cell, made, open, beside }) => (
        <View key={unit.id} style={styles.offer}>
          <Txt look="quiet" style={styles.words}>
            {[
              unitTitle(unit),
              made ? `made for this: ${form}` : 'takes it',
              ...(open === null ? [] : [`${open} open`]),
              beside ? `beside ${beside.name}` : 'empty',
            ].join(' · ')}
          </Txt>
          <Button
            label={`To ${addressIn(unit, cell)}`}
            says={`Set it down in ${addressIn(unit, cell)}`}
            disabled={set.isPending}
            onPress={() => set.mutate({ unitId: unit.id, cell })}
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
