import type { Blade, Work } from './exact';
import { lay, laidOn, layings, openLeaves, type Laid, type Laying, type Leaf } from './laid';
import type { Sheet, Sort } from './wanted';

export interface Taste {
  /** Between 0 and 1, anew at every call. */
  readonly chance: () => number;
  /** What a cut weighs against use lost. */
  readonly cutWeighs: number;
  /** How far what is best is blurred, 0 to 1. */
  readonly blur: number;
}

interface Spot {
  readonly leaf: Leaf;
  /** A sheet that would be begun for it; -1 where it is one already begun. */
  readonly sheet: number;
  readonly laying: Laying;
}

/**
 * Lays panels one after another where they cost least: into what is open already and into scraps; a new sheet is begun only
 * where neither takes it. `left` counts the sheets of each size that are not begun; both it and `laid` are changed.
 * Returns the sorts nothing was found for.
 */
export function layAll(
  waiting: readonly number[],
  laid: Laid[],
  left: number[],
  { sorts, sheets, blade, work }: Setting,
  taste: Taste,
): number[] {
  const open = laid.flatMap(({ root }) => openLeaves(root));
  const unmade: number[] = [];
  for (const nr of waiting) {
    const sort = sorts[nr];
    if (!sort) continue;
    const room = sort.w * sort.h;
    let best: Spot | null = null;
    let least = Infinity;
    const look = (leaf: Leaf, sheet: number): void => {
      work.step();
      for (const laying of layings(leaf, sort, blade)) {
        const cost =
          (laying.lost / (room * room) + taste.cutWeighs * laying.cuts) * (1 + taste.blur * taste.chance());
        if (cost >= least) continue;
        least = cost;
        best = { leaf, sheet, laying };
      }
    };
    for (const leaf of open) look(leaf, -1);
    sheets.forEach((sheet, i) => sheet.scrap && (left[i] ?? 0) > 0 && look(laidOn(i, sheet).root, i));
    if (!best)
      sheets.forEach((sheet, i) => !sheet.scrap && (left[i] ?? 0) > 0 && look(laidOn(i, sheet).root, i));
    const spot = best as Spot | null;
    if (!spot) {
      unmade.push(nr);
      continue;
    }
    if (spot.sheet >= 0) {
      left[spot.sheet] = (left[spot.sheet] ?? 0) - 1;
      laid.push({ sheet: spot.sheet, root: spot.leaf });
    } else open.splice(open.indexOf(spot.leaf), 1);
    lay(spot.leaf, sort, nr, spot.laying);
    open.push(...openLeaves(spot.leaf));
  }
  return unmade;
}

export interface Setting {
  readonly sorts: readonly Sort[];
  readonly sheets: readonly Sheet[];
  readonly blade: Blade;
  readonly work: Work;
}
