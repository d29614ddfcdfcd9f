import { useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, space, TOUCH } from '../theme/tokens';
import { Txt } from './Txt';

interface FoldedProps {
  readonly label: string;
  /** The answer as it is now. */
  readonly value: string;
  /** What opening it is for: to change the answer, or to read more. */
  readonly opens?: 'change' | 'see all';
  readonly children: ReactNode;
}

/** A row that says the answer; what changes it opens under it. */
export function Folded({ label, value, opens = 'change', children }: FoldedProps) {
  const [open, setOpen] = useState(false);
  const act = open ? (opens === 'change' ? 'done' : 'fewer') : opens;
  return (
    <View style={styles.box}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${label}: ${value}, ${act}`}
        onPress={() => setOpen(!open)}
        style={styles.row}
      >
        <Txt style={styles.words}>
          {label}: <Txt look="strong">{value}</Txt>
        </Txt>
        <Txt look="quiet" style={styles.act}>
          {act}
        </Txt>
      </Pressable>
      {open && <View style={styles.inside}>{children}</View>}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderBottomWidth: 1, borderBottomColor: colour.hairline },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: TOUCH, paddingVertical: 4 },
  words: { flex: 1 },
  act: { textDecorationLine: 'underline' },
  inside: { gap: space.m, paddingTop: space.s, paddingBottom: space.m },
});
