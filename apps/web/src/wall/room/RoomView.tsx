import { busyIn, reachesIn, sceneOf, type Box, type Scene, type Standing } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { placedIn, useContents, type Contents } from '../../api/contents';
import type { Stash } from '../../api/queries';
import type { SlotChoice } from '../../draw/UnitBlock';
import { unitSize } from '../../draw/geometry';
import { STRETCH } from '../../draw/UnitDrawing';
import { colour, space } from '../../theme/tokens';
import { useKeys } from '../../ui/useKeys';
import { Piece } from './Piece';
import { Tape, Tint } from './RoomMarks';
import { cellsDrawn, RoomUnit } from './RoomUnit';
import { useBitByBit } from './useBitByBit';
import { ZoomKey } from './ZoomKey';
import { UM_A_PX, useZoom, type Seen } from './useZoom';

export interface RoomViewProps {
  readonly stash: Stash;
  readonly lit: ReadonlySet<string> | undefined;
  readonly choice: SlotChoice | null;
  readonly onChoose: (choice: SlotChoice | null) => void;
  /** px at the foot that a sheet covers while something is chosen. */
  readonly covered: number;
}

/** Things are drawn and can be taken from this many px a cell on; from afar a unit is its colours. */
const NEAR_PX = 9;
/** And not before the unit itself is so wide: many small units at once are looked at, not worked in. */
const NEAR_UNIT_PX = 150;
const STEP = 1.6;
const PAN_PX = 120;
const ROOM_BELOW_UM = 60_000;

const meets = (a: Box, b: Box): boolean =>
  a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;

/** The least side of a cell, µm; of what has none, of a usual thing. */
const cellUm = ({ model }: UnitView): number =>
  model?.model === 'grid' ? Math.min(...model.columnsUm, ...model.rowsUm) : 20_000;

/** px on the screen for one of the world from which on a unit is near. */
const nearAt = ({ unit, box }: Standing<UnitView>): number =>
  UM_A_PX * Math.max(NEAR_UNIT_PX / box.w, NEAR_PX / cellUm(unit));
const isNear = (each: Standing<UnitView>, { k, box: seen }: Seen): boolean =>
  meets(each.box, seen) && k >= nearAt(each);

const EMPTY: Contents = [];
const NONE_NEAR: ReadonlyMap<string, number> = new Map();

/** The units that are near with their cells, those in the middle of what is seen first. */
function nearIn(
  { standing }: Scene<UnitView>,
  seen: Seen,
  slots: ReadonlyMap<string, Contents>,
): ReadonlyMap<string, number> {
  const off = ({ box }: Standing<UnitView>): number =>
    Math.hypot(
      box.x + box.w / 2 - seen.box.x - seen.box.w / 2,
      box.y + box.h / 2 - seen.box.y - seen.box.h / 2,
    );
  return new Map(
    standing
      .filter((each) => isNear(each, seen))
      .sort((a, b) => off(a) - off(b))
      .map(({ unit: { id } }) => [id, cellsDrawn(slots.get(id) ?? EMPTY)]),
  );
}

/** The room in elevation: walls, furniture, racks and what is in them, to one scale, from the whole room to one slot. */
export function RoomView({ stash, lit, choice, onChoose, covered }: RoomViewProps) {
  const { all } = stash.wall;
  const slots = useContents(stash);
  const scene = useMemo(() => sceneOf(all), [all]);
  const world = { width: scene.w / UM_A_PX, height: (scene.h + ROOM_BELOW_UM) / UM_A_PX };
  const { viewRef, worldRef, setView, seen, moving, by, pan, to } = useZoom(world);
  const near = useBitByBit(
    useMemo(() => (seen ? nearIn(scene, seen, slots) : NONE_NEAR), [scene, seen, slots]),
    STRETCH,
    moving,
  );
  const [tinted, setTinted] = useState(false);
  const reaches = useMemo(() => (tinted ? reachesIn(all) : null), [tinted, all]);
  const busy = useMemo(() => (tinted ? busyIn(placedIn(stash)) : null), [tinted, stash]);
  const [outId, setOut] = useState<string | null>(null);
  const standing = scene.standing.find(({ unit }) => unit.id === choice?.unitId);
  const whole = { x: 0, y: 0, w: scene.w, h: scene.h };
  const go = useCallback(
    (each: Standing<UnitView>) => {
      const { box, unit } = each;
      const flat = unit.facts.lies === true && unit.model?.model === 'grid';
      setOut(flat ? unit.id : null);
      // Whatever is gone to can be worked in there.
      to(flat ? { ...box, h: box.h + unitSize(unit).h } : box, covered, unit.model ? nearAt(each) : 0);
    },
    [to, covered],
  );
  // What was chosen elsewhere, by a search, is gone to.
  useEffect(() => {
    if (standing && seen && !isNear(standing, seen)) go(standing);
    // Only a new choice moves the view; one may look away from it.
  }, [choice]);
  const arrows: Record<string, () => void> = choice
    ? {}
    : {
        ArrowLeft: () => pan(PAN_PX / (seen?.k ?? 1), 0),
        ArrowRight: () => pan(-PAN_PX / (seen?.k ?? 1), 0),
        ArrowUp: () => pan(0, PAN_PX / (seen?.k ?? 1)),
        ArrowDown: () => pan(0, -PAN_PX / (seen?.k ?? 1)),
      };
  useKeys({
    '+': () => by(STEP),
    '=': () => by(STEP),
    '-': () => by(1 / STEP),
    '0': () => to(whole),
    ...arrows,
  });
  return (
    <View style={styles.room}>
      <View
        ref={viewRef}
        role="group"
        aria-label="The room, drawn to scale"
        style={styles.view}
        onLayout={({ nativeEvent: { layout } }) => setView({ width: layout.width, height: layout.height })}
      >
        <View ref={worldRef} style={[styles.world, world]}>
          <View style={[styles.floor, { top: scene.h / UM_A_PX, width: world.width }]} />
          {scene.standing.map((each) =>
            each.unit.sort === 'piece' ? (
              <Piece key={each.unit.id} standing={each} k={seen?.k ?? 1} onGo={go} />
            ) : (
              <RoomUnit
                key={each.unit.id}
                standing={each}
                slots={slots.get(each.unit.id) ?? EMPTY}
                upTo={near.get(each.unit.id) ?? 0}
                out={outId === each.unit.id}
                lit={lit}
                selected={choice?.unitId === each.unit.id ? choice.slot : null}
                onSelect={onChoose}
                onGo={go}
              />
            ),
          )}
          {seen &&
            reaches &&
            scene.standing.map((each) => (
              <Tint
                key={each.unit.id}
                standing={each}
                k={seen.k}
                reach={reaches.get(each.unit.id)?.reach ?? 'mid'}
                busy={busy?.get(each.unit.id)}
              />
            ))}
          {seen && scene.standing.map((each) => <Tape key={each.unit.id} standing={each} k={seen.k} />)}
        </View>
      </View>
      <View style={styles.keys} role="toolbar" aria-label="Zoom">
        <ZoomKey says="Nearer" sign="+" onPress={() => by(STEP)} />
        <ZoomKey says="Farther" sign="−" onPress={() => by(1 / STEP)} />
        <ZoomKey
          says={
            tinted ? 'How far things are, how much used: switch off' : 'How far things are, how much used'
          }
          sign="↔"
          on={tinted}
          onPress={() => setTinted(!tinted)}
        />
        <ZoomKey
          says="The whole room"
          sign="⤢"
          onPress={() => {
            setOut(null);
            to(whole);
          }}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  room: { flex: 1, minHeight: 240 },
  // What a finger does here moves the room, not the page.
  view: { flex: 1, overflow: 'hidden', ...({ touchAction: 'none' } as object) },
  world: { position: 'absolute', left: 0, top: 0 },
  floor: { position: 'absolute', left: 0, height: 3, backgroundColor: colour.quiet },
  keys: { position: 'absolute', right: space.s, bottom: space.s, gap: space.s },
});
