import type { ArrangePreview } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { Range } from '../../ui/Range';
import { Txt } from '../../ui/Txt';

interface NearerProps {
  readonly stops: ArrangePreview['nearer'];
  readonly near: number;
  readonly onChange: (near: number) => void;
}

/** How far from the best order one stays for fewer lifts, with both figures of every stop. */
export function Nearer({ stops, near, onChange }: NearerProps) {
  const [first, ...rest] = stops;
  // Where nothing is saved there is nothing to choose.
  if (!first || rest.every(({ lifts }) => lifts === first.lifts)) return null;
  const at = Math.max(
    0,
    stops.findIndex((stop) => stop.near === near),
  );
  const here = stops[at] ?? first;
  return (
    <View style={styles.box}>
      <Txt look="strong">Nearer to today</Txt>
      <Range
        label="How near to today"
        value={at}
        most={stops.length - 1}
        step={1}
        onChange={(next) => onChange(stops[next]?.near ?? 0)}
        says={sayStop(here)}
      />
      <View style={styles.stops}>
        {stops.map((stop) => (
          <View key={stop.near} style={styles.stop}>
            <Txt look={stop === here ? 'strong' : 'quiet'}>{many(stop.lifts, 'lift')}</Txt>
            <Txt look="quiet">{shareOf(stop)}</Txt>
          </View>
        ))}
      </View>
    </View>
  );
}

const shareOf = ({ inOrder, beside }: ArrangePreview['nearer'][number]): string => {
  if (beside !== null) return `mean step ${beside.toFixed(1)}`;
  return inOrder === null ? '' : `${Math.round(100 * inOrder)}% in order`;
};
const sayStop = (stop: ArrangePreview['nearer'][number]): string =>
  [many(stop.lifts, 'lift'), shareOf(stop)].filter(Boolean).join(', ');

const styles = StyleSheet.create({
  box: { gap: space.xs },
  stops: { flexDirection: 'row', justifyContent: 'space-between' },
  stop: { alignItems: 'center', flexShrink: 1 },
});
