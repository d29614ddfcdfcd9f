import type { Stretch } from '../colour/families';
import { keyed, makeRainbowOrder, type ColouredItem, type Keyed } from './order';
import { pathInBlocks } from './smooth/inBlocks';
import { DEFAULT_SCHEME, stretchOf } from './scheme';

/** How a rainbow stands inside each family: by lightness, as smoothly as can be, or something between (0 lightness, 1 smoothest). */
export type Within = 'light-first' | 'dark-first' | 'smooth' | { readonly smooth: number };

export interface RainbowScheme {
  /** Families in the order they stand; ones left out follow in default order. */
  readonly familyOrder?: readonly Stretch[];
  /** Light to dark when left out. */
  readonly within?: Within;
  /** How much a smooth path is worked on, in the milliseconds it takes a usual machine; the outcome is the same on a slower one. */
  readonly budgetMs?: number;
  /** Another seed looks elsewhere for a smooth path. */
  readonly seed?: number;
}

/** Without a budget a path is shaken so often for each thing in it: within one percent of the shortest there can be. */
const SHAKES_EACH = 4;
const SHAKES_A_MS = 3;

/** How smooth, from 0 to 1; null where lightness alone decides. Throws RangeError for what is neither. */
function smoothOf(within: Within): number | null {
  if (within === 'light-first' || within === 'dark-first') return null;
  const smooth = within === 'smooth' ? 1 : within.smooth;
  if (!(smooth >= 0 && smooth <= 1)) throw new RangeError(`Smoothness goes from 0 to 1; ${smooth} does not.`);
  return smooth === 0 ? null : smooth;
}

function refuseTwice(items: readonly ColouredItem[]): void {
  const seen = new Set<string>();
  for (const { id } of items) {
    if (seen.has(id)) throw new RangeError(`Two things have the id “${id}”; each stands in one place only.`);
    seen.add(id);
  }
}

/**
 * The items in rainbow order: family after family, and inside each light to dark, dark to light, along the shortest path by CIEDE2000
 * found through all of them (the path goes on from family to family), or between the two. Things without a colour stand by name.
 * Total: the same items come out the same way, however they came in, for one seed. n log n by lightness; smooth, n² in time and memory
 * up to 1,200 things, family by family above that. Throws NotAColourError when an item's hex is not a colour, RangeError for an id that
 * is there twice, and for a smoothness that is not from 0 to 1.
 */
export function rainbowOrder<T extends ColouredItem>(items: readonly T[], scheme: RainbowScheme = {}): T[] {
  refuseTwice(items);
  const { familyOrder = DEFAULT_SCHEME.familyOrder, within = 'light-first', budgetMs, seed = 1 } = scheme;
  const smooth = smoothOf(within);
  const lightness = within === 'dark-first' ? 'dark-first' : 'light-first';
  const sorted = items.map(keyed).sort(makeRainbowOrder({ familyOrder, lightness }));
  const ordered = smooth === null ? sorted : smoothed(sorted, { familyOrder }, smooth, budgetMs, seed);
  return ordered.map(({ item }) => item);
}

/** Each family as a path; what has no colour stays as it stands. */
function smoothed<T>(
  sorted: readonly Keyed<T>[],
  scheme: { readonly familyOrder: readonly Stretch[] },
  smooth: number,
  budgetMs: number | undefined,
  seed: number,
): readonly Keyed<T>[] {
  const coloured = sorted.filter(({ family }) => family !== 'none');
  const blocks = new Map<Stretch, number[]>();
  coloured.forEach(({ family }, i) => {
    const stretch = stretchOf(family, scheme);
    const block = blocks.get(stretch);
    if (block) block.push(i);
    else blocks.set(stretch, [i]);
  });
  const shakes = Math.round(budgetMs === undefined ? SHAKES_EACH * coloured.length : SHAKES_A_MS * budgetMs);
  const path = pathInBlocks(
    coloured.map(({ lab }) => lab),
    [...blocks.values()],
    { smooth, lightFirst: true, shakes, seed },
  ).flatMap((i) => coloured[i] ?? []);
  // Colours take the places that colours had.
  let next = 0;
  return sorted.map((each) => (each.family === 'none' ? each : (path[next++] ?? each)));
}
