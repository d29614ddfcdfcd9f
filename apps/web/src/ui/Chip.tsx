import { Pressable, StyleSheet } from 'react-native';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Icon } from './Icon';
import { Txt } from './Txt';

interface ChipProps {
  readonly label: string;
  readonly on: boolean;
  readonly onPress: () => void;
  /** Several may be on at once. */
  readonly many?: boolean;
}

/** A choice that is on or off. */
export function Chip({ label, on, onPress, many = false }: ChipProps) {
  return (
    <Pressable
      role={many ? 'checkbox' : 'radio'}
      aria-checked={on}
      onPress={onPress}
      style={[styles.chip, on && styles.on]}
    >
      {many && on && <Icon name="check" size={16} tint={colour.onAction} />}
      <Txt look="strong" style={[styles.label, on && styles.onLabel]}>
        {label}
      </Txt>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  chip: {
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: space.xs,
    paddingHorizontal: space.m - 2,
    paddingVertical: 6,
    borderRadius: radius.m,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
  on: { backgroundColor: colour.action, borderColor: colour.action },
  label: { fontSize: 14, flexShrink: 1 },
  onLabel: { color: colour.onAction },
});
