import { addressIn, reachesIn, reachSwaps, useOf, type Reached } from '@red-shelf/core';
import type { HoldingView, SupplyView, UnitView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { useRoom } from '../../api/contents';
import type { Stash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { sayUses } from '../../copy/room';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Txt } from '../../ui/Txt';

interface Thing extends Reached {
  readonly supply: SupplyView;
  readonly lot: HoldingView;
  readonly unit: UnitView;
}

/** Every lot in its place, with how much its supply is used. */
const placedIn = (stash: Stash): Thing[] => {
  const units = new Map(stash.wall.units.map((unit) => [unit.id, unit]));
  return stash.supplies.flatMap((supply) =>
    supply.holdings.flatMap((lot): Thing[] => {
      const unit = units.get(lot.spot?.unitId ?? '');
      return unit && lot.spot ? [{ supply, lot, unit, cell: lot.spot.cell, uses: useOf(supply) }] : [];
    }),
  );
};

/** What is used much and stands far, and what it could change places with at hand. */
export function Swaps({ stash }: { readonly stash: Stash }) {
  const room = useRoom(stash);
  const swaps = useMemo(() => reachSwaps(placedIn(stash), reachesIn(stash.wall.all), room), [stash, room]);
  const place = useChange(({ lot, to, version }: { lot: HoldingView; to: Thing | null; version: number }) =>
    order(routes.placeHolding, {
      id: lot.id,
      body: { version, place: to && { unitId: to.unit.id, cell: to.cell } },
    }),
  );
  /** The idle one is lifted, the busy one takes its place, and it takes the busy one's. */
  const change = async (busy: Thing, idle: Thing): Promise<void> => {
    const lifted = await place.mutateAsync({ lot: idle.lot, to: null, version: idle.lot.version });
    await place.mutateAsync({ lot: busy.lot, to: idle, version: busy.lot.version });
    const now = lifted.supply.holdings.find(({ id }) => id === idle.lot.id);
    await place.mutateAsync({ lot: idle.lot, to: busy, version: now?.version ?? idle.lot.version + 1 });
  };
  if (swaps.length === 0) return null;
  return (
    <View style={styles.part}>
      <Txt look="title" level={2}>
        Nearer to hand
      </Txt>
      {swaps.map(({ busy, idle }) => (
        <View key={busy.lot.id} style={styles.one}>
          <Txt>
            {`${busy.supply.name} (${sayUses(busy.uses)}) is in ${addressIn(busy.unit, busy.cell)}; ${idle.supply.name} (${sayUses(idle.uses)}) is nearer, in ${addressIn(idle.unit, idle.cell)}.`}
          </Txt>
          <Button
            label="Change them"
            says={`Change ${busy.supply.name} and ${idle.supply.name}`}
            busy={place.isPending}
            onPress={() => void change(busy, idle).catch(() => undefined)}
          />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: space.s }, one: { gap: space.xs } });
