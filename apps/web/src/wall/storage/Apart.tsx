import { addressIn, companionsApart, partnersOf } from '@red-shelf/core';
import type { HoldingView, SupplyView, UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { mainOf, useRoom } from '../../api/contents';
import type { Stash } from '../../api/queries';
import { sayWhat, unitTitle } from '../../copy/supply';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Txt } from '../../ui/Txt';
import { letGoOf, lift } from '../carry/carried';

interface Thing {
  readonly supply: SupplyView;
  readonly lot: HoldingView;
  readonly unit: UnitView;
}

/** The main lot of every supply that has a place, by supply. */
function housedIn({ supplies, wall }: Stash): ReadonlyMap<string, Thing> {
  const units = new Map(wall.units.map((unit) => [unit.id, unit]));
  return new Map(
    supplies.flatMap((supply): [string, Thing][] => {
      const lot = mainOf(supply);
      const unit = units.get(lot?.spot?.unitId ?? '');
      return lot && unit ? [[supply.id, { supply, lot, unit }]] : [];
    }),
  );
}

/** What is used together and kept apart, and where both would go. */
export function Apart({ stash }: { readonly stash: Stash }) {
  const room = useRoom(stash);
  const apart = useMemo(() => {
    const housed = housedIn(stash);
    return companionsApart(
      [...housed.values()],
      ({ supply }) => partnersOf(supply, stash.supplies).flatMap(({ id }) => housed.get(id) ?? []),
      stash.wall.all,
      room,
    );
  }, [stash, room]);
  if (apart.length === 0) return null;
  const carry = (...things: readonly Thing[]): void => {
    letGoOf();
    for (const { lot } of things) lift(lot.id);
    router.push('/');
  };
  return (
    <View style={styles.part}>
      <Txt look="title" level={2}>
        Kept apart
      </Txt>
      {apart.map(({ thing, companion, both }) => (
        <View key={`${thing.lot.id} ${companion.lot.id}`} style={styles.one}>
          <Txt>{`${say(thing)}; ${say(companion)}.`}</Txt>
          <Txt look="quiet">
            {both
              ? `Both would go into ${unitTitle(both)}.`
              : 'No place takes both without harm to one of them.'}
          </Txt>
          <Button
            label="Carry both"
            says={`Carry ${thing.supply.name} and what belongs to it`}
            onPress={() => carry(thing, companion)}
          />
        </View>
      ))}
    </View>
  );
}

const say = ({ supply, lot, unit }: Thing): string =>
  `${supply.name} (${sayWhat(supply).split(' · ')[0] ?? ''}) is in ${addressIn(unit, lot.spot?.cell ?? null)}`;

const styles = StyleSheet.create({ part: { gap: space.s }, one: { gap: space.xs } });
