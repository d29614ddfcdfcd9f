import { FAMILY_GROUP_INFO } from '@red-shelf/core';
import { useCallback } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Where } from '../api/where';
import { ROW_HEIGHT, SupplyRow } from '../row/SupplyRow';
import { colour, radius, space } from '../theme/tokens';
import { LongList } from '../ui/LongList';
import { Txt } from '../ui/Txt';
import { useWide } from '../ui/useWide';
import type { StashRow } from './rows';
import { SwatchTile, TILE_HEIGHT } from './SwatchWall';

const TILES_PHONE = 4;
const TILES_WIDE = 8;
const HEAD_HEIGHT = 36;
/** Free room under the last row, for the button that stands over it. */
const FOOT = 84;

const keyOf = (row: StashRow): string => (row.sort === 'family' ? row.group : row.supply.id);
const heightOf = (row: StashRow): number => (row.sort === 'family' ? HEAD_HEIGHT : ROW_HEIGHT);

interface StashRowsProps {
  readonly rows: readonly StashRow[];
  /** Nothing but colours, many in a row. */
  readonly tiles: boolean;
  readonly where: Where;
  /** What was ticked, where many are being chosen. */
  readonly picked: ReadonlySet<string> | null;
  readonly chosen: string | undefined;
  readonly onPress: (id: string) => void;
}

/** The list itself: families with their supplies, or what was found. */
export function StashRows({ rows, tiles, where, picked, chosen, onPress }: StashRowsProps) {
  const wide = useWide();
  const draw = useCallback(
    (row: StashRow) => {
      if (row.sort === 'family') return <FamilyHead row={row} />;
      const { supply } = row;
      const selected = picked ? picked.has(supply.id) : supply.id === chosen;
      return tiles ? (
        <SwatchTile supply={supply} selected={selected} onPress={onPress} />
      ) : (
        <SupplyRow
          supply={supply}
          address={where(supply)}
          selected={selected}
          picking={picked !== null}
          onPress={onPress}
        />
      );
    },
    [picked, chosen, tiles, where, onPress],
  );
  const columns = wide ? TILES_WIDE : TILES_PHONE;
  return (
    <LongList
      rows={rows}
      columns={tiles ? columns : 1}
      keyOf={keyOf}
      heightOf={tiles ? () => TILE_HEIGHT : heightOf}
      draw={draw}
      foot={FOOT}
    />
  );
}

function FamilyHead({ row }: { readonly row: Extract<StashRow, { sort: 'family' }> }) {
  const { name, hex } = FAMILY_GROUP_INFO[row.group];
  const facts = [
    String(row.count),
    row.low > 0 && `${row.low} low or out`,
    row.unplaced > 0 && `${row.unplaced} unplaced`,
  ];
  return (
    <View style={styles.family}>
      <View style={[styles.dot, { backgroundColor: hex }]} />
      <Txt look="strong" level={2} style={styles.familyName}>
        {name}
      </Txt>
      <Txt look="quiet">{facts.filter(Boolean).join(' · ')}</Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  family: {
    height: HEAD_HEIGHT,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s + 2,
    paddingHorizontal: space.m,
    backgroundColor: colour.ground,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
  },
  dot: { width: 14, height: 14, borderRadius: radius.s - 1 },
  familyName: { flex: 1, fontSize: 14.5 },
});
