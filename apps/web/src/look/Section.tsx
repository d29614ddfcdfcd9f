import type { ReactNode } from 'react';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';

const FIRST = 5;

interface SectionProps<T> {
  readonly title: string;
  /** One line: what this is, and what one does about it. */
  readonly why: string;
  readonly items: readonly T[];
  readonly onMute: () => void;
  readonly row: (item: T) => ReactNode;
  readonly children?: ReactNode;
}

/** One nudge: why, the first few, the rest on asking, and a way to switch it off. */
export function Section<T>({ title, why, items, onMute, row, children }: SectionProps<T>) {
  const [all, setAll] = useState(false);
  return (
    <View style={styles.box} role="region" aria-label={title}>
      <View style={styles.head}>
        <Txt look="strong" level={2} style={styles.title}>
          {title} · {items.length}
        </Txt>
        <Button label="Switch off" says={`Switch off: ${title}`} onPress={onMute} />
      </View>
      <Txt look="quiet">{why}</Txt>
      {children}
      <View role="list" style={styles.list}>
        {(all ? items : items.slice(0, FIRST)).map(row)}
      </View>
      {items.length > FIRST && (
        <Button
          label={all ? 'Fewer' : `All ${items.length}`}
          says={all ? `Fewer: ${title}` : `All ${items.length}: ${title}`}
          onPress={() => setAll(!all)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  head: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  title: { flex: 1 },
  list: { marginHorizontal: -space.m },
});
