import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Chip } from './Chip';
import { Txt } from './Txt';

interface ChoiceProps {
  readonly label: string;
  readonly options: readonly string[];
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** Tapping the chosen one again takes it back. */
  readonly optional?: boolean;
}

/** One of a few words, all in sight. */
export function Choice({ label, options, value, onChange, optional = false }: ChoiceProps) {
  return (
    <View style={styles.box}>
      <Txt look="quiet">{label}</Txt>
      <View style={styles.chips} role="radiogroup" aria-label={label}>
        {options.map((each) => (
          <Chip
            key={each}
            label={each}
            on={each === value}
            onPress={() => onChange(optional && each === value ? '' : each)}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.xs },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
