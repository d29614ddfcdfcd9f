import { KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import { ScrollView, StyleSheet } from 'react-native';
import { space } from '../theme/tokens';
import { Chip } from './Chip';

interface KindChipsProps {
  readonly value: Kind | null;
  /** Null stands for every kind. */
  readonly onChange: (kind: Kind | null) => void;
}

/** Every kind or one of them, in one line that a thumb moves along. */
export function KindChips({ value, onChange }: KindChipsProps) {
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      contentContainerStyle={styles.row}
      role="radiogroup"
      aria-label="Kind"
      style={styles.box}
    >
      <Chip label="All" on={value === null} onPress={() => onChange(null)} />
      {KINDS.map((each) => (
        <Chip
          key={each}
          label={KIND_DEFINITIONS[each].plural}
          on={value === each}
          onPress={() => onChange(each)}
        />
      ))}
    </ScrollView>
  );
}

const styles = StyleSheet.create({ box: { flexGrow: 0 }, row: { gap: space.s } });
