import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Button } from './Button';
import { Txt } from './Txt';

interface FoldedProps {
  readonly label: string;
  /** The answer as it is now. */
  readonly value: string;
  readonly children: ReactNode;
}

/** A row that says the answer; what changes it opens under it. */
export function Folded({ label, value, children }: FoldedProps) {
  const [open, setOpen] = useState(false);
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        <Txt style={styles.words}>
          {label}: <Txt look="strong">{value}</Txt>
        </Txt>
        <Button
          label={open ? 'Done' : 'Change'}
          says={`${label}: ${open ? 'done' : 'change'}`}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && <View style={styles.inside}>{children}</View>}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  words: { flex: 1 },
  inside: { gap: space.m, paddingBottom: space.s },
});
