import type { ArrangePreview } from '@red-shelf/contract';
import { useDeferredValue, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Stash } from '../api/queries';
import { colour, radius, space } from '../theme/tokens';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { LeftOver } from './LeftOver';
import { sayRuns } from './runs';
import { Sides } from './Sides';
import { breaksOf, sayVerdict } from './verdict';
import { WhenFull } from './WhenFull';
import { WouldSuffer } from './WouldSuffer';

interface PreviewProps {
  readonly plan: ArrangePreview;
  readonly stash: Stash;
  /** Whether the page is left in a moment: then it lays down what is drawn first. */
  readonly leaving: boolean;
  /** The acts, standing right under the verdict. */
  readonly children: ReactNode;
}

const share = (of: number | null): string => (of === null ? '–' : `${Math.round(100 * of)}%`);
const seconds = (of: number | null): string => (of === null ? '–' : `${of.toFixed(1)} s`);

const step = (of: number | null): string => (of === null ? '–' : of.toFixed(1));

/** Before and after side by side, with the figures that tell them apart. */
export function Preview({ plan, stash, leaving, children }: PreviewProps) {
  const verdict = sayVerdict(plan);
  // The verdict shows at once; what takes drawing and judging follows.
  const later = useDeferredValue(plan);
  const [before, after] = [plan.before.figures, plan.after.figures];
  const runs = sayRuns(plan, stash.wall.units);
  return (
    <View style={styles.box}>
      <Note>
        <Txt>
          <Txt look="strong">{verdict.head}</Txt> {verdict.body}
        </Txt>
        {runs.map((line) => (
          <Txt key={line} look="quiet">
            {line}
          </Txt>
        ))}
      </Note>
      <View style={styles.figures}>
        <Figure label="in place" now={String(before.placed)} then={String(after.placed)} />
        {after.beside === null ? (
          <>
            <Figure label={breaksOf(plan.by)} now={String(before.breaks)} then={String(after.breaks)} />
            <Figure label="of pairs in order" now={share(before.inOrder)} then={share(after.inOrder)} />
            <Figure label="to find one, about" now={seconds(before.lookUp)} then={seconds(after.lookUp)} />
          </>
        ) : (
          <Figure label="mean step beside and below" now={step(before.beside)} then={step(after.beside)} />
        )}
        <Figure label="empty slots" now={String(before.emptySlots)} then={String(after.emptySlots)} />
      </View>
      <WhenFull full={plan.full} stash={stash} />
      <WouldSuffer plan={later} stash={stash} />
      {children}
      {!leaving && <Sides plan={later} stash={stash} />}
      <LeftOver plan={later} stash={stash} />
    </View>
  );
}

function Figure({
  label,
  now,
  then,
}: {
  readonly label: string;
  readonly now: string;
  readonly then: string;
}) {
  return (
    <View style={styles.figure}>
      <Txt look="number" style={styles.number}>
        {then}
      </Txt>
      <Txt look="quiet">{label}</Txt>
      <Txt look="quiet">{now === then ? 'as now' : `now ${now}`}</Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.m },
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  figure: {
    flexGrow: 1,
    flexBasis: 96,
    padding: space.s + 1,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
  },
  number: { fontSize: 22 },
});
