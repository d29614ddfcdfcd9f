import { LEVELS, type Level } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Txt } from '../ui/Txt';

/** How full the open one is, as one would say it. */
export function LevelChoice({
  value,
  onChange,
}: {
  readonly value: Level;
  readonly onChange: (level: Level) => void;
}) {
  return (
    <View style={styles.box}>
      <Txt look="quiet">The open one is</Txt>
      <View style={styles.chips} role="radiogroup" aria-label="The open one is">
        {LEVELS.map((level) => (
          <Chip key={level} label={level} on={level === value} onPress={() => onChange(level)} />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.xs },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
