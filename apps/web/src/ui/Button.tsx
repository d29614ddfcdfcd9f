import { useEffect, useState } from 'react';
import { StyleSheet } from 'react-native';
import { Button as PaperButton } from 'react-native-paper';
import { colour, font, radius, TOUCH } from '../theme/tokens';
import type { IconName } from './Icon';

interface ButtonProps {
  readonly label: string;
  readonly onPress: () => void;
  /** Main acts are filled; the rest are outlined. */
  readonly main?: boolean;
  readonly icon?: IconName;
  readonly disabled?: boolean;
  readonly busy?: boolean;
  readonly grow?: boolean;
  /** Said instead of the label by screen readers. */
  readonly says?: string;
}

/** What is done sooner shows no sign of being busy, ms. */
const SOON_MS = 400;

/** Whether something has been so for a while. */
function useLately(on: boolean): boolean {
  const [late, setLate] = useState(false);
  useEffect(() => {
    if (!on) return undefined;
    const timer = setTimeout(() => setLate(true), SOON_MS);
    return () => {
      clearTimeout(timer);
      setLate(false);
    };
  }, [on]);
  return on && late;
}

/** A button at least 44 px high. */
export function Button({
  label,
  onPress,
  main = false,
  icon,
  disabled = false,
  busy = false,
  grow = false,
  says,
}: ButtonProps) {
  const turning = useLately(busy);
  return (
    <PaperButton
      mode={main ? 'contained' : 'outlined'}
      onPress={onPress}
      icon={icon}
      disabled={disabled || busy}
      loading={turning}
      uppercase={false}
      accessibilityLabel={says ?? label}
      style={[styles.box, !main && styles.outlined, grow && styles.grow]}
      contentStyle={styles.content}
      labelStyle={[styles.label, icon !== undefined && styles.afterIcon]}
    >
      {label}
    </PaperButton>
  );
}

const styles = StyleSheet.create({
  box: { borderRadius: radius.m },
  outlined: { borderColor: colour.text, backgroundColor: colour.card },
  content: { minHeight: TOUCH },
  label: { fontFamily: font.bold, fontSize: 15, marginVertical: 6, marginHorizontal: 14 },
  afterIcon: { marginLeft: 20 },
  grow: { flexGrow: 1 },
});
