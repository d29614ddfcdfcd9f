import type { Box } from '@red-shelf/core';

/** A circle as part of a path, px. */
const circle = (cx: number, cy: number, r: number): string =>
  `M${cx - r} ${cy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;

/** A ring as a path, px; filled by "evenodd" its middle is a hole. */
export const ringPath = (cx: number, cy: number, outer: number, inner: number): string =>
  circle(cx, cy, outer) + circle(cx, cy, inner);

/** The largest circle in a box but for a little, as a path. */
export const circleIn = ({ x, y, w, h }: Box): string => circle(x + w / 2, y + h / 2, Math.min(w, h) * 0.46);

/** A box with a little room around it, as a path. */
export const boxIn = ({ x, y, w, h }: Box): string => `M${x + 0.5} ${y + 0.5}h${w - 1}v${h - 1}h${1 - w}Z`;

/** A small mark in the lower right corner of a box, as a path. */
export function tickIn({ x, y, w, h }: Box): string {
  const tick = Math.min(w, h, 18) * 0.5;
  return `M${x + w} ${y + h - tick}V${y + h}H${x + w - tick}Z`;
}

/** The upper right corner of a box folded over, as a path. */
export function foldIn({ x, y, w, h }: Box): string {
  const size = Math.min(w, h, 16) * 0.45;
  return `M${x + w - size} ${y}H${x + w}V${y + size}Z`;
}
