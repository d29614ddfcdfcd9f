import { addressIn, cellsBefore, HAND_ID, wayTo } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { isLoose, mainOf, readContents } from '../api/contents';
import type { Stash } from '../api/queries';
import { sayWay } from '../copy/room';
import type { SlotChoice } from '../draw/UnitBlock';
import { space } from '../theme/tokens';
import { RowLink } from '../ui/RowLink';

/** More than these are looked for on the wall itself. */
const MOST = 3;

export interface FoundWaysProps {
  readonly found: readonly SupplyView[];
  readonly stash: Stash;
  readonly onChoose: (choice: SlotChoice) => void;
}

/** Where a few things that were found are, and the way to each: which piece, which drawer, what is lifted first. */
export function FoundWays({ found, stash, onChoose }: FoundWaysProps) {
  const { all } = stash.wall;
  const contents = readContents(stash);
  const placed = found.flatMap((supply) => {
    const spot = mainOf(supply)?.spot;
    const unit = spot && spot.unitId !== HAND_ID && all.find(({ id }) => id === spot.unitId);
    return unit ? [{ supply, unit, cell: spot.cell }] : [];
  });
  /** What stands before it in its own place, by name. */
  const before = (unit: UnitView, slot: number): string[] => {
    if (unit.model?.model !== 'grid') return [];
    const slots = contents.get(unit.id) ?? [];
    return cellsBefore(unit.model, slot).flatMap((each) => {
      const name = slots[each]?.supply.name;
      return name === undefined ? [] : [`take ${name} out first`];
    });
  };
  if (placed.length === 0 || placed.length > MOST) return null;
  return (
    <View style={styles.list}>
      {placed.map(({ supply, unit, cell }) => {
        const slot = isLoose(unit)
          ? (contents.get(unit.id) ?? []).findIndex((each) => each?.supply.id === supply.id)
          : (cell ?? 0);
        return (
          <RowLink
            key={supply.id}
            title={`${addressIn(unit, cell)} ${supply.name}`}
            detail={[sayWay(wayTo(unit, all)) || unit.name, ...before(unit, slot)].join(', ')}
            onPress={() => onChoose({ unitId: unit.id, slot })}
          />
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: space.s } });
