/** How much of what is used most, and of what was never used, is in a place. */
export interface Busy {
  readonly most: number;
  readonly never: number;
}

/** So many things count as the most used. */
const MOST_USED = 20;

/** By unit, how many of the most used things are in it, and how many nobody used yet; units without either are left out. */
export function busyIn(
  things: readonly { readonly unitId: string; readonly uses: number }[],
): ReadonlyMap<string, Busy> {
  const ranked = things.filter(({ uses }) => uses > 0).sort((p, q) => q.uses - p.uses);
  const least = ranked[Math.min(MOST_USED, ranked.length) - 1]?.uses ?? Infinity;
  const found = new Map<string, Busy>();
  for (const { unitId, uses } of things) {
    const { most, never } = found.get(unitId) ?? { most: 0, never: 0 };
    if (uses === 0) found.set(unitId, { most, never: never + 1 });
    else if (uses >= least) found.set(unitId, { most: most + 1, never });
  }
  return found;
}
