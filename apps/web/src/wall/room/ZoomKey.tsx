import { Pressable, StyleSheet } from 'react-native';
import { colour, radius, TOUCH } from '../../theme/tokens';
import { Txt } from '../../ui/Txt';

interface ZoomKeyProps {
  readonly says: string;
  readonly sign: string;
  readonly on?: boolean;
  readonly onPress: () => void;
}

/** A key that moves the room, or switches what is shown of it. */
export function ZoomKey({ says, sign, on = false, onPress }: ZoomKeyProps) {
  return (
    <Pressable
      role="button"
      aria-label={says}
      aria-pressed={on}
      onPress={onPress}
      style={[styles.key, on && styles.on]}
    >
      <Txt look="title">{sign}</Txt>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  key: {
    width: TOUCH,
    height: TOUCH,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: radius.m,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
  on: { borderColor: colour.text, borderWidth: 2 },
});
