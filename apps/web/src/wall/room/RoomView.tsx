import { sceneOf, type Box, type Standing } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useContents } from '../../api/contents';
import type { Stash } from '../../api/queries';
import type { SlotChoice } from '../../draw/UnitBlock';
import { unitSize } from '../../draw/geometry';
import { colour, font, radius, space, TOUCH } from '../../theme/tokens';
import { Txt } from '../../ui/Txt';
import { useKeys } from '../../ui/useKeys';
import { RoomUnit } from './RoomUnit';
import { useOneByOne } from './useOneByOne';
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

const isNear = ({ unit, box }: Standing<UnitView>, { k, box: seen }: Seen): boolean =>
  meets(box, seen) && (box.w / UM_A_PX) * k >= NEAR_UNIT_PX && (cellUm(unit) / UM_A_PX) * k >= NEAR_PX;

/** The room in elevation: walls, furniture, racks and what is in them, to one scale, from the whole room to one slot. */
export function RoomView({ stash, lit, choice, onChoose, covered }: RoomViewProps) {
  const { all } = stash.wall;
  const slots = useContents(stash);
  const scene = useMemo(() => sceneOf(all), [all]);
  const world = { width: scene.w / UM_A_PX, height: (scene.h + ROOM_BELOW_UM) / UM_A_PX };
  const { viewRef, worldRef, setView, seen, by, pan, to } = useZoom(world);
  const near = useOneByOne(
    useMemo(
      () =>
        new Set(
          seen ? scene.standing.filter((each) => isNear(each, seen)).map(({ unit: { id } }) => id) : [],
        ),
      [scene, seen],
    ),
  );
  const [outId, setOut] = useState<string | null>(null);
  const standing = scene.standing.find(({ unit }) => unit.id === choice?.unitId);
  const whole = { x: 0, y: 0, w: scene.w, h: scene.h };
  const go = useCallback(
    (each: Standing<UnitView>) => {
      const { box, unit } = each;
      const flat = unit.facts.lies === true && unit.model?.model === 'grid';
      setOut(flat ? unit.id : null);
      to(flat ? { ...box, h: box.h + unitSize(unit).h } : box, covered);
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
                slots={slots.get(each.unit.id) ?? []}
                near={near.has(each.unit.id)}
                out={outId === each.unit.id}
                lit={lit}
                selected={choice?.unitId === each.unit.id ? choice.slot : null}
                onSelect={onChoose}
                onGo={go}
              />
            ),
          )}
          {seen && scene.standing.map((each) => <Tape key={each.unit.id} standing={each} k={seen.k} />)}
        </View>
      </View>
      <View style={styles.keys} role="toolbar" aria-label="Zoom">
        <Zoom says="Nearer" sign="+" onPress={() => by(STEP)} />
        <Zoom says="Farther" sign="−" onPress={() => by(1 / STEP)} />
        <Zoom
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

interface PieceProps {
  readonly standing: Standing<UnitView>;
  readonly k: number;
  readonly onGo: (standing: Standing<UnitView>) => void;
}

/** Furniture: its outline, and its name where there is room for it. */
function Piece({ standing, k, onGo }: PieceProps) {
  const { unit, box, level } = standing;
  const [left, top, width, height] = [box.x, box.y, box.w, box.h].map((um) => um / UM_A_PX);
  const named = box.w / UM_A_PX > 70 / k;
  return (
    <>
      <Pressable
        role="button"
        aria-label={`Go to ${unit.name}`}
        onPress={() => onGo(standing)}
        style={[styles.piece, { left, top, width, height }]}
      />
      {named && (
        <Txt
          look="quiet"
          lines={1}
          style={[
            styles.name,
            // Under what it names; in what stands in another, at its foot.
            { left: (left ?? 0) + 3 / k, top: (top ?? 0) + (height ?? 0) - (level > 0 ? 20 / k : -2 / k) },
            { maxWidth: width, fontSize: 13 / k, lineHeight: 17 / k },
          ]}
        >
          {unit.name}
        </Txt>
      )}
    </>
  );
}

const TAPE_PX = 13;
/** A letter is put on what is at least so wide and high on the screen. */
const ROOM_FOR_TAPE = { w: 26, h: 16 };

/** The letter of a unit on its upper left corner, of one size however near it is. */
function Tape({ standing: { unit, box }, k }: { readonly standing: Standing<UnitView>; readonly k: number }) {
  const px = (um: number): number => (um / UM_A_PX) * k;
  if (unit.label === '' || px(box.w) < ROOM_FOR_TAPE.w || px(box.h) < ROOM_FOR_TAPE.h) return null;
  return (
    <Txt
      aria-hidden
      style={[
        styles.tape,
        {
          left: box.x / UM_A_PX,
          top: box.y / UM_A_PX,
          fontSize: TAPE_PX / k,
          lineHeight: (TAPE_PX + 1) / k,
          paddingHorizontal: 3 / k,
        },
      ]}
    >
      {unit.label}
    </Txt>
  );
}

function Zoom({ says, sign, onPress }: { says: string; sign: string; onPress: () => void }) {
  return (
    <Pressable role="button" aria-label={says} onPress={onPress} style={styles.key}>
      <Txt look="title">{sign}</Txt>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  room: { flex: 1, minHeight: 240 },
  // What a finger does here moves the room, not the page.
  view: { flex: 1, overflow: 'hidden', ...({ touchAction: 'none' } as object) },
  world: { position: 'absolute', left: 0, top: 0 },
  floor: { position: 'absolute', left: 0, height: 3, backgroundColor: colour.quiet },
  piece: {
    position: 'absolute',
    backgroundColor: colour.card,
    borderWidth: 2,
    borderColor: colour.rackWall,
  },
  name: { position: 'absolute', pointerEvents: 'none' },
  tape: {
    position: 'absolute',
    pointerEvents: 'none',
    zIndex: 2,
    fontFamily: font.label,
    color: colour.onAction,
    backgroundColor: colour.action,
  },
  keys: { position: 'absolute', right: space.s, bottom: space.s, gap: space.s },
  key: {
    width: TOUCH,
    height: TOUCH,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: radius.m,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
});
