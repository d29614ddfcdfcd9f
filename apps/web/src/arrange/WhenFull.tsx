import type { ArrangePreview } from '@red-shelf/contract';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Stash } from '../api/queries';
import { unitTitle } from '../copy/supply';
import { sayAbout } from '../copy/when';
import { space } from '../theme/tokens';
import { Folded } from '../ui/Folded';
import { Txt } from '../ui/Txt';

type Full = ArrangePreview['full'][number];

const LISTED = 12;
/** "about Mar 2027 (Jan 2027 to Aug 2027)"; full now, or not in sight. */
export function sayWhen({ open, when }: Full, now = new Date()): string {
  if (open === 0) return 'full now';
  return when ? sayAbout(when, now) : 'not in sight at this pace';
}

interface WhenFullProps {
  readonly full: readonly Full[];
  readonly stash: Stash;
}

/** When each family and each place is full at the pace things come in, with how sure that is. */
export const WhenFull = memo(function WhenFull({ full, stash }: WhenFullProps) {
  const [first] = full;
  if (!first) return null;
  return (
    <Folded opens="see all" label="Full first" value={`${nameOf(first, stash)}, ${sayWhen(first)}`}>
      <FullList full={full} stash={stash} />
      <Txt look="quiet">Holds in four of five cases, if things go on coming as they came.</Txt>
    </Folded>
  );
});

function FullList({ full, stash }: WhenFullProps) {
  return (
    <View role="list" style={styles.list}>
      {full.slice(0, LISTED).map((each) => (
        <View key={`${each.what} ${each.id}`} role="listitem" style={styles.row}>
          <Txt look="strong" style={styles.name}>
            {nameOf(each, stash)}
          </Txt>
          <Txt look="quiet">{`${each.open} open · ${sayWhen(each)}`}</Txt>
        </View>
      ))}
    </View>
  );
}

function nameOf({ what, id }: Full, { wall }: Stash): string {
  if (what === 'group') return id;
  const unit = wall.units.find((each) => each.id === id);
  return unit ? unitTitle(unit) : 'a place that is gone';
}

const styles = StyleSheet.create({
  list: { gap: space.xs },
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.s },
  name: { minWidth: 96 },
});
