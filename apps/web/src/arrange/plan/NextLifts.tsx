import { StyleSheet, View } from 'react-native';
import { useSpotName } from '../../api/spotName';
import { many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { Swatch } from '../../ui/Swatch';
import { Txt } from '../../ui/Txt';
import type { Step } from './step';

/** So many of what follows are named at least. */
const LEAST = 8;

interface NextLiftsProps {
  readonly steps: readonly Step[];
  /** So many go the same way as the one before: each of them is named. */
  readonly listed: number;
}

/** What comes after, in the order one walks. */
export function NextLifts({ steps, listed }: NextLiftsProps) {
  const shown = Math.max(LEAST, listed);
  const spotName = useSpotName();
  if (steps.length === 0) return null;
  return (
    <View style={styles.list} role="list" aria-label="After that">
      <Txt look="quiet">After that</Txt>
      {steps.slice(0, shown).map(({ thing: { supply, lot }, from, to }, i) => (
        <View key={`${lot.id} ${i}`} role="listitem" style={styles.row}>
          <Swatch hex={supply.hex} group={supply.group} size={24} />
          <Txt style={styles.name} lines={1}>
            {supply.name}
          </Txt>
          <Txt look="label">{`${from ? spotName(from) : '–'} → ${to ? spotName(to) : 'out'}`}</Txt>
        </View>
      ))}
      {steps.length > shown && <Txt look="quiet">and {many(steps.length - shown, 'more lift')}</Txt>}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space.xs },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: 32 },
  name: { flex: 1 },
});
