import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { useInTurn } from './InTurn';
import { useWide } from './useWide';

interface ColumnsProps {
  readonly first: ReactNode;
  readonly second: ReactNode;
}

/** Two parts of a page: beside one another on a wide screen, one under the other on a phone. */
export function Columns({ first, second }: ColumnsProps) {
  const wide = useWide();
  const [left, right] = useInTurn([first, second]);
  return (
    <View style={wide ? styles.beside : styles.under}>
      <View style={wide ? styles.column : styles.under}>{left}</View>
      <View style={wide ? styles.column : styles.under}>{right}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  beside: { flexDirection: 'row', gap: space.l * 2, alignItems: 'flex-start' },
  under: { gap: space.m },
  column: { flex: 1, minWidth: 0, maxWidth: 640, gap: space.m },
});
