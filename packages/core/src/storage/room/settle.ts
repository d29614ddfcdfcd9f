import type { Pose } from '../unitFacts';
import type { Front } from './front';

/** Something that is to stand somewhere: how wide and high it is, and what was measured of where. */
export interface Block extends Front {
  readonly pose: Pick<Pose, 'alongUm' | 'upUm'>;
}
/** Its left side and its foot, µm from the left and from the bottom of what it stands in. */
export interface Place {
  readonly x: number;
  readonly up: number;
}

const GAP_UM = 20_000;
const overlap = (a: number, la: number, b: number, lb: number): boolean => a < b + lb && b < a + la;

/**
 * Where blocks stand. What was measured in both ways stands there; what has only a place along stands on the highest thing there;
 * what has only a height comes behind what is at that height; the rest follows in rows from the bottom up, `width` wide at most.
 */
export function settle(blocks: readonly Block[], width: number): readonly Place[] {
  const places: (Place | undefined)[] = blocks.map(({ pose: { alongUm, upUm } }) =>
    alongUm !== undefined && upUm !== undefined ? { x: alongUm, up: upUm } : undefined,
  );
  const standing = (): (Block & Place)[] =>
    blocks.flatMap((block, i) => {
      const place = places[i];
      return place ? [{ ...block, ...place }] : [];
    });
  const highest = (all: readonly (Block & Place)[]): number =>
    all.reduce((top, { up, h }) => Math.max(top, up + h), 0);
  blocks.forEach(({ w, h, pose: { alongUm, upUm } }, i) => {
    if (places[i] || (alongUm === undefined && upUm === undefined)) return;
    const others = standing();
    places[i] =
      alongUm !== undefined
        ? { x: alongUm, up: highest(others.filter((other) => overlap(other.x, other.w, alongUm, w))) }
        : {
            x: others
              .filter((other) => overlap(other.up, other.h, upUm ?? 0, h))
              .reduce((right, other) => Math.max(right, other.x + other.w + GAP_UM), 0),
            up: upUm ?? 0,
          };
  });
  let row = { x: 0, up: highest(standing()), high: 0 };
  blocks.forEach(({ w, h }, i) => {
    if (places[i]) return;
    if (row.x > 0 && row.x + w > width) row = { x: 0, up: row.up + row.high, high: 0 };
    places[i] = { x: row.x, up: row.up };
    row = { x: row.x + w + GAP_UM, up: row.up, high: Math.max(row.high, h) };
  });
  return places.map((place) => place ?? { x: 0, up: 0 });
}

/** How high the room is when nobody says so, and what is hung at a height nobody measured: between knee and crown. */
const TOP_UM = 1_900_000;
const FOOT_UM = 300_000;

/** What hangs on a wall where nobody measured: in columns from the left, from above the head down to the knee. */
export function hang(blocks: readonly Front[]): readonly Place[] {
  let column = { x: 0, wide: 0, foot: TOP_UM };
  return blocks.map(({ w, h }) => {
    if (column.foot < TOP_UM && column.foot - h < FOOT_UM)
      column = { x: column.x + column.wide + 4 * GAP_UM, wide: 0, foot: TOP_UM };
    const up = Math.max(0, column.foot - h);
    column = { x: column.x, wide: Math.max(column.wide, w), foot: up - 4 * GAP_UM };
    return { x: column.x, up };
  });
}
