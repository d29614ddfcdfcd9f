/** A stretch of one group in the order it stands, and how many things are in it. */
export interface DrawerGroup {
  readonly group: string;
  readonly count: number;
}

/** Part of a group in a drawer: things `from` to `to` of its `of`, counted from 0, `to` left out. */
export interface DrawerPart {
  readonly group: string;
  readonly from: number;
  readonly to: number;
  readonly of: number;
}
export interface Drawer {
  readonly parts: readonly DrawerPart[];
  readonly count: number;
}

/** A cut through a group costs as much as a drawer that is off by this share of an even one. */
const CUT_COST = 0.35;

/**
 * Shares ordered groups out over `drawers` so that each is about evenly filled: small neighbours are merged, a large
 * group is split, and a group is cut only where that evens things out enough. Neighbours stay neighbours.
 * The least sum of squared deviations from an even drawer, plus the cost of cuts, by dynamic programming over the
 * cut positions (linear partitioning). Fewer drawers come back when there are fewer things.
 */
export function shareIntoDrawers(groups: readonly DrawerGroup[], drawers: number): Drawer[] {
  const present = groups.filter(({ count }) => count > 0);
  const total = present.reduce((sum, { count }) => sum + count, 0);
  const n = Math.min(Math.max(1, Math.floor(drawers)), total);
  if (total === 0) return [];
  const even = total / n;
  const ends = new Set<number>([0]);
  let at = 0;
  for (const { count } of present) ends.add((at += count));
  const cuts = cutPositions(present, even, total);
  const cost = (from: number, to: number): number =>
    ((to - from) / even - 1) ** 2 + (ends.has(to) ? 0 : CUT_COST ** 2);
  const best: number[][] = [cuts.map((cut) => (cut === 0 ? 0 : Infinity))];
  const came: number[][] = [[]];
  for (let d = 1; d <= n; d++) {
    const row = cuts.map(() => Infinity);
    const back = cuts.map(() => 0);
    cuts.forEach((to, j) => {
      for (let i = 0; i < j; i++) {
        const sum = (best[d - 1]?.[i] ?? Infinity) + cost(cuts[i] ?? 0, to);
        if (sum < (row[j] ?? Infinity)) [row[j], back[j]] = [sum, i];
      }
    });
    best.push(row);
    came.push(back);
  }
  const found: Drawer[] = [];
  for (let d = n, j = cuts.length - 1; d > 0; d--) {
    const i = came[d]?.[j] ?? 0;
    found.unshift(drawerBetween(present, cuts[i] ?? 0, cuts[j] ?? total));
    j = i;
  }
  return found;
}

/** Where a drawer may end: where a group ends, and inside large groups at every eighth of an even drawer. */
function cutPositions(groups: readonly DrawerGroup[], even: number, total: number): number[] {
  const step = Math.max(1, Math.floor(even / 8));
  const cuts = new Set<number>([0, total]);
  let at = 0;
  for (const { count } of groups) {
    for (let inside = step; inside < count; inside += step) cuts.add(at + inside);
    cuts.add((at += count));
  }
  return [...cuts].sort((a, b) => a - b);
}

function drawerBetween(groups: readonly DrawerGroup[], from: number, to: number): Drawer {
  let at = 0;
  const parts = groups.flatMap(({ group, count }): DrawerPart[] => {
    const start = at;
    at += count;
    const first = Math.max(from, start);
    const last = Math.min(to, at);
    return last > first ? [{ group, from: first - start, to: last - start, of: count }] : [];
  });
  return { parts, count: to - from };
}

/**
 * Subjects that need not stand in any order, shared over `drawers`: the largest first, each into the emptiest drawer
 * (longest processing time first, Graham 1969). Ties go to the earlier drawer.
 */
export function pairSubjects(subjects: readonly DrawerGroup[], drawers: number): Drawer[] {
  const n = Math.max(1, Math.min(Math.floor(drawers), subjects.length));
  const found = Array.from({ length: n }, () => ({ parts: [] as DrawerPart[], count: 0 }));
  const largest = [...subjects].sort((p, q) => q.count - p.count || (p.group < q.group ? -1 : 1));
  for (const { group, count } of largest) {
    const [first] = found;
    const emptiest = found.reduce(
      (least, drawer) => (drawer.count < least.count ? drawer : least),
      first ?? { parts: [], count: 0 },
    );
    emptiest.parts.push({ group, from: 0, to: count, of: count });
    emptiest.count += count;
  }
  return found.filter(({ count }) => count > 0);
}
