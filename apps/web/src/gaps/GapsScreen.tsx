import { findGaps } from '@red-shelf/core';
import { GAP_QUESTIONS, type GapQuestion, type GapsView } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { usePreferences, useStash, type Stash } from '../api/queries';
import { useWhere, type Where } from '../api/where';
import { GAP_TITLES, NO_GAPS } from '../copy/gaps';
import { many, thousands } from '../copy/words';
import { Challenge } from '../judge/Challenge';
import { colour, LIP, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Waiting } from '../ui/Waiting';
import { GapActsProvider } from './acts';
import { Habits } from './Habits';
import { FormatRow, HalfLikedRow, idleIn } from './idleRows';
import { PutOff } from './PutOff';
import { EmptyRow, FamilyRow, LimitRow, roomEnds } from './roomRows';
import {
  DoubleRow,
  HoleRow,
  HomelessRow,
  PartnerRow,
  RangeRow,
  RoomRow,
  RunningRow,
  UnusedRow,
} from './rows';
import { aboutOf, useGaps } from './useGaps';
import { useWishes } from './useWish';
import { InTurn } from '../ui/InTurn';

/** Rows drawn at first, and how many each “show more” adds: nobody buys a thousand things at once. */
const ROWS = 40;
const isQuestion = (word: string | undefined): word is GapQuestion =>
  GAP_QUESTIONS.some((each) => each === word);

/** Six questions, each with its rows: why, and one act that fits. What is accepted goes to the shopping list. */
export function GapsScreen() {
  const [now] = useState(() => Date.now());
  const { about } = useLocalSearchParams<{ about?: string }>();
  const { stash, error } = useStash();
  const { gaps, away, isAsked } = useGaps(stash);
  const { preferences } = usePreferences();
  const ends = useMemo(
    () => stash && roomEnds(stash, preferences, now, (about) => isAsked('room', about)),
    [stash, preferences, now, isAsked],
  );
  const idle = useMemo(
    () => stash && idleIn(stash, now, (about) => isAsked('unused', about)),
    [stash, now, isAsked],
  );
  const { wishes } = useWishes();
  const where = useWhere(stash);
  const [most, setMost] = useState(ROWS);
  const homeless = useMemo(
    () =>
      findGaps((stash?.supplies ?? []).map((supply) => ({ ...supply, placed: where(supply) !== null })))
        .unplaced,
    [stash, where],
  );
  if (!stash || !gaps || !ends || !idle) return <Waiting error={error} />;
  const leaving = stash.supplies.filter(({ facts }) => facts.status === 'leaving').length;
  const question = isQuestion(about) ? about : 'running';
  const half = new Set(idle.half.map(({ id }) => id));
  const known = rowsOf(
    { ...gaps, unused: gaps.unused.filter(({ supplyId }) => !half.has(supplyId)) },
    stash,
    where,
  );
  const rows: Readonly<Record<GapQuestion, readonly ReactNode[]>> = {
    ...known,
    unused: [
      ...idle.half.map((supply) => <HalfLikedRow key={`half ${supply.id}`} supply={supply} />),
      ...known.unused,
      ...idle.formats.map((row) => <FormatRow key={`${row.kind} ${row.form}`} row={row} />),
    ],
    room: [
      ...known.room,
      ...ends.limits.map((row) => <LimitRow key={`limit ${row.what}`} row={row} />),
      ...ends.families.map((row) => <FamilyRow key={`family ${row.kind} ${row.group}`} row={row} />),
      ...homeless.map((supply) => <HomelessRow key={supply.id} supply={supply} />),
      ...ends.empties.map((supply) => (
        <EmptyRow key={`empty ${supply.id}`} supply={supply} address={where(supply) ?? 'its spot'} />
      )),
    ],
  };
  const all = GAP_QUESTIONS.reduce((sum, each) => sum + rows[each].length, 0);
  const shown = rows[question];
  return (
    <Page title="Gaps" aside={`${many(all, 'thing')} worth a look`}>
      <View style={styles.links}>
        <Button
          label={wishes.length > 0 ? `Shopping list (${wishes.length})` : 'Shopping list'}
          main={wishes.length > 0}
          onPress={() => router.push('/gaps/shopping')}
        />
        <Button label="In pictures" onPress={() => router.push('/gaps/figures')} />
        <Button label="Worth a look" onPress={() => router.push('/gaps/look')} />
        <Button label="Sort out" onPress={() => router.push('/gaps/sort-out')} />
        {leaving > 0 && (
          <Button label={`Letting go (${leaving})`} onPress={() => router.push('/gaps/leaving')} />
        )}
      </View>
      {away && (
        <Note sort="attention">Red Shelf does not answer: only what is low or out is known here.</Note>
      )}
      <View style={styles.tiles} role="radiogroup" aria-label="Which gaps">
        {GAP_QUESTIONS.map((each) => (
          <Tile
            key={each}
            label={GAP_TITLES[each]}
            count={rows[each].length}
            on={question === each}
            onPress={() => {
              router.setParams({ about: each });
              setMost(ROWS);
            }}
          />
        ))}
      </View>
      {question === 'partners' && <Habits stash={stash} />}
      {question === 'unused' && <Challenge stash={stash} folded />}
      {shown.length === 0 ? (
        <Note>{NO_GAPS[question]}</Note>
      ) : (
        <GapActsProvider>
          <View role="list" style={styles.list}>
            <InTurn first={4} step={2}>
              {shown.slice(0, most)}
            </InTurn>
          </View>
        </GapActsProvider>
      )}
      {shown.length > most && (
        <Button
          label={`Show more (${thousands(shown.length - most)} left)`}
          onPress={() => setMost(most + ROWS)}
        />
      )}
      <PutOff stash={stash} />
    </Page>
  );
}

function rowsOf(gaps: GapsView, stash: Stash, where: Where): Record<GapQuestion, ReactNode[]> {
  return {
    running: gaps.running.map((row) => <RunningRow key={aboutOf.running(row)} {...{ row, stash }} />),
    colours: [
      ...gaps.ranges.map((row) => <RangeRow key={aboutOf.ranges(row)} row={row} />),
      ...gaps.colours.map((row) => <HoleRow key={aboutOf.colours(row)} {...{ row, stash }} />),
    ],
    partners: gaps.partners.map((row) => <PartnerRow key={aboutOf.partners(row)} {...{ row, stash }} />),
    unused: gaps.unused.map((row) => <UnusedRow key={aboutOf.unused(row)} {...{ row, stash, where }} />),
    doubles: gaps.doubles.map((row) => (
      <DoubleRow key={`${row.why} ${aboutOf.doubles(row)}`} {...{ row, stash }} />
    )),
    room: gaps.room.map((row) => <RoomRow key={aboutOf.room(row)} {...{ row, stash }} />),
  };
}

interface TileProps {
  readonly label: string;
  readonly count: number;
  readonly on: boolean;
  readonly onPress: () => void;
}

function Tile({ label, count, on, onPress }: TileProps) {
  return (
    <Pressable
      role="radio"
      aria-checked={on}
      aria-label={`${count} ${label}`}
      onPress={onPress}
      style={styles.tile}
    >
      <View style={[styles.tileLip, on && styles.tileOn]} />
      <Txt look="number" style={styles.count}>
        {count}
      </Txt>
      <Txt look="quiet">{label}</Txt>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  links: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  tiles: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  tile: {
    flexGrow: 1,
    flexBasis: 104,
    padding: space.m - 4,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
    overflow: 'hidden',
  },
  tileLip: { position: 'absolute', left: 0, right: 0, top: 0, height: LIP },
  tileOn: { backgroundColor: colour.lip },
  count: { fontSize: 24 },
  list: { backgroundColor: colour.card, marginHorizontal: -space.m },
});
