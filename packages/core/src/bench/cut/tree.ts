import type { Cut, CutPanel, CutSheet, Part } from './types';

/**
 * How a sheet is cut: into two by a cut, into a panel, or into nothing more. Inside, all sizes are one kerf larger than they
 * are, sheets too; a cut then takes nothing away, and pieces add up (the usual way to reckon with a blade's width).
 */
export type Tree =
  | { readonly is: 'panel'; readonly sort: number; readonly turned: boolean }
  | { readonly is: 'rest' }
  | {
      readonly is: 'cut';
      readonly down: boolean;
      readonly at: number;
      readonly first: Tree;
      readonly second: Tree;
    };

export const REST: Tree = { is: 'rest' };

/** What a plan is worth besides what it makes: cuts, and how useful the remains are; the fewer, then the more. */
export interface Worth {
  readonly cuts: number;
  readonly use: number;
}

/**
 * How useful a remaining part is: its area squared, in dm⁴, so that one large part is worth more than two that are as large
 * together, and the smallest sheet that does is taken.
 */
export const useOfPart = (widthUm: number, heightUm: number): number =>
  widthUm > 0 && heightUm > 0 ? ((widthUm / 1e5) * (heightUm / 1e5)) ** 2 : 0;

/** Whether one is better than another: fewer cuts, then more useful remains. */
export const isWorthMore = (a: Worth, b: Worth): boolean =>
  a.cuts !== b.cuts ? a.cuts < b.cuts : a.use > b.use + Math.abs(b.use) * 1e-12;

/** What a tree is worth in a sheet of a size, one kerf larger each way. */
export function worthOf(tree: Tree, w: number, h: number, kerf: number): Worth {
  if (tree.is === 'panel') return { cuts: 0, use: 0 };
  if (tree.is === 'rest') return { cuts: 0, use: useOfPart(w - kerf, h - kerf) };
  const { down, at } = tree;
  const first = worthOf(tree.first, down ? at : w, down ? h : at, kerf);
  const second = worthOf(tree.second, down ? w - at : w, down ? h : h - at, kerf);
  return { cuts: 1 + first.cuts + second.cuts, use: first.use + second.use };
}

/** How many panels of each sort a tree makes. */
export function madeBy(tree: Tree, sorts: number): number[] {
  const made = new Array<number>(sorts).fill(0);
  const walk = (node: Tree): void => {
    if (node.is === 'panel') made[node.sort] = (made[node.sort] ?? 0) + 1;
    if (node.is !== 'cut') return;
    walk(node.first);
    walk(node.second);
  };
  walk(tree);
  return made;
}

/** A tree as cuts one after another, panels and remains, in true µm. */
export function cutSheet(
  stockId: string,
  tree: Tree,
  { w, h }: { readonly w: number; readonly h: number },
  kerf: number,
  idOf: (sort: number) => string,
): CutSheet {
  const cuts: Cut[] = [];
  const panels: CutPanel[] = [];
  const remains: Part[] = [];
  const walk = (node: Tree, x: number, y: number, wide: number, high: number): void => {
    const part = { x, y, widthUm: wide - kerf, heightUm: high - kerf };
    if (node.is === 'panel') panels.push({ ...part, id: idOf(node.sort), turned: node.turned });
    else if (node.is === 'cut') {
      const { down, at } = node;
      cuts.push({ ...part, way: down ? 'down' : 'across', atUm: at - kerf });
      walk(node.first, x, y, down ? at : wide, down ? high : at);
      walk(
        node.second,
        down ? x + at : x,
        down ? y : y + at,
        down ? wide - at : wide,
        down ? high : high - at,
      );
    } else if (part.widthUm > 0 && part.heightUm > 0) remains.push(part);
  };
  walk(tree, 0, 0, w, h);
  return { stockId, cuts, panels, remains };
}
