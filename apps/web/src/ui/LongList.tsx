import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useRef, type ReactNode, type Ref } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { marked } from './marked';
import { useGradually } from './useGradually';
import { useRested } from './useRested';

/** How many lines beyond what is seen are drawn: nearly none at first, then one more at a time. */
const AHEAD_AT_FIRST = 1;
const AHEAD_STEPS = 8;
/** So many lines stand at once, and as many more each time the page is free, until there are those of a screen. */
const LINES_AT_ONCE = 4;
const STEPS = 3;
/** How high the list is taken to be until it stands, px. */
const LIKELY_HEIGHT_PX = 600;

interface LongListProps<T> {
  readonly rows: readonly T[];
  readonly keyOf: (row: T) => string;
  /** How high a line with this row is, px. */
  readonly heightOf: (row: T) => number;
  /** Rows may be higher than that, where words wrap: they are measured once they are drawn. */
  readonly wraps?: boolean;
  readonly draw: (row: T) => ReactNode;
  /** How many rows stand side by side in a line. */
  readonly columns?: number;
  /** Free room under the last line, px. */
  readonly foot?: number;
}

/** A list of any length. Only what is seen is drawn: the first lines at once, the others a few at a time. */
export function LongList<T>({
  rows,
  keyOf,
  heightOf,
  wraps = false,
  draw,
  columns = 1,
  foot = 0,
}: LongListProps<T>) {
  const ground = useRef<ScrollView>(null);
  const ahead = useGradually(useRested() ? AHEAD_STEPS : 0);
  const step = useGradually(STEPS);
  const lines = Math.ceil(rows.length / columns);
  // One function as long as the rows are the same: another one would have every line's place worked out anew.
  const getItemKey = useCallback(
    (line: number) => ask<T, string | number>(rows[line * columns], keyOf, line),
    [rows, columns, keyOf],
  );
  const list = useVirtualizer({
    count: step < STEPS ? Math.min(lines, LINES_AT_ONCE * (step + 1)) : lines,
    // On the web a ScrollView's handle is its element.
    getScrollElement: () => ground.current as unknown as HTMLElement | null,
    estimateSize: (line) => ask(rows[line * columns], heightOf, 0),
    getItemKey,
    overscan: AHEAD_AT_FIRST + ahead,
    initialRect: { width: 0, height: LIKELY_HEIGHT_PX },
    paddingEnd: foot,
    useFlushSync: false,
  });
  const seen = list.getVirtualItems();
  return (
    <ScrollView ref={ground} style={styles.ground}>
      <View style={{ height: list.getTotalSize() }}>
        <View style={[styles.seen, { top: seen[0]?.start ?? 0 }]}>
          {seen.map(({ key, index }) => (
            <View
              key={key}
              ref={wraps ? (list.measureElement as Ref<View>) : undefined}
              style={columns > 1 && styles.line}
              {...marked({ index: String(index) })}
            >
              {columns === 1
                ? ask(rows[index], draw, null)
                : rows.slice(index * columns, (index + 1) * columns).map((row) => (
                    <View key={keyOf(row)} style={{ width: `${100 / columns}%` }}>
                      {draw(row)}
                    </View>
                  ))}
            </View>
          ))}
        </View>
      </View>
    </ScrollView>
  );
}

/** What a row answers; without a row, the other. */
const ask = <T, R>(row: T | undefined, question: (row: T) => R, other: R): R =>
  row === undefined ? other : question(row);

const styles = StyleSheet.create({
  ground: { flex: 1 },
  seen: { position: 'absolute', left: 0, right: 0 },
  line: { flexDirection: 'row' },
});
