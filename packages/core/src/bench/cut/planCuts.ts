import { TooMuch, Work, type Blade } from './exact';
import { exactPlan } from './exactPlan';
import { judge, unmadeOf, type Filled } from './filled';
import { fillOne } from './fillOne';
import { searchPlan } from './search';
import { cutSheet } from './tree';
import type { CutOptions, CutPlan, CuttingStock, WantedPanel } from './types';
import { handOut, sheetsOf, sortsOf, type Sheet, type Sort } from './wanted';

/** How much is tried in a ms of an ordinary machine. */
const WORK_A_MS = 700;
const BUDGET_MS = 200;
/** What of it may go into looking at every way. */
const EXACT_SHARE = 0.5;
/** And into a first plan, so that not every way has to be looked at. */
const FIRST_SHARE = 0.1;
/** More sets of panels than this are not all looked at. */
const MOST_SETS = 512;
const FEW_SETS = 12;
/** No more panels and sheets than this at once. */
const MOST_PANELS = 2000;

function check(panels: readonly WantedPanel[], stock: readonly CuttingStock[], options: CutOptions): void {
  for (const [what, all] of [
    ['panel', panels],
    ['sheet', stock],
  ] as const) {
    const ids = new Set<string>();
    for (const { id, widthUm, heightUm, count } of all) {
      if (ids.has(id))
        throw new RangeError(`Two of what is given are called ${id}: each ${what} needs a name of its own.`);
      ids.add(id);
      if (![widthUm, heightUm].every((side) => Number.isSafeInteger(side) && side > 0 && side <= 1e8))
        throw new RangeError(`The ${what} ${id} needs a width and a height in whole µm, from 1 to 100 m.`);
      if (!Number.isInteger(count) || count < 0)
        throw new RangeError(`Of the ${what} ${id} there must be a whole number, none or more.`);
    }
  }
  if (panels.reduce((sum, { count }) => sum + count, 0) > MOST_PANELS)
    throw new RangeError(`At most ${MOST_PANELS} panels are planned at once.`);
  for (const [name, value] of Object.entries(options) as [keyof CutOptions, number | undefined][])
    if (value !== undefined && !(value >= 0)) throw new RangeError(`${name} must be a number, 0 or more.`);
}

/** Where all there is cannot hold what is wanted, sheets filled as full as they go, the largest first. */
function filledUp(sorts: readonly Sort[], sheets: readonly Sheet[], work: Work): Filled[] {
  const left = sorts.map(({ count }) => count);
  const filled: Filled[] = [];
  const each = sheets.flatMap(({ count, w, h }, sheet) =>
    new Array<{ sheet: number; w: number; h: number }>(Math.min(count, MOST_PANELS)).fill({ sheet, w, h }),
  );
  for (const { sheet, w, h } of each.sort((a, b) => b.w * b.h - a.w * a.h)) {
    if (work.isOver() || left.every((n) => n === 0)) break;
    const waiting = sorts.map((sort, i) => ({ ...sort, count: left[i] ?? 0 }));
    const { tree } = fillOne(waiting, { w, h }, (sort) => sort.w * sort.h, work);
    if (tree.is === 'rest') continue;
    filled.push({ sheet, tree });
    unmadeOf([{ sheet, tree }], waiting).forEach((n, i) => (left[i] = n));
  }
  return filled;
}

/**
 * Plans how panels are cut out of scraps and sheets, by cuts from edge to edge (guillotine cuts) that the trimmer can make.
 *
 * The most panels by area are made; then it takes the fewest new sheets, then the fewest cuts, then the most useful remains
 * (sums of squared areas, of what is cut into less what it was whole: so the smallest scrap that does is taken). Sheets of
 * equal size are one as good as another.
 *
 * Small tasks are solved by looking at every way (dynamic programming over sets of panels and sums of their sides, Herz
 * 1972, Christofides & Whitlock 1977), and `provenBest` says so. Larger ones are laid panel by panel and bettered by
 * emptying a few sheets again and again (large neighbourhood search), and where there is not enough for all, sheets are
 * filled by a best-first search (Viswanathan & Bagchi 1993).
 *
 * @param panels sizes in whole µm; a panel may be turned unless `mayTurn` is false
 * @param stock scraps and sheets, sizes in whole µm
 * @param options `kerfUm` what a cut takes away (0), `trimmerUm` the longest cut (any), `budgetMs` how much is tried (200)
 * @returns each sheet that is cut into: its cuts in order, its panels and what remains, in µm from its upper left corner
 * @throws RangeError with a sentence, for a size or a count that is none, a name used twice, or more than 2,000 panels
 *
 * Cost: exact work grows with the square of the number of sets of panels; the rest ends with its budget. The same input
 * gives the same plan on any machine, as the budget is counted in steps.
 */
export function planCuts(
  panels: readonly WantedPanel[],
  stock: readonly CuttingStock[],
  options: CutOptions = {},
): CutPlan {
  check(panels, stock, options);
  const { kerfUm: kerf = 0, trimmerUm: trimmer = Infinity, budgetMs = BUDGET_MS } = options;
  const sorts = sortsOf(panels, kerf);
  const sheets = sheetsOf(stock, kerf);
  const blade: Blade = { kerf, trimmer, longest: Math.max(0, ...sheets.map(({ w, h }) => Math.max(w, h))) };
  const most = budgetMs * WORK_A_MS;
  const { filled, provenBest } = solved(sorts, sheets, blade, most);
  const nextPanel = handOut(sorts);
  const nextSheet = handOut(sheets);
  const used = filled.flatMap(({ sheet, tree }) => {
    const size = sheets[sheet];
    return size ? [cutSheet(nextSheet(sheet), tree, size, kerf, nextPanel)] : [];
  });
  const unmade = new Map<string, number>();
  unmadeOf(filled, sorts).forEach((n, sort) => {
    for (let i = 0; i < n; i++) {
      const id = nextPanel(sort);
      unmade.set(id, (unmade.get(id) ?? 0) + 1);
    }
  });
  const { newSheets, cuts } = judge(filled, sorts, sheets, kerf);
  return {
    ...{ used, newSheets, cuts, provenBest },
    unmade: [...unmade].map(([id, count]) => ({ id, count })),
  };
}

function solved(sorts: readonly Sort[], sheets: readonly Sheet[], blade: Blade, most: number) {
  const sets = sorts.reduce((product, { count }) => product * (count + 1), 1);
  const search = (share: number, seeds: readonly (readonly Filled[])[] = []) => {
    const work = new Work((most - spent) * share);
    const filled = searchPlan({ sorts, sheets, blade, work }, seeds);
    spent += work.done;
    return filled;
  };
  let spent = 0;
  const seeds: (readonly Filled[])[] = [];
  if (sets <= MOST_SETS) {
    // A plan that is known already spares looking at what cannot be better; the smallest tasks need none.
    if (sets > FEW_SETS) seeds.push(search(FIRST_SHARE));
    const work = new Work(most * EXACT_SHARE);
    try {
      const [first] = seeds;
      const known = first && judge(first, sorts, sheets, blade.kerf);
      return { filled: exactPlan(sorts, sheets, blade, work, known), provenBest: true };
    } catch (error) {
      if (!(error instanceof TooMuch)) throw error;
      spent += work.done;
    }
  }
  const room = sheets.reduce((sum, { w, h, count }) => sum + w * h * count, 0);
  const wanted = sorts.reduce((sum, { w, h, count }) => sum + w * h * count, 0);
  const anyCut = sheets.every(({ w, h }) => Math.max(w, h) - blade.kerf <= blade.trimmer);
  if (wanted > room && anyCut) {
    const work = new Work((most - spent) * EXACT_SHARE);
    seeds.push(filledUp(sorts, sheets, work));
    spent += work.done;
  }
  return { filled: search(1, seeds), provenBest: false };
}
