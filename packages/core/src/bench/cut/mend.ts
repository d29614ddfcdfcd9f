import { ExactCutter, TooMuch, Work } from './exact';
import type { Setting } from './greedy';
import { Sets } from './sets';
import { isWorthMore, madeBy, worthOf, type Tree } from './tree';

/** A part with at most so many panels is cut anew, with so much work. */
const FEW = 5;
const WORK_EACH = 6000;

/** A tree with the sorts of its panels called otherwise. */
export function renumbered(tree: Tree, nrOf: (nr: number) => number): Tree {
  if (tree.is === 'panel') return { ...tree, sort: nrOf(tree.sort) };
  if (tree.is === 'rest') return tree;
  return { ...tree, first: renumbered(tree.first, nrOf), second: renumbered(tree.second, nrOf) };
}

/** One part of a tree, found by chance, cut in the best of all ways; the same tree where that is no better. */
export function mendTree(
  tree: Tree,
  w: number,
  h: number,
  setting: Setting & { readonly chance: () => number },
): Tree {
  if (tree.is !== 'cut') return tree;
  const { sorts, blade, chance } = setting;
  const made = madeBy(tree, sorts.length);
  const panels = made.reduce((sum, n) => sum + n, 0);
  if (panels > 2 + Math.floor(chance() * (FEW - 1))) {
    const { down, at, first, second } = tree;
    if (chance() < 0.5) {
      const next = mendTree(first, down ? at : w, down ? h : at, setting);
      return next === first ? tree : { ...tree, first: next };
    }
    const next = mendTree(second, down ? w - at : w, down ? h : h - at, setting);
    return next === second ? tree : { ...tree, second: next };
  }
  const few = sorts.flatMap((sort, nr) =>
    (made[nr] ?? 0) > 0 ? [{ ...sort, count: made[nr] ?? 0, nr }] : [],
  );
  const work = new Work(WORK_EACH);
  try {
    const sets = new Sets(few, (steps) => work.step(steps));
    const found = new ExactCutter(sets, blade, work).best(w, h, sets.total - 1);
    const better = found && isWorthMore(found, worthOf(tree, w, h, blade.kerf));
    return better ? renumbered(found.tree, (nr) => few[nr]?.nr ?? 0) : tree;
  } catch (error) {
    if (error instanceof TooMuch) return tree;
    throw error;
  } finally {
    setting.work.count(Math.min(work.done, WORK_EACH));
  }
}
