import type { CuttingStock, WantedPanel } from './types';

/** Panels of one size, whatever they are called; sizes one kerf larger than they are. */
export interface Sort {
  readonly w: number;
  readonly h: number;
  readonly mayTurn: boolean;
  readonly count: number;
  /** What is hidden behind it, in the order it is handed out. */
  readonly ids: readonly { readonly id: string; readonly count: number }[];
}

/** Sheets of one size, one kerf larger than they are. */
export interface Sheet {
  readonly w: number;
  readonly h: number;
  readonly scrap: boolean;
  readonly count: number;
  readonly ids: readonly { readonly id: string; readonly count: number }[];
}

interface Grouped<T> {
  readonly key: (each: T) => string;
  readonly all: readonly T[];
}

function grouped<T extends { readonly id: string; readonly count: number }>({ key, all }: Grouped<T>) {
  const groups = new Map<string, T[]>();
  for (const each of all) if (each.count > 0) groups.set(key(each), [...(groups.get(key(each)) ?? []), each]);
  return [...groups.values()].map((same) => ({
    of: same[0] as T,
    count: same.reduce((sum, { count }) => sum + count, 0),
    ids: same.map(({ id, count }) => ({ id, count })),
  }));
}

/** Panels by size, the largest first. */
export const sortsOf = (panels: readonly WantedPanel[], kerf: number): Sort[] =>
  grouped({
    all: panels,
    key: ({ widthUm, heightUm, mayTurn = true }) =>
      `${widthUm} ${heightUm} ${mayTurn && widthUm !== heightUm}`,
  })
    .map(({ of, count, ids }) => ({
      w: of.widthUm + kerf,
      h: of.heightUm + kerf,
      mayTurn: (of.mayTurn ?? true) && of.widthUm !== of.heightUm,
      ...{ count, ids },
    }))
    .sort((a, b) => b.w * b.h - a.w * a.h || b.w - a.w);

/** Scraps, the smallest first, then sheets. */
export const sheetsOf = (stock: readonly CuttingStock[], kerf: number): Sheet[] =>
  grouped({ all: stock, key: ({ widthUm, heightUm, scrap }) => `${widthUm} ${heightUm} ${scrap}` })
    .map(({ of, count, ids }) => ({
      w: of.widthUm + kerf,
      h: of.heightUm + kerf,
      scrap: of.scrap,
      ...{ count, ids },
    }))
    .sort((a, b) => Number(b.scrap) - Number(a.scrap) || a.w * a.h - b.w * b.h);

/** Hands out what is hidden behind a group, one after another. */
export function handOut(groups: readonly { readonly ids: Sort['ids'] }[]): (group: number) => string {
  const waiting = groups.map(({ ids }) => ids.flatMap(({ id, count }) => new Array<string>(count).fill(id)));
  return (group) => waiting[group]?.shift() ?? '';
}
