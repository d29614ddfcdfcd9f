import type { Orientation, Size } from '../kinds/definition';

/**
 * The six ways round a box may be put, by what its width, height and depth become:
 * - `as it stands`: width, height, depth;
 * - `quarter turned` on its base: depth, height, width;
 * - `on its side`, tipped over to the left or right: height, width, depth;
 * - `on its side, quarter turned`: depth, width, height;
 * - `on its back`, tipped over backwards: width, depth, height;
 * - `on its back, quarter turned`: height, depth, width.
 */
const SIDES = {
  'as it stands': ['widthUm', 'heightUm', 'depthUm'],
  'quarter turned': ['depthUm', 'heightUm', 'widthUm'],
  'on its side': ['heightUm', 'widthUm', 'depthUm'],
  'on its side, quarter turned': ['depthUm', 'widthUm', 'heightUm'],
  'on its back': ['widthUm', 'depthUm', 'heightUm'],
  'on its back, quarter turned': ['heightUm', 'depthUm', 'widthUm'],
} as const satisfies Readonly<Record<string, readonly [keyof Size, keyof Size, keyof Size]>>;

/** A way round a thing may be put. */
export type Turn = keyof typeof SIDES;

/** Every way round, as it stands first. */
export const TURNS = Object.keys(SIDES) as readonly Turn[];
/** Ways round that leave its base on the ground: always harmless. */
export const UPRIGHT: readonly Turn[] = ['as it stands', 'quarter turned'];

/** The outside of a thing the way round it is put, µm. */
export function turned(size: Size, turn: Turn): Size {
  const [across, up, back] = SIDES[turn];
  return { widthUm: size[across], heightUm: size[up], depthUm: size[back] };
}

/** The ways round a thing may be put that wants to stand or lie so; what wants none in particular, any. */
export const turnsFor = (wants: Orientation['wants'] = 'any'): readonly Turn[] =>
  wants === 'any' ? TURNS : UPRIGHT;
