import { Heap } from './heap';
import type { Work } from './exact';
import { makeBound } from './bound';
import { REST, type Tree } from './tree';
import type { Sort } from './wanted';

/** A rectangle built of panels: one of them, or two built ones side by side or one below the other. */
interface Build {
  readonly w: number;
  readonly h: number;
  readonly counts: readonly number[];
  readonly value: number;
  readonly of:
    | { readonly sort: number; readonly turned: boolean }
    | { readonly beside: boolean; readonly a: Build; readonly b: Build };
}

export interface OneSheet {
  readonly tree: Tree;
  readonly value: number;
  /** Whether nothing better is possible. */
  readonly proven: boolean;
}

/**
 * The most valuable panels that come out of one sheet by guillotine cuts, each sort at most as often as it is wanted: built
 * up from single panels, the most promising first (Viswanathan & Bagchi 1993), judged by what the rest of the sheet could
 * hold were every sort there without end (Gilmore & Gomory 1966). Ends early, unproven, where it takes more work than is
 * allowed. Sizes are one kerf larger than they are.
 */
export function fillOne(
  sorts: readonly Sort[],
  { w: wide, h: high }: { readonly w: number; readonly h: number },
  valueOf: (sort: Sort) => number,
  work: Work,
): OneSheet {
  const bound = makeBound(sorts, wide, high, valueOf);
  const open = new Heap<Build>(({ w, h, value }) => value + bound(w, h));
  const closed: Build[] = [];
  const seen = new Set<string>();
  let best: Build | null = null;
  const add = (build: Build): void => {
    if (build.w > wide || build.h > high) return;
    const key = `${build.w} ${build.h} ${build.counts.join()}`;
    if (seen.has(key)) return;
    seen.add(key);
    if (build.value > (best?.value ?? 0)) best = build;
    if (build.value + bound(build.w, build.h) > (best?.value ?? 0)) open.push(build);
  };
  sorts.forEach(({ w, h, mayTurn, count }, sort) => {
    if (count === 0) return;
    const counts = sorts.map((_, i) => (i === sort ? 1 : 0));
    const value = valueOf(sorts[sort] as Sort);
    add({ w, h, counts, value, of: { sort, turned: false } });
    if (mayTurn) add({ w: h, h: w, counts, value, of: { sort, turned: true } });
  });
  const result = (proven: boolean): OneSheet => {
    const found = best;
    return { tree: found ? cutOut(found, wide, high) : REST, value: found?.value ?? 0, proven };
  };
  for (let a = open.pop(); a; a = open.pop()) {
    if (a.value + bound(a.w, a.h) <= ((best as Build | null)?.value ?? 0)) return result(true);
    closed.push(a);
    for (const b of closed) {
      if (work.isOver()) return result(false);
      work.count();
      const both = a.counts.map((n, i) => n + (b.counts[i] ?? 0));
      if (both.some((n, i) => n > (sorts[i]?.count ?? 0))) continue;
      const value = a.value + b.value;
      add({ w: a.w + b.w, h: Math.max(a.h, b.h), counts: both, value, of: { beside: true, a, b } });
      add({ w: Math.max(a.w, b.w), h: a.h + b.h, counts: both, value, of: { beside: false, a, b } });
    }
  }
  return result(true);
}

/** A built rectangle as it is cut out of a part that is as large or larger. */
function cutOut(build: Build, w: number, h: number): Tree {
  if (build.w < w)
    return { is: 'cut', down: true, at: build.w, first: cutOut(build, build.w, h), second: REST };
  if (build.h < h)
    return { is: 'cut', down: false, at: build.h, first: cutOut(build, w, build.h), second: REST };
  if ('sort' in build.of) return { is: 'panel', ...build.of };
  const { beside, a, b } = build.of;
  const at = beside ? a.w : a.h;
  const [w1, h1, w2, h2] = beside ? [at, h, w - at, h] : [w, at, w, h - at];
  return { is: 'cut', down: beside, at, first: cutOut(a, w1, h1), second: cutOut(b, w2, h2) };
}
