import { FlashList, type FlashListProps } from '@shopify/flash-list';
import { useMemo } from 'react';
import { useGradually } from './useGradually';
import { useRested } from './useRested';
import { useSettled } from './useSettled';

/** How far beyond what is seen rows are drawn, px: nearly nothing at first, then a row more at a time. */
const AHEAD_AT_FIRST_PX = 40;
const AHEAD_STEP_PX = 58;
const AHEAD_STEPS = 8;
/** So many rows stand at once, and as many more each time the page is free, until there are those of a screen. */
const ROWS_AT_ONCE = 4;
const STEPS = 3;
/** Those a screen shows are measured in one go. */
const SCREENFUL = { initialDrawBatchSize: ROWS_AT_ONCE * STEPS };

type LongListProps<T> = Omit<FlashListProps<T>, 'data' | 'drawDistance' | 'overrideProps'> & {
  readonly rows: readonly T[];
};

/** A list of any length. Only what is seen is drawn: the first rows at once, the others a few at a time. */
export function LongList<T>({ rows, ...list }: LongListProps<T>) {
  const ahead = useGradually(useRested() ? AHEAD_STEPS : 0);
  const step = useGradually(STEPS);
  const begun = useSettled(
    useMemo(() => (step < STEPS ? rows.slice(0, ROWS_AT_ONCE * (step + 1)) : rows), [step, rows]),
  );
  return (
    <FlashList
      {...list}
      data={begun}
      drawDistance={AHEAD_AT_FIRST_PX + ahead * AHEAD_STEP_PX}
      overrideProps={SCREENFUL}
    />
  );
}
