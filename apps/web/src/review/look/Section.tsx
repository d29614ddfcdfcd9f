import type { ReactNode } from 'react';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { space, TOUCH } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Txt } from '../../ui/Txt';

const FIRST = 5;

interface SectionProps<T> {
  readonly title: string;
  /** One line: what this is, and what one does about it. */
  readonly why: string;
  /** Worked out when the section is drawn. */
  readonly items: () => readonly T[];
  readonly onMute: () => void;
  readonly row: (item: T) => ReactNode;
  readonly children?: ReactNode;
}

/** One nudge: why, the first few, the rest on asking, and a way to switch it off. */
export function Section<T>({ title, why, items: read, onMute, row, children }: SectionProps<T>) {
  const items = read();
  const [all, setAll] = useState(false);
  return (
    <View style={styles.box} role="region" aria-label={title}>
      <View style={styles.head}>
        <Txt look="strong" level={2} style={styles.title}>
          {title} · {items.length === 0 ? 'nothing' : items.length}
        </Txt>
        <Pressable role="button" aria-label={`Switch off: ${title}`} onPress={onMute} style={styles.off}>
          <Txt look="quiet">switch off</Txt>
        </Pressable>
      </View>
      {items.length > 0 && <Txt look="quiet">{why}</Txt>}
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
  head: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: TOUCH },
  off: { minHeight: TOUCH, minWidth: TOUCH, justifyContent: 'center' },
  title: { flex: 1 },
  list: { marginHorizontal: -space.m },
});
