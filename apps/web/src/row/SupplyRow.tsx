import type { SupplyView } from '@red-shelf/contract';
import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { sayStock, sayWhat } from '../copy/supply';
import { colour, LIP, space } from '../theme/tokens';
import { Icon } from '../ui/Icon';
import { Flag } from '../ui/Note';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';

export const ROW_HEIGHT = 56;

interface SupplyRowProps {
  readonly supply: SupplyView;
  readonly address: string | null;
  readonly selected: boolean;
  /** Many are being chosen: a tap ticks. */
  readonly picking?: boolean;
  readonly onPress: (id: string) => void;
}

/** One supply: its colour, what it is, what is left, where it lives. */
export const SupplyRow = memo(function SupplyRow({
  supply,
  address,
  selected,
  picking = false,
  onPress,
}: SupplyRowProps) {
  const { state } = supply.stock;
  const { status } = supply.facts;
  const flag = state !== 'ok' ? state : (status ?? (address === null ? 'no place' : null));
  return (
    <Pressable
      role={picking ? 'checkbox' : 'button'}
      {...(picking ? { 'aria-checked': selected } : {})}
      onPress={() => onPress(supply.id)}
      style={[styles.row, picking && selected && styles.ticked]}
    >
      {picking && (
        <Icon name={selected ? 'check' : 'plus'} size={20} tint={selected ? colour.text : colour.openSlot} />
      )}
      <Swatch hex={supply.hex} group={supply.group} />
      <View style={styles.words}>
        <Txt look="strong" lines={1}>
          {supply.name}
        </Txt>
        <Txt look="quiet" lines={1}>
          {sayWhat(supply)}
        </Txt>
      </View>
      {flag && <Flag label={flag} />}
      <View style={styles.figures}>
        <Txt look="number" style={styles.left} lines={1}>
          {sayStock(supply)}
        </Txt>
        <Txt look="label" style={styles.address}>
          {address ?? '–'}
        </Txt>
      </View>
      {selected && <View style={styles.lip} />}
    </Pressable>
  );
});

const styles = StyleSheet.create({
  row: {
    height: ROW_HEIGHT,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: space.m,
    backgroundColor: colour.card,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
  },
  ticked: { backgroundColor: colour.ground },
  words: { flex: 1, minWidth: 0 },
  figures: { alignItems: 'flex-end', minWidth: 52 },
  left: { fontSize: 15 },
  address: { color: colour.quiet, fontSize: 15 },
  lip: { position: 'absolute', left: 0, right: 0, bottom: 0, height: LIP, backgroundColor: colour.lip },
});
