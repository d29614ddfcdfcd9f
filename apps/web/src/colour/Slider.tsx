import { createElement, type ChangeEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import { colour, TOUCH } from '../theme/tokens';
import { Txt } from '../ui/Txt';

interface SliderProps {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
  /** What the strip shows from its least to its most. */
  readonly strip: readonly string[];
}

/** The browser's own slider over a strip of the colours it leads to. */
export function Slider({ label, value, most, onChange, strip }: SliderProps) {
  return (
    <View>
      <Txt look="quiet">{label}</Txt>
      <View style={styles.strip} aria-hidden>
        {strip.map((hex, i) => (
          <View key={i} style={[styles.step, { backgroundColor: hex }]} />
        ))}
      </View>
      {createElement('input', {
        type: 'range',
        min: 0,
        max: most,
        step: most / 100,
        value,
        'aria-label': label,
        onChange: (event: ChangeEvent<HTMLInputElement>) => onChange(Number(event.target.value)),
        style: { width: '100%', height: TOUCH, margin: 0, accentColor: colour.action },
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', height: 20 },
  step: { flex: 1 },
});
