import { FAMILY_GROUP_INFO, inkOn } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { memo } from 'react';
import { Pressable, StyleSheet } from 'react-native';
import { sayStock } from '../copy/supply';
import { colour, LIP } from '../theme/tokens';
import { Txt } from '../ui/Txt';

/** With the gap around it. */
export const TILE_HEIGHT = 87;
const GAP = 1.5;

interface SwatchTileProps {
  readonly supply: SupplyView;
  readonly selected: boolean;
  readonly onPress: (id: string) => void;
}

/** A supply as nothing but its colour, with its family's letters and its name. */
export const SwatchTile = memo(function SwatchTile({ supply, selected, onPress }: SwatchTileProps) {
  const ink = inkOn(supply.hex);
  return (
    <Pressable
      role="button"
      aria-label={`${supply.name}, ${supply.family}, ${sayStock(supply)}`}
      onPress={() => onPress(supply.id)}
      style={[styles.tile, { backgroundColor: supply.hex }, selected && styles.selected]}
    >
      <Txt look="label" style={{ color: ink }}>
        {FAMILY_GROUP_INFO[supply.group].mark}
      </Txt>
      <Txt look="quiet" lines={2} style={[styles.name, { color: ink }]}>
        {supply.name}
      </Txt>
    </Pressable>
  );
});

const styles = StyleSheet.create({
  tile: {
    height: TILE_HEIGHT - 2 * GAP,
    margin: GAP,
    padding: 5,
    justifyContent: 'space-between',
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  selected: { borderBottomWidth: LIP, borderBottomColor: colour.lip },
  name: { fontSize: 11.5, lineHeight: 14 },
});
