import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { ColourThreads } from '../../ui/ColourThreads';
import { Txt } from '../../ui/Txt';

interface DrawerLineProps {
  readonly number: number;
  readonly items: readonly { readonly id: string; readonly hex: string }[];
  /** How many the fullest drawer holds: the others are drawn in proportion. */
  readonly fullest: number;
  readonly children: ReactNode;
}

/** One drawer: its number, what is in it by colour and how full it is beside the others. */
export function DrawerLine({ number, items, fullest, children }: DrawerLineProps) {
  return (
    <View role="listitem" style={styles.drawer}>
      <Txt look="label" style={styles.number}>
        {number}
      </Txt>
      <View style={styles.words}>
        <View style={{ width: `${(100 * items.length) / Math.max(1, fullest)}%` }}>
          <ColourThreads items={items} says={many(items.length, 'thing')} height={22} most={60} />
        </View>
        {children}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  drawer: { flexDirection: 'row', gap: space.s, alignItems: 'center' },
  number: { width: 24, textAlign: 'right' },
  words: { flex: 1, gap: 2 },
});
