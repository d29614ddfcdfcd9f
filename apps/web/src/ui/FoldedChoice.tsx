import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Button } from './Button';
import { Choice } from './Choice';
import { Txt } from './Txt';

interface FoldedChoiceProps {
  readonly label: string;
  readonly options: readonly string[];
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** One of many words: a row says the answer, opens to all of them, and closes again. */
export function FoldedChoice({ label, options, value, onChange }: FoldedChoiceProps) {
  const [open, setOpen] = useState(false);
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        <Txt style={styles.words}>
          {label}: <Txt look="strong">{value}</Txt>
        </Txt>
        <Button
          label={open ? 'Leave it' : 'Another'}
          says={`${label}: ${open ? 'leave it' : 'another'}`}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && (
        <Choice
          label={label}
          options={options}
          value={value}
          onChange={(next) => {
            setOpen(false);
            onChange(next);
          }}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.xs },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  words: { flex: 1 },
});
