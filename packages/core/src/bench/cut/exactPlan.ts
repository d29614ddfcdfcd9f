import { ExactCutter, type Blade, type Way, type Work } from './exact';
import { Sets } from './sets';
import { isWorthMore, useOfPart, type Worth } from './tree';
import type { Filled, Judged } from './filled';
import type { Sheet, Sort } from './wanted';

interface State extends Worth {
  readonly newSheets: number;
  /** The sheet that was cut last, what it made, and the state before. */
  readonly before: State | null;
  readonly sheet: number;
  readonly way: Way | null;
}

const isBetter = (a: State, b: State | undefined): boolean =>
  b === undefined || (a.newSheets !== b.newSheets ? a.newSheets < b.newSheets : isWorthMore(a, b));

/**
 * The best plan of all: every set of panels against every sheet. The most area made, then the fewest new sheets, the fewest
 * cuts, the most useful remains (what of each sheet remains, less what the sheet was worth whole). What cannot come to less
 * cuts than a plan that is known, is left out.
 * @throws TooMuch where it takes more work than is allowed.
 */
export function exactPlan(
  sorts: readonly Sort[],
  sheets: readonly Sheet[],
  blade: Blade,
  work: Work,
  known?: Judged,
): readonly Filled[] {
  const sets = new Sets(sorts, (steps) => work.step(steps));
  const cutter = new ExactCutter(sets, blade, work);
  const all = sets.total - 1;
  const most = known && mostCuts(known, cutter, sets, sheets, work);
  const states: (State | undefined)[] = new Array<State | undefined>(sets.total).fill(undefined);
  states[0] = { newSheets: 0, cuts: 0, use: 0, before: null, sheet: -1, way: null };
  sheets.forEach((sheet, nr) => {
    const whole = useOfPart(sheet.w - blade.kerf, sheet.h - blade.kerf);
    const ways = new Map<number, Way>();
    for (const set of sets.partsOf(all)) {
      work.step();
      const way = set === 0 ? null : cutter.best(sheet.w, sheet.h, set, most?.(set));
      if (way) ways.set(set, way);
    }
    for (let copy = 0; copy < Math.min(sheet.count, sets.size[all] ?? 0); copy++) {
      let changed = false;
      // Downwards, so that one copy is not taken twice.
      for (let before = all; before >= 0; before--) {
        const from = states[before];
        if (!from) continue;
        for (const [set, way] of ways) {
          work.step();
          if (!sets.isWithin(set, all - before)) continue;
          const next: State = {
            newSheets: from.newSheets + (sheet.scrap ? 0 : 1),
            cuts: from.cuts + way.cuts,
            use: from.use + way.use - whole,
            ...{ before: from, sheet: nr, way },
          };
          if (!isBetter(next, states[before + set])) continue;
          states[before + set] = next;
          changed = true;
        }
      }
      if (!changed) break;
    }
  });
  let best = 0;
  const made = (set: number): number => madeArea(sets, set, blade.kerf);
  for (let set = 0; set < sets.total; set++) {
    const [mine, its] = [states[set], states[best]];
    if (!mine || !its) continue;
    if (made(set) > made(best) || (made(set) === made(best) && isBetter(mine, its))) best = set;
  }
  const filled: Filled[] = [];
  for (let at: State | null = states[best] ?? null; at?.way; at = at.before)
    filled.unshift({ sheet: at.sheet, tree: at.way.tree });
  return filled;
}

/**
 * How many remaining parts each set may leave in a sheet for the plan to be no worse than a known one that makes all panels
 * from as few new sheets as any; undefined where the known one does not tell.
 */
function mostCuts(known: Judged, cutter: ExactCutter, sets: Sets, sheets: readonly Sheet[], work: Work) {
  const all = sets.total - 1;
  if (known.unmadeArea > 0 || known.newSheets > fewestNew(cutter, sets, sheets, work)) return undefined;
  // A sheet that panels fill wholly is cut once less than it has panels; of any other each panel takes a cut.
  let whole = 0;
  for (const { w, h, count } of sheets)
    if (sets.partsOf(all).some((set) => sets.area[set] === w * h)) whole += count;
  const size = (set: number): number => sets.size[set] ?? 0;
  return (set: number): number => known.cuts - Math.max(0, size(all - set) - whole) - size(set) + 1;
}

/** No plan takes fewer new sheets: by what lies in a sheet at all, whatever it is cut with. */
function fewestNew(cutter: ExactCutter, sets: Sets, sheets: readonly Sheet[], work: Work): number {
  const all = sets.total - 1;
  const fewest = new Float64Array(sets.total).fill(Infinity);
  fewest[0] = 0;
  for (const { w, h, count, scrap } of sheets) {
    const fits = sets.partsOf(all).filter((set) => set > 0 && cutter.fits(w, h, set));
    for (let copy = 0; copy < Math.min(count, sets.size[all] ?? 0); copy++) {
      let changed = false;
      for (let before = all; before >= 0; before--) {
        const from = (fewest[before] ?? Infinity) + (scrap ? 0 : 1);
        if (from === Infinity) continue;
        for (const set of fits) {
          work.step();
          if (!sets.isWithin(set, all - before) || from >= (fewest[before + set] ?? 0)) continue;
          fewest[before + set] = from;
          changed = true;
        }
      }
      if (!changed) break;
    }
  }
  return fewest[all] ?? Infinity;
}

/** The true area of a set of panels. */
function madeArea(sets: Sets, set: number, kerf: number): number {
  return sets.sorts.reduce(
    (sum, { w, h }, sort) => sum + sets.countOf(set, sort) * (w - kerf) * (h - kerf),
    0,
  );
}
