import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { colour } from '../theme/tokens';

interface ColourThreadsProps<T> {
  readonly items: readonly T[];
  /** Read out instead of the picture. */
  readonly says: string;
  readonly height?: number;
  /** More than this cannot be told apart; then every second, third, … is drawn. */
  readonly most?: number;
  /** Where a gap stands between a thing and the one drawn before it. */
  readonly gapBefore?: (item: T, before: T) => boolean;
}

/** Things side by side, a thread of colour each, in the order they would stand. */
function Threads<T extends { readonly id: string; readonly hex: string }>({
  items,
  says,
  height = 72,
  most = 240,
  gapBefore,
}: ColourThreadsProps<T>) {
  const every = Math.max(1, Math.ceil(items.length / most));
  const shown = items.filter((_, i) => i % every === 0);
  return (
    <View style={[styles.strip, { height }]} role="img" aria-label={says}>
      {shown.map((item, i) => {
        const before = shown[i - 1];
        const gap = before !== undefined && gapBefore?.(item, before);
        return (
          <View key={item.id} style={[styles.thread, { backgroundColor: item.hex }, gap && styles.gap]} />
        );
      })}
    </View>
  );
}

export const ColourThreads = memo(Threads) as typeof Threads;

const styles = StyleSheet.create({
  strip: {
    flexDirection: 'row',
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
  thread: { flex: 1 },
  gap: { borderLeftWidth: 2, borderLeftColor: colour.card },
});
