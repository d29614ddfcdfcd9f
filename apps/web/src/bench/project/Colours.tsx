import { inkOn } from '@red-shelf/core';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, radius, space, TOUCH } from '../../theme/tokens';
import { Icon } from '../../ui/Icon';
import { Txt } from '../../ui/Txt';

interface ColoursProps {
  readonly label: string;
  readonly colours: readonly { readonly name: string; readonly hex: string }[];
  readonly chosen: string;
  readonly onChoose: (hex: string) => void;
}

/** Colours of a project side by side, each with its name; one of them may be chosen. */
export function Colours({ label, colours, chosen, onChoose }: ColoursProps) {
  if (colours.length === 0) return null;
  return (
    <View style={styles.row} role="radiogroup" aria-label={label}>
      {colours.map(({ name, hex }) => (
        <Pressable
          key={hex}
          role="radio"
          aria-checked={hex === chosen}
          aria-label={name}
          onPress={() => onChoose(hex)}
          style={styles.one}
        >
          <View style={[styles.swatch, { backgroundColor: hex }]}>
            {hex === chosen && <Icon name="check" size={20} tint={inkOn(hex)} />}
          </View>
          <Txt look="quiet" lines={1} style={styles.name}>
            {name}
          </Txt>
        </Pressable>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  one: { width: 84, gap: 2 },
  swatch: {
    ...{ height: TOUCH, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
    ...{ alignItems: 'center', justifyContent: 'center' },
  },
  name: { fontSize: 12 },
});
