import type { Busy, Reach, Standing } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { REACH_SIGN, sayBusy } from '../../copy/room';
import { colour, font } from '../../theme/tokens';
import { Txt } from '../../ui/Txt';
import { UM_A_PX } from './useZoom';

const TAPE_PX = 13;
/** A letter is put on what is at least so wide and high on the screen. */
const ROOM_FOR_TAPE = { w: 26, h: 16 };

/** The letter of a unit on its upper left corner, of one size however near it is. */
export const Tape = memo(function Tape({
  standing: { unit, box },
  k,
}: {
  readonly standing: Standing<UnitView>;
  readonly k: number;
}) {
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
});

/** A word is put on what is at least so wide and high on the screen; a few, on more. */
const ROOM_FOR_SIGN = { w: 70, h: 17 };
const ROOM_FOR_WORDS = { w: 210, h: 34 };

const TINT = { near: 0, mid: 0.35, far: 0.65 } as const;

/** How far a unit is from the seat: shaded the more, the farther, and said where there is room; and what is used most and never. */
export function Tint({
  standing: { unit, box },
  k,
  reach,
  busy,
}: {
  readonly standing: Standing<UnitView>;
  readonly k: number;
  readonly reach: Reach['reach'];
  /** What of it is used most, and never. */
  readonly busy: Busy | undefined;
}) {
  const [left = 0, top = 0, width = 0, height = 0] = [box.x, box.y, box.w, box.h].map((um) => um / UM_A_PX);
  const has = (room: { w: number; h: number }): boolean => width * k > room.w && height * k > room.h;
  const said = [
    ...(has(ROOM_FOR_SIGN) ? [REACH_SIGN[reach]] : []),
    ...(busy && has(ROOM_FOR_WORDS) ? sayBusy(busy) : []),
  ].filter(Boolean);
  if (unit.sort === 'piece' || (reach === 'near' && said.length === 0)) return null;
  return (
    <View style={[styles.tint, { left, top, width, height }]}>
      <View style={[styles.shade, { opacity: TINT[reach] }]} />
      {said.length > 0 && (
        <Txt style={[styles.sign, { fontSize: 12 / k, lineHeight: 15 / k, padding: 2 / k }]}>
          {said.join(' · ')}
        </Txt>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  tape: {
    position: 'absolute',
    pointerEvents: 'none',
    zIndex: 2,
    fontFamily: font.label,
    color: colour.onAction,
    backgroundColor: colour.action,
  },
  tint: { position: 'absolute', pointerEvents: 'none', zIndex: 1 },
  shade: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, backgroundColor: colour.ground },
  sign: {
    position: 'absolute',
    right: 0,
    bottom: 0,
    fontFamily: font.label,
    color: colour.text,
    backgroundColor: colour.card,
  },
});
