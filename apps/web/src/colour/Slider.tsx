import { StyleSheet, View } from 'react-native';
import { Range } from '../ui/Range';
import { Txt } from '../ui/Txt';

interface SliderProps {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
  /** What the strip shows from its least to its most. */
  readonly strip: readonly string[];
}

/** A slider over a strip of the colours it leads to. */
export function Slider({ label, value, most, onChange, strip }: SliderProps) {
  return (
    <View>
      <Txt look="quiet">{label}</Txt>
      <View style={styles.strip} aria-hidden>
        {strip.map((hex, i) => (
          <View key={i} style={[styles.step, { backgroundColor: hex }]} />
        ))}
      </View>
      <Range label={label} value={value} most={most} step={most / 100} onChange={onChange} />
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', height: 20 },
  step: { flex: 1 },
});
