import { formOf } from '../kinds/registry';
import { bodyOf, thingsIn } from '../stash/body';
import type { Lodger } from './mayLive';

/** Sheets of several lots taken together. */
export interface Sheets {
  readonly count: number;
  /** All of them pressed flat, one on another, µm. */
  readonly thickUm: number;
  /** Inside of a pocket that takes each of them, its long side up, µm. */
  readonly widthUm: number;
  readonly heightUm: number;
}

/** The sheets among things, such as could go into the pockets of a book; what is no sheet is not counted. */
export function sheetsIn(things: readonly Lodger[]): Sheets {
  return things.reduce<Sheets>(
    (sum, { supply, lot }) => {
      const { piles } = formOf(supply.kind, supply.form);
      const count = Math.ceil(thingsIn(supply, lot));
      if (piles?.eachUm === undefined || count <= 0) return sum;
      const { one, all } = bodyOf(supply, lot);
      const [short = 0, long = 0] = (['widthUm', 'heightUm', 'depthUm'] as const)
        .filter((side) => side !== piles.along)
        .map((side) => one[side])
        .sort((p, q) => p - q);
      return {
        count: sum.count + count,
        thickUm: sum.thickUm + all[piles.along],
        widthUm: Math.max(sum.widthUm, short),
        heightUm: Math.max(sum.heightUm, long),
      };
    },
    { count: 0, thickUm: 0, widthUm: 0, heightUm: 0 },
  );
}
