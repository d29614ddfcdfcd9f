import { isOnWall } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useCallback, useEffect, useMemo, useRef, useState, type ComponentType } from 'react';
import { ScrollView, StyleSheet, View, type TextInput } from 'react-native';
import { countIn, hasPlace, isLoose, useContents, type Contents } from '../api/contents';
import { useStash } from '../api/queries';
import { Waiting } from '../ui/Waiting';
import { many, words } from '../copy/words';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { PageHead } from '../ui/Page';
import { SearchField } from '../ui/SearchField';
import { FirstSteps } from '../ui/FirstSteps';
import { Txt } from '../ui/Txt';
import { useGradually } from '../ui/useGradually';
import { useKeys } from '../ui/useKeys';
import { useWide } from '../ui/useWide';
import { stepSlot } from '../draw/geometry';
import { UseTint, sharesOfUse, useByUse } from '../draw/useTint';
import type { SlotChoice } from '../draw/UnitBlock';
import { Chip } from '../ui/Chip';
import type { FoundWaysProps } from './FoundWays';
import { lift, useCarried } from './carry/carried';
import type { CarryPanelProps } from './carry/CarryPanel';
import { DragGround } from './carry/DragGround';
import { useSpace } from './carry/useSpace';
import { RacksView } from './RacksView';
import type { RoomViewProps } from './room/RoomView';
import type { SlotPanelProps } from './SlotPanel';
import { useWallView, WALL_VIEWS } from './wallView';
import { useFound } from '../api/useFound';

/** A sheet covers so much of a phone's foot at most. */
const SHEET_PX = 320;

interface WallScreenProps {
  /** What comes with the rest of the app, a moment later. */
  readonly panel: ComponentType<SlotPanelProps>;
  readonly room: ComponentType<RoomViewProps>;
  readonly ways: ComponentType<FoundWaysProps>;
  readonly carry: ComponentType<CarryPanelProps>;
}

/** The room and its racks, to scale and full of colour. Search dims what does not match; a tap says what lives in a slot. */
export function WallScreen({ panel: Panel, room: Room, ways: Ways, carry: Carry }: WallScreenProps) {
  const { stash: whole, error } = useStash();
  // First the field, then rack after rack.
  const stash = useGradually(1) > 0 ? whole : undefined;
  const wide = useWide();
  const [view, setView] = useWallView(wide);
  const [byUse, setByUse] = useByUse();
  const [query, setQuery] = useState('');
  const [choice, setChoice] = useState<SlotChoice | null>(null);
  const [drops, setDrops] = useState(0);
  const dragged = useRef(false);
  const carried = useCarried(stash);
  const inHand = carried.length > 0;
  const drop = (): void => setDrops((count) => count + 1);
  // Drops are counted anew for what is lifted next.
  useEffect(() => {
    if (!inHand) setDrops(0);
  }, [inHand]);
  // What is in hand is set down by pointing twice at one place.
  const latest = useRef({ choice, inHand });
  latest.current = { choice, inHand };
  const choose = useCallback((next: SlotChoice | null): void => {
    const { choice: before, inHand: holding } = latest.current;
    if (holding && next && before?.unitId === next.unitId && before.slot === next.slot)
      setDrops((count) => count + 1);
    else setChoice(next);
  }, []);
  const field = useRef<TextInput>(null);
  const slots = useContents(stash);
  const found = useFound(stash, query);
  const lit = useMemo(() => found && new Set(found.map(({ id }) => id)), [found]);
  const tint = useMemo(() => (byUse && stash ? sharesOfUse(stash.supplies) : undefined), [byUse, stash]);
  const units = useMemo(() => (stash?.wall.units ?? []).filter(isOnWall), [stash]);
  const shown = useGradually(view === 'racks' ? units.length : 0);
  const unit = units.find(({ id }) => id === choice?.unitId);
  const step = (key: string) => () => {
    if (unit && choice)
      setChoice({ unitId: unit.id, slot: stepSlot(unit, slots.get(unit.id) ?? [], choice.slot, key) });
  };
  useKeys({
    '/': () => field.current?.focus(),
    ...(choice
      ? {
          ArrowLeft: step('ArrowLeft'),
          ArrowRight: step('ArrowRight'),
          ArrowUp: step('ArrowUp'),
          ArrowDown: step('ArrowDown'),
          ...(inHand ? {} : { Escape: () => setChoice(null) }),
        }
      : {}),
  });
  useSpace(() => {
    const living = choice && slots.get(choice.unitId)?.[choice.slot];
    if (inHand && choice) drop();
    else if (living) lift(living.lot.id);
    return inHand || Boolean(living);
  });
  const head = (
    <>
      <PageHead title={stash?.wall.roomName ?? 'Wall'} {...(stash && { aside: sayRoom(units, slots) })} />
      <View style={styles.search}>
        <View style={styles.field}>
          <SearchField ref={field} value={query} onChange={setQuery} />
        </View>
        <View style={styles.views} role="radiogroup" aria-label="The wall as">
          {WALL_VIEWS.map((each) => (
            <Chip key={each} label={each} on={each === view} onPress={() => setView(each)} />
          ))}
        </View>
        {/* Where there is little room it is switched on from the pictures of use. */}
        {(wide || byUse) && <Chip many label="by use" on={byUse} onPress={() => setByUse(!byUse)} />}
      </View>
      {byUse && (
        <Txt look="quiet">
          Pale: hardly used. The line under each is as long as it is used, against the most used of its kind.
        </Txt>
      )}
      {found && (
        <Txt look="quiet">
          {found.length === 0
            ? words.nothingFound
            : `${many(found.length, 'match', 'matches')}, ${found.filter(hasPlace).length} of them on the wall`}
        </Txt>
      )}
      {stash && found && found.length > 0 && <Ways found={found} stash={stash} onChoose={choose} />}
      {/* What does not need the stash stands at once. */}
      {!whole && <Waiting error={error} />}
      {stash && units.length === 0 && <Note>{words.emptyWall}</Note>}
    </>
  );
  const acts = (
    <View style={styles.acts}>
      <Button label="Put up a rack" icon="plus" onPress={() => router.push('/rack')} />
      <Button label="All storage" onPress={() => router.push('/storage')} />
    </View>
  );
  return (
    <UseTint.Provider value={tint}>
      <View style={styles.split}>
        <DragGround
          stash={stash}
          onAim={setChoice}
          onDrop={() => {
            dragged.current = true;
            drop();
          }}
        >
          {view === 'room' && units.length > 0 ? (
            <View style={[styles.page, styles.fixed]}>
              {head}
              {stash && (
                <Room
                  stash={stash}
                  lit={lit}
                  choice={choice}
                  onChoose={choose}
                  covered={(choice || inHand) && !wide ? SHEET_PX : 0}
                />
              )}
              {wide && acts}
            </View>
          ) : (
            <ScrollView
              style={styles.page}
              contentContainerStyle={[styles.inside, (choice || inHand) && !wide && styles.underSheet]}
            >
              {head}
              <RacksView
                units={units}
                shown={shown}
                slots={slots}
                lit={lit}
                choice={choice}
                onChoose={choose}
              />
              {shown === units.length && acts}
              {stash?.supplies.length === 0 && <FirstSteps />}
            </ScrollView>
          )}
        </DragGround>
        {stash && inHand && (
          <Carry
            stash={stash}
            carried={carried}
            choice={choice}
            drops={drops}
            onChoose={choose}
            onDone={() => {
              // Who drags goes on dragging: nothing opens, and the wall stays where it is.
              if (dragged.current) setChoice(null);
              dragged.current = false;
            }}
          />
        )}
        {stash && choice && unit && !inHand && (
          <Panel
            unit={unit}
            slots={slots.get(unit.id) ?? []}
            choice={choice}
            stash={stash}
            onChoose={choose}
            onClose={() => setChoice(null)}
          />
        )}
      </View>
    </UseTint.Provider>
  );
}

/** How much of the room is filled, in one line. */
function sayRoom(units: readonly UnitView[], slots: ReadonlyMap<string, Contents>): string {
  const cells = (unit: UnitView): Contents => slots.get(unit.id) ?? [];
  const placed = units.reduce((sum, unit) => sum + countIn(cells(unit)), 0);
  const open = units.reduce(
    (sum, unit) => (isLoose(unit) ? sum : sum + cells(unit).length - countIn(cells(unit))),
    0,
  );
  return `${many(units.length, 'rack')} · ${placed} in place · ${open} open`;
}

const styles = StyleSheet.create({
  split: { flex: 1, flexDirection: 'row', minHeight: 0 },
  page: { flex: 1, backgroundColor: colour.ground },
  /** The room takes what the head leaves; it is moved, not the page. */
  fixed: { padding: space.m, paddingTop: 14, gap: space.s + 4, paddingBottom: space.s },
  search: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  field: { flexGrow: 1, flexBasis: 200 },
  views: { flexDirection: 'row', gap: space.xs },
  inside: { padding: space.m, paddingTop: 14, gap: space.m, paddingBottom: space.l * 3 },
  /** Room to scroll the last rack clear of the sheet. */
  underSheet: { paddingBottom: SHEET_PX },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
