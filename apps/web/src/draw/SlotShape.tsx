import { bodyOf, FAMILY_GROUP_INFO, formOf, inkOn, type Box, type VisibleEnd } from '@red-shelf/core';
import { Circle, Path, Rect, Text as SvgText } from 'react-native-svg';
import { colour, font } from '../theme/tokens';
import type { Living } from '../api/contents';
import { ringPath } from './outlines';
import { tintOf } from './useTint';

interface SlotShapeProps {
  readonly box: Box;
  /** Inside width of the cell, µm, for drawing narrower things to scale; null where the box is the thing's own. */
  readonly slotWidthUm: number | null;
  readonly living: Living;
  /** Faded while a search looks for other things. */
  readonly dim: boolean;
  /** First of its family in the unit: shows the two letters even where slots are small. */
  readonly first: boolean;
  /** How much it is used against the most used of its kind, 0 to 1, where that is asked. */
  readonly used?: number | undefined;
  /** The end that is seen there, from the one a thing shows by itself. */
  readonly seen?: (end: VisibleEnd) => VisibleEnd;
}

const EDGE = 'rgba(30,31,33,0.28)';
/** The edge of a single sheet is drawn at least this share of its cell, so that it can be seen and hit. */
const THINNEST_EDGE = 0.4;
/** What a search does not look for is drawn as faint as this. */
const DIMMED = 0.13;
/** The line that says how much a thing is used is so high, px. */
const USE_PX = 2.5;
/** Letters need this much room, px. */
const ROOM_FOR_MARK = { w: 17, h: 11 };

/** A supply's visible end: a pad is a bar, a marker a round end, a bottle a cap, a spool a ring, card an edge, stickers a pocket. */
export function SlotShape({ box: slot, slotWidthUm, living, dim, first, used, seen }: SlotShapeProps) {
  const { supply, lot } = living;
  const { hex } = supply;
  const own = formOf(supply.kind, supply.form).end;
  const end = seen?.(own) ?? own;
  const { widthUm } = bodyOf(supply, lot).all;
  const share = slotWidthUm === null ? 1 : Math.min(1, (1.04 * widthUm) / slotWidthUm);
  const box =
    end === 'bar'
      ? { ...slot, w: slot.w * share }
      : end === 'edge'
        ? { ...slot, w: slot.w * Math.max(THINNEST_EDGE, share) }
        : slot;
  const mark = first && box.w >= ROOM_FOR_MARK.w && box.h >= ROOM_FOR_MARK.h;
  const size = Math.min(13, box.h * 0.8);
  // Round ends wear the letters in the middle, where a spool has its hole.
  const lettered = end === 'pocket' ? sheetBox(box) : box;
  const centred = end === 'ring' || end === 'round' || end === 'cap';
  // Each part is faded by itself. A group around them would be one more element for each of thousands of things.
  const opacity = dim ? DIMMED : 1;
  return (
    <>
      {shape(end, box, hex, opacity * (used === undefined ? 1 : tintOf(used)))}
      {used !== undefined && (
        // As long as it is used, so that its colour is not the only sign.
        <Rect
          {...{ x: slot.x, y: slot.y + slot.h - USE_PX, width: slot.w * used, height: USE_PX }}
          {...{ fill: colour.text, opacity }}
        />
      )}
      {lot.items <= 0 && lot.left <= 0 && (
        <Hollow box={end === 'pocket' ? sheetBox(box) : box} round={centred} opacity={opacity} />
      )}
      {mark && (
        <SvgText
          x={centred ? box.x + box.w / 2 : lettered.x + 4}
          y={lettered.y + (centred ? box.h / 2 : Math.min(lettered.h / 2, 12)) + size * 0.35}
          textAnchor={centred ? 'middle' : 'start'}
          fontSize={size}
          fontFamily={font.label}
          fill={end === 'ring' ? colour.text : inkOn(hex)}
          opacity={opacity}
        >
          {FAMILY_GROUP_INFO[supply.group].mark}
        </SvgText>
      )}
    </>
  );
}

/** Where a sheet shows above the edge of its pocket. */
const sheetBox = ({ x, y, w, h }: Box): Box => ({
  x: x + w * 0.08,
  y: y + h * 0.06,
  w: w * 0.84,
  h: h * 0.68,
});

/** The drawing of an end in a box, px, in a colour. */
export function shape(end: ReturnType<typeof formOf>['end'], { x, y, w, h }: Box, hex: string, opacity = 1) {
  const cx = x + w / 2;
  const cy = y + h / 2;
  const r = Math.min(w, h) / 2;
  const sheet = sheetBox({ x, y, w, h });
  const line = { stroke: EDGE, strokeWidth: 0.75, opacity };
  switch (end) {
    case 'bar':
      return <Rect x={x} y={y + h * 0.08} width={w} height={h * 0.84} rx={1.5} fill={hex} {...line} />;
    case 'round':
      return (
        <>
          <Circle cx={cx} cy={cy} r={r * 0.92} fill={hex} {...line} />
          <Circle
            cx={cx}
            cy={cy}
            r={r * 0.24}
            fill="none"
            stroke={inkOn(hex)}
            strokeOpacity={0.35}
            strokeWidth={0.75}
            opacity={opacity}
          />
        </>
      );
    case 'cap':
      return (
        <>
          <Rect
            {...{ x: x + w * 0.3, y, width: w * 0.4, height: h * 0.3, rx: 1 }}
            {...{ fill: colour.quiet, opacity }}
          />
          <Rect
            x={x + w * 0.12}
            y={y + h * 0.28}
            width={w * 0.76}
            height={h * 0.72}
            rx={2}
            fill={hex}
            {...line}
          />
        </>
      );
    case 'ring':
      return <Path d={ringPath(cx, cy, r * 0.94, r * 0.36)} fillRule="evenodd" fill={hex} {...line} />;
    case 'edge':
      return (
        <Rect
          x={x + w * 0.1}
          y={y + h * 0.02}
          width={w * 0.8}
          height={h * 0.98}
          rx={0.75}
          fill={hex}
          {...line}
        />
      );
    case 'pocket':
      return (
        <>
          <Rect x={x} y={y} width={w} height={h} rx={2} fill={colour.mount} {...line} />
          <Rect
            {...{ x: sheet.x, y: sheet.y, width: sheet.w, height: sheet.h, rx: 2 }}
            {...{ fill: hex, opacity }}
          />
          <Rect x={x} y={y + h * 0.72} width={w} height={h * 0.28} rx={2} fill={colour.mount} {...line} />
        </>
      );
  }
}

/** The middle is gone of something that has run out: its place and name stay on the shelf. */
function Hollow({ box: { x, y, w, h }, round, opacity }: { box: Box; round: boolean; opacity: number }) {
  const look = { fill: colour.rack, opacity };
  return round ? (
    <Circle cx={x + w / 2} cy={y + h / 2} r={Math.min(w, h) * 0.26} {...look} />
  ) : (
    <Rect x={x + w * 0.14} y={y + h * 0.26} width={w * 0.72} height={h * 0.48} {...look} />
  );
}
