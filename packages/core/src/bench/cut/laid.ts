import type { Blade } from './exact';
import { REST, useOfPart, type Tree } from './tree';
import type { Sheet, Sort } from './wanted';

/** A part of a sheet that is being cut: nothing yet, a panel, or two parts. */
export interface Leaf {
  readonly w: number;
  readonly h: number;
  made: { readonly sort: number; readonly turned: boolean } | null;
  split: { readonly down: boolean; readonly at: number; readonly first: Leaf; readonly second: Leaf } | null;
}

/** A sheet that is being cut. */
export interface Laid {
  readonly sheet: number;
  readonly root: Leaf;
}

const blank = (w: number, h: number): Leaf => ({ w, h, made: null, split: null });
export const laidOn = (sheet: number, { w, h }: Sheet): Laid => ({ sheet, root: blank(w, h) });

/** The parts nothing has come to yet. */
export function openLeaves(leaf: Leaf, into: Leaf[] = []): Leaf[] {
  if (leaf.split) {
    openLeaves(leaf.split.first, into);
    openLeaves(leaf.split.second, into);
  } else if (!leaf.made) into.push(leaf);
  return into;
}

export function treeOf({ made, split }: Leaf): Tree {
  if (made) return { is: 'panel', ...made };
  if (!split) return REST;
  return {
    ...{ is: 'cut', down: split.down, at: split.at },
    ...{ first: treeOf(split.first), second: treeOf(split.second) },
  };
}

export function leafOf(tree: Tree, w: number, h: number): Leaf {
  const leaf = blank(w, h);
  if (tree.is === 'panel') leaf.made = { sort: tree.sort, turned: tree.turned };
  if (tree.is === 'cut') {
    const { down, at } = tree;
    const first = leafOf(tree.first, down ? at : w, down ? h : at);
    const second = leafOf(tree.second, down ? w - at : w, down ? h : h - at);
    leaf.split = { down, at, first, second };
  }
  return leaf;
}

/** One way to lay a panel into a part: which cut comes first, how many are made, and what use is lost. */
export interface Laying {
  readonly turned: boolean;
  readonly downFirst: boolean;
  readonly cuts: number;
  readonly lost: number;
}

/** Every way to lay a panel into the corner of a part, that the trimmer can make. */
export function layings({ w, h }: Leaf, sort: Sort, { kerf, trimmer }: Blade): Laying[] {
  const found: Laying[] = [];
  const use = (wide: number, high: number): number => useOfPart(wide - kerf, high - kerf);
  const canCut = (length: number): boolean => length - kerf <= trimmer;
  for (const turned of sort.mayTurn ? [false, true] : [false]) {
    const [pw, ph] = turned ? [sort.h, sort.w] : [sort.w, sort.h];
    if (pw > w || ph > h) continue;
    const whole = use(w, h);
    if (pw === w && ph === h) found.push({ turned, downFirst: true, cuts: 0, lost: whole });
    else if (ph === h) {
      if (canCut(h)) found.push({ turned, downFirst: true, cuts: 1, lost: whole - use(w - pw, h) });
    } else if (pw === w) {
      if (canCut(w)) found.push({ turned, downFirst: false, cuts: 1, lost: whole - use(w, h - ph) });
    } else {
      if (canCut(h) && canCut(pw))
        found.push({ turned, downFirst: true, cuts: 2, lost: whole - use(w - pw, h) - use(pw, h - ph) });
      if (canCut(w) && canCut(ph))
        found.push({ turned, downFirst: false, cuts: 2, lost: whole - use(w, h - ph) - use(w - pw, ph) });
    }
  }
  return found;
}

/** Lays it, and changes the part. */
export function lay(leaf: Leaf, sort: Sort, nr: number, { turned, downFirst }: Laying): void {
  const [pw, ph] = turned ? [sort.h, sort.w] : [sort.w, sort.h];
  let at = leaf;
  for (const down of [downFirst, !downFirst]) {
    const size = down ? pw : ph;
    const all = down ? at.w : at.h;
    if (size === all) continue;
    const first = down ? blank(size, at.h) : blank(at.w, size);
    const second = down ? blank(all - size, at.h) : blank(at.w, all - size);
    at.split = { down, at: size, first, second };
    at = first;
  }
  at.made = { sort: nr, turned };
}
