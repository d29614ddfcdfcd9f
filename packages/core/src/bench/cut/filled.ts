import { useOfPart, worthOf, type Tree, type Worth } from './tree';
import type { Sheet, Sort } from './wanted';
import { madeBy } from './tree';

/** One sheet of a plan: which it is, and how it is cut. */
export interface Filled {
  readonly sheet: number;
  readonly tree: Tree;
}

/** A whole plan, by what decides between two: what stays unmade, new sheets, cuts, use. */
export interface Judged extends Worth {
  readonly unmadeArea: number;
  readonly newSheets: number;
}

/** What is left unmade of each sort. */
export function unmadeOf(filled: readonly Filled[], sorts: readonly Sort[]): number[] {
  const left = sorts.map(({ count }) => count);
  for (const { tree } of filled)
    madeBy(tree, sorts.length).forEach((n, sort) => (left[sort] = (left[sort] ?? 0) - n));
  return left;
}

export function judge(
  filled: readonly Filled[],
  sorts: readonly Sort[],
  sheets: readonly Sheet[],
  kerf: number,
): Judged {
  let [newSheets, cuts, use] = [0, 0, 0];
  for (const { sheet: nr, tree } of filled) {
    const sheet = sheets[nr];
    if (!sheet) continue;
    const worth = worthOf(tree, sheet.w, sheet.h, kerf);
    newSheets += sheet.scrap ? 0 : 1;
    cuts += worth.cuts;
    use += worth.use - useOfPart(sheet.w - kerf, sheet.h - kerf);
  }
  const unmadeArea = unmadeOf(filled, sorts).reduce((sum, n, i) => {
    const sort = sorts[i];
    return sum + (sort ? n * (sort.w - kerf) * (sort.h - kerf) : 0);
  }, 0);
  return { unmadeArea, newSheets, cuts, use };
}

/** Less unmade, then fewer new sheets, fewer cuts, more useful remains. */
export function isBetterPlan(a: Judged, b: Judged): boolean {
  if (a.unmadeArea !== b.unmadeArea) return a.unmadeArea < b.unmadeArea;
  if (a.newSheets !== b.newSheets) return a.newSheets < b.newSheets;
  if (a.cuts !== b.cuts) return a.cuts < b.cuts;
  return a.use > b.use + Math.abs(b.use) * 1e-12;
}
