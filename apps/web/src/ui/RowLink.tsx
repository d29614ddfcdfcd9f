import { Pressable, StyleSheet, View } from 'react-native';
import { colour, radius, space } from '../theme/tokens';
import { Icon } from './Icon';
import { Txt } from './Txt';

interface RowLinkProps {
  readonly title: string;
  readonly detail: string;
  readonly disabled?: boolean;
  readonly onPress: () => void;
}

/** One of a list of things to go on to: its name, what is to know of it, nothing cut off. */
export function RowLink({ title, detail, disabled = false, onPress }: RowLinkProps) {
  return (
    <Pressable
      role="button"
      aria-label={`${title}: ${detail}`}
      disabled={disabled}
      onPress={onPress}
      style={styles.row}
    >
      <View style={styles.words}>
        <Txt look="strong">{title}</Txt>
        <Txt look="quiet">{detail}</Txt>
      </View>
      <Icon name="next" size={20} />
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: {
    minHeight: 56,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    paddingHorizontal: space.m - 4,
    paddingVertical: space.s,
    borderRadius: radius.m,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
  words: { flex: 1, minWidth: 0 },
});
