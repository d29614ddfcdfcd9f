import { addressIn, reachesIn, reachSwaps } from '@red-shelf/core';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { placedIn, useRoom, type Placed } from '../../api/contents';
import type { Stash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { sayUses } from '../../copy/room';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Txt } from '../../ui/Txt';

/** What is used much and stands far, and what it could change places with at hand. */
export function Swaps({ stash }: { readonly stash: Stash }) {
  const room = useRoom(stash);
  const swaps = useMemo(() => reachSwaps(placedIn(stash), reachesIn(stash.wall.all), room), [stash, room]);
  const place = useChange(([busy, idle]: readonly [Placed, Placed]) =>
    order(routes.moveHoldings, {
      body: {
        moves: [
          { id: busy.lot.id, version: busy.lot.version, place: { unitId: idle.unitId, cell: idle.cell } },
          { id: idle.lot.id, version: idle.lot.version, place: { unitId: busy.unitId, cell: busy.cell } },
        ],
      },
    }),
  );
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
            onPress={() => place.mutate([busy, idle])}
          />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: space.s }, one: { gap: space.xs } });
