import { HAND_ID, isRefusal, mayLive, pocketsFor } from '@red-shelf/core';
import type { HoldingView, SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { useRoom } from '../../api/contents';
import { usePreferences, type Stash } from '../../api/queries';
import { useSpotName } from '../../api/spotName';
import { useChange } from '../../api/useChange';
import type { Units } from '../../copy/measure';
import { manyParts, sayRemains } from '../../copy/parts';
import { unitTitle } from '../../copy/supply';
import { Button } from '../../ui/Button';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';

interface Move {
  readonly lot: HoldingView;
  readonly to: NonNullable<HoldingView['spot']>;
}
interface NewScrapsProps {
  readonly supply: SupplyView;
  readonly stash: Stash;
}

/** Scraps that have no place yet, and the pocket of their colour a tap away. */
export function NewScraps({ supply, stash }: NewScrapsProps) {
  const room = useRoom(stash);
  const spotName = useSpotName();
  const { units: measures } = usePreferences().preferences;
  const move = useChange((moves: readonly Move[]) =>
    order(routes.moveHoldings, {
      body: {
        moves: moves.map(({ lot: { id, version }, to: { unitId, cell } }) => ({
          id,
          version,
          place: { unitId, cell },
        })),
      },
    }),
  );
  const homeless = supply.holdings.filter(
    ({ as, items, spot }) => as === 'scrap' && items > 0 && spot === null,
  );
  if (homeless.length === 0) return null;
  const units = new Map(stash.wall.units.map((unit) => [unit.id, unit]));
  const isPlace = (id: string): boolean => id !== HAND_ID && units.has(id);
  const own = supply.holdings.flatMap(({ spot }) => (spot && isPlace(spot.unitId) ? [spot] : []));
  const places = [...pocketsFor(supply, stash.all, isPlace), ...own];
  const placed = homeless.flatMap((lot): Move[] => {
    const to = places.find(({ unitId, cell }) => {
      const unit = units.get(unitId);
      return unit && !isRefusal(mayLive({ supply, lot }, { unit, cell }, room));
    });
    return to ? [{ lot, to }] : [];
  });
  const sayPlace = (to: Move['to']): string => {
    const unit = units.get(to.unitId);
    return to.cell === null && unit ? unitTitle(unit) : spotName(to);
  };
  const left = homeless.filter((lot) => placed.every((each) => each.lot !== lot));
  return (
    <Note sort="attention">
      {placed.map(({ lot, to }) => (
        <Txt
          key={lot.id}
        >{`${sayScraps(supply, lot, measures)} without a place: ${sayPlace(to)} takes ${lot.items === 1 ? 'it' : 'them'}.`}</Txt>
      ))}
      {left.map((lot) => (
        <Txt
          key={lot.id}
        >{`${sayScraps(supply, lot, measures)} without a place: ${places.length > 0 ? 'too large for the pockets there are' : 'no pocket of such pieces yet; find it one on its page'}.`}</Txt>
      ))}
      {placed.length > 0 && (
        <View style={styles.row}>
          <Button
            label="Put away what has a pocket"
            busy={move.isPending}
            onPress={() => move.mutate(placed)}
          />
        </View>
      )}
    </Note>
  );
}

const sayScraps = ({ kind }: SupplyView, { items, sizeUm }: HoldingView, units: Units): string =>
  `${manyParts(items, 'scrap', kind)}${sizeUm ? ` of ${sayRemains(kind, sizeUm, units)}` : ''}`;

const styles = StyleSheet.create({ row: { flexDirection: 'row' } });
