import { seasonSwaps, type SeasonSwap } from '@red-shelf/core';
import { format } from 'date-fns/format';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences, type Stash } from '../api/queries';
import { listOf, many } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Folded } from '../ui/Folded';
import { Txt } from '../ui/Txt';

const day = (time: number): string => format(new Date(time), 'd MMM');

/** "winter comes (14 things), autumn may go (9 things)". */
function saySwap({ comes, goes, coming, going }: SeasonSwap): string {
  return [
    ...(comes.length > 0
      ? [`${listOf(comes)} ${comes.length > 1 ? 'come' : 'comes'} (${many(coming, 'thing')})`]
      : []),
    ...(goes.length > 0 ? [`${listOf(goes)} may go (${many(going, 'thing')})`] : []),
  ].join(', ');
}

interface SwapsProps {
  readonly stash: Stash;
  /** Chooses the order that puts what is in season nearest. */
  readonly onPlan: () => void;
}

/** The calendar of the year's swaps: what comes near, and what may go farther away. */
export function Swaps({ stash, onPlan }: SwapsProps) {
  const { hemisphere } = usePreferences().preferences;
  const swaps = useMemo(
    () => seasonSwaps(stash.supplies, Date.now(), hemisphere),
    [stash.supplies, hemisphere],
  );
  const [next] = swaps;
  if (!next) return null;
  return (
    <Folded opens="see all" label="Season swaps" value={`${day(next.on)}: ${saySwap(next)}`}>
      <View role="list" style={styles.list}>
        {swaps.map((swap) => (
          <Txt key={swap.on}>{`${day(swap.on)}: ${saySwap(swap)}`}</Txt>
        ))}
      </View>
      <Button label="Plan it: what is in season nearest" onPress={onPlan} />
    </Folded>
  );
}

const styles = StyleSheet.create({ list: { gap: space.xs } });
