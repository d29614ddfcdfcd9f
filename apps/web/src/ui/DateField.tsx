import { createElement, type ChangeEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import { colour, font, radius, textSize, TOUCH } from '../theme/tokens';
import { Note } from './Note';
import { Txt } from './Txt';

interface DateFieldProps {
  readonly label: string;
  /** `2026-05-31`, or empty. */
  readonly value: string;
  readonly onChange: (day: string) => void;
  readonly error?: string | undefined;
}

/** A day, picked with the browser's own calendar. */
export function DateField({ label, value, onChange, error }: DateFieldProps) {
  return (
    <View style={styles.box}>
      <Txt look="quiet">{label}</Txt>
      {createElement('input', {
        type: 'date',
        value,
        'aria-label': label,
        onChange: (event: ChangeEvent<HTMLInputElement>) => onChange(event.target.value),
        style: inputStyle,
      })}
      {error && <Note sort="error">{error}</Note>}
    </View>
  );
}

const inputStyle = {
  minHeight: TOUCH,
  padding: '0 10px',
  border: `1px solid ${colour.hairline}`,
  borderRadius: radius.s,
  background: colour.card,
  color: colour.text,
  fontFamily: font.regular,
  fontSize: textSize.body,
};
const styles = StyleSheet.create({ box: { gap: 4, flexGrow: 1, minWidth: 150 } });
