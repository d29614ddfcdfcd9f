import type { ColourName } from '@red-shelf/contract';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Txt } from '../ui/Txt';

interface NamedColoursProps {
  readonly names: readonly ColourName[];
  readonly onTake: (named: ColourName) => void;
}

/** Colours by their names, to be taken with one tap. */
export function NamedColours({ names, onTake }: NamedColoursProps) {
  return names.map((named) => (
    <Pressable
      key={named.name}
      role="button"
      aria-label={`Take ${named.name}`}
      onPress={() => onTake(named)}
      style={styles.name}
    >
      <View style={[styles.swatch, { backgroundColor: named.hex }]} />
      <Txt>{named.name}</Txt>
      <Txt look="quiet">{named.hex}</Txt>
    </Pressable>
  ));
}

const styles = StyleSheet.create({
  name: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: TOUCH },
  swatch: { width: 32, height: 32, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
});
