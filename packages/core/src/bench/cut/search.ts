import { numbersFrom } from '../../arrange/smooth/numbers';
import { TooMuch, Work } from './exact';
import { exactPlan } from './exactPlan';
import { isBetterPlan, judge, unmadeOf, type Filled, type Judged } from './filled';
import { layAll, type Setting, type Taste } from './greedy';
import { leafOf, treeOf, type Laid } from './laid';
import { mendTree, renumbered } from './mend';
import { madeBy } from './tree';
import type { Sheet } from './wanted';

/** Sets up to this many are looked at whole within the search, with so much work. */
const SETS = 192;
const WORK_EACH = 12_000;
/** Unused sheets looked at beside the two that are cut anew. */
const OTHERS = 5;

interface Plan extends Judged {
  readonly filled: readonly Filled[];
}

/**
 * A good plan where there are too many ways to look at all: panels laid where they cost least, in many orders, then some
 * sheets emptied and laid anew again and again, by the same rule or by looking at every way for those few (large
 * neighbourhood search, Shaw 1998). Ends when the work is used up; the same for the same input.
 */
export function searchPlan(setting: Setting, seeds: readonly (readonly Filled[])[] = []): readonly Filled[] {
  const { sorts, sheets, blade } = setting;
  const random = numbersFrom(1);
  const chance = (): number => random() / 2 ** 32;
  const all = sorts.flatMap(({ count }, nr) => new Array<number>(count).fill(nr));
  const roomOf = (nr: number): number => (sorts[nr]?.w ?? 0) * (sorts[nr]?.h ?? 0);
  const judged = (filled: readonly Filled[]): Plan => ({
    filled,
    ...judge(filled, sorts, sheets, blade.kerf),
  });
  /** The large ones first, more or less. */
  const shuffled = (waiting: readonly number[], blur: number): number[] =>
    waiting
      .map((nr) => ({ nr, key: roomOf(nr) * (1 + blur * chance()) }))
      .sort((a, b) => b.key - a.key)
      .map(({ nr }) => nr);
  const taste = (): Taste => ({
    chance,
    cutWeighs: chance() < 0.5 ? 100 : 3 * chance(),
    blur: 0.2 * chance(),
  });
  const leftAfter = (kept: readonly Filled[]): number[] => {
    const left = sheets.map(({ count }) => count);
    for (const { sheet } of kept) left[sheet] = (left[sheet] ?? 0) - 1;
    return left;
  };

  /** What is kept, and the rest laid into it. */
  const relaid = (kept: readonly Filled[], blur: number, work = setting.work): Plan => {
    const laid: Laid[] = kept.map(({ sheet, tree }) => ({
      sheet,
      root: leafOf(tree, sheets[sheet]?.w ?? 0, sheets[sheet]?.h ?? 0),
    }));
    const left = unmadeOf(kept, sorts);
    const waiting = all.filter((nr) => (left[nr] ?? 0) > 0 && (left[nr] = (left[nr] ?? 0) - 1) >= 0);
    layAll(shuffled(waiting, blur), laid, leftAfter(kept), { ...setting, work }, taste());
    return judged(laid.map(({ sheet, root }) => ({ sheet, tree: treeOf(root) })));
  };

  /** Some sheets emptied, and the best of all ways for what was in them, into those and a few others. */
  const reworked = (kept: readonly Filled[], emptied: readonly Filled[]): Plan | null => {
    const counts = sorts.map(() => 0);
    for (const { tree } of emptied)
      madeBy(tree, sorts.length).forEach((n, nr) => (counts[nr] = (counts[nr] ?? 0) + n));
    unmadeOf([...kept, ...emptied], sorts).forEach(
      (n, nr) => (counts[nr] = (counts[nr] ?? 0) + Math.min(n, 1)),
    );
    if (counts.reduce((product, n) => product * (n + 1), 1) > SETS) return null;
    const few = sorts.flatMap((sort, nr) =>
      (counts[nr] ?? 0) > 0 ? [{ ...sort, count: counts[nr] ?? 0, nr }] : [],
    );
    const left = leftAfter(kept);
    const own = new Set(emptied.map(({ sheet }) => sheet));
    const fit = (sheet: Sheet): boolean =>
      few.some(({ w, h }) => Math.max(w, h) <= Math.max(sheet.w, sheet.h));
    const others = sheets.flatMap((sheet, i) => (!own.has(i) && (left[i] ?? 0) > 0 && fit(sheet) ? [i] : []));
    const picked = others.map((i) => ({ i, key: chance() })).sort((a, b) => a.key - b.key);
    const chosen = [...own, ...picked.slice(0, OTHERS).map(({ i }) => i)];
    const some = chosen.flatMap((i) => {
      const sheet = sheets[i];
      return sheet ? [{ ...sheet, count: left[i] ?? 0, i }] : [];
    });
    const work = new Work(WORK_EACH);
    try {
      const found = exactPlan(few, some, blade, work);
      return judged([
        ...kept,
        ...found.map(({ sheet, tree }) => ({
          sheet: some[sheet]?.i ?? 0,
          tree: renumbered(tree, (nr) => few[nr]?.nr ?? 0),
        })),
      ]);
    } catch (error) {
      if (error instanceof TooMuch) return null;
      throw error;
    } finally {
      setting.work.count(Math.min(work.done, WORK_EACH));
    }
  };

  /** One sheet, of which a part that makes a few panels is cut in the best of all ways. */
  const mended = (filled: readonly Filled[]): Plan | null => {
    const which = Math.floor(chance() * filled.length);
    const one = filled[which];
    const sheet = one && sheets[one.sheet];
    if (!sheet) return null;
    const tree = mendTree(one.tree, sheet.w, sheet.h, { ...setting, chance });
    return tree === one.tree ? null : judged(filled.with(which, { ...one, tree }));
  };

  let best: Plan | null = null;
  let now: Plan | null = null;
  const take = (next: Plan): void => {
    const worse = now !== null && isBetterPlan(now, next);
    if (!worse || (next.cuts <= (best?.cuts ?? 0) + SLACK && !isWorse(next, best) && chance() < WORSE))
      now = next;
    if (!best || isBetterPlan(next, best)) best = next;
  };
  for (const seed of seeds) take(judged(seed));
  // One plan there is, however little is allowed.
  take(relaid([], 0, new Work(Infinity)));
  try {
    for (let start = 0; start < STARTS; start++) take(relaid([], start / STARTS));
    for (;;) {
      const { filled } = now as unknown as Plan;
      const away = new Set(
        Array.from({ length: 1 + Math.floor(3 * chance()) }, () => Math.floor(chance() * filled.length)),
      );
      const kept = filled.filter((_, i) => !away.has(i));
      const emptied = filled.filter((_, i) => away.has(i));
      const move = chance();
      const next =
        (move < 0.3 ? reworked(kept, emptied) : move < 0.6 ? mended(filled) : null) ?? relaid(kept, chance());
      take(next);
      setting.work.step();
    }
  } catch (error) {
    if (!(error instanceof TooMuch)) throw error;
  }
  return (best as Plan | null)?.filled ?? [];
}

/** One that takes a cut more is gone on with so often, as a better one may lie behind it. */
const WORSE = 0.4;
const SLACK = 1;
const isWorse = (a: Judged, b: Judged | null): boolean =>
  b !== null && (a.unmadeArea > b.unmadeArea || a.newSheets > b.newSheets);

/** So many plans are laid from nothing before one is bettered. */
const STARTS = 24;
