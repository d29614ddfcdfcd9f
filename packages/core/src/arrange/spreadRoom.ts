import type { Family } from '../colour/families';
import { keyed, type ColouredItem } from './order';
import { shareOut, stretches } from './spread';

/** How fast each family grows, in things in any one span of time; a family that is left out grows as the slowest that is named. */
export type Rates = Readonly<Partial<Record<Family, number>>>;

export const rateOf = (rates: Rates, family: Family): number => rates[family] ?? slowest(rates);
const slowest = (rates: Rates): number => {
  const known = Object.values(rates).filter((rate) => rate > 0);
  return known.length > 0 ? Math.min(...known) : 1;
};

/**
 * Things in their order over so many spots, with the open ones where the next purchases will fall: each family gets its share by how
 * fast it grows (`rates`, things in any one span of time), and inside it they stand evenly between its things, at its ends too, since
 * a new colour falls among its likes. Index in the answer is the spot; null is an open one. Linear. Throws RangeError where there are
 * fewer spots than things, or a rate below nothing.
 */
export function spreadRoom<T extends ColouredItem>(
  run: readonly T[],
  spots: number,
  rates: Rates,
): (T | null)[] {
  if (!Number.isInteger(spots) || spots < run.length)
    throw new RangeError(`${run.length} things need as many spots; there are ${spots}.`);
  for (const [family, rate] of Object.entries(rates))
    if (!(rate >= 0)) throw new RangeError(`The rate of ${family} is ${rate}; it must be nothing or more.`);
  const open = spots - run.length;
  const families = stretches(run.map(keyed), ({ family }) => family);
  if (families.length === 0) return Array<T | null>(spots).fill(null);
  // A family that stands in several stretches shares its rate among them by their size.
  const sizes = new Map<Family, number>();
  for (const { group, items } of families) sizes.set(group, (sizes.get(group) ?? 0) + items.length);
  const shares = shareOut(
    open,
    families.map(({ group, items }) => (rateOf(rates, group) * items.length) / (sizes.get(group) ?? 1)),
    0,
  );
  return families.flatMap(({ items }, i) =>
    evenly(
      items.map(({ item }) => item),
      shares[i] ?? 0,
    ),
  );
}

/** Things with so many open spots evenly before, between and behind them. */
export function evenly<T>(items: readonly T[], open: number): (T | null)[] {
  const row: (T | null)[] = [];
  let given = 0;
  items.forEach((item, i) => {
    // Of n things there are n + 1 places for something new; the k-th open spot stands in the middle of the k-th part of them.
    for (; given < open && (given + 0.5) / open < (i + 0.5) / (items.length + 1); given++) row.push(null);
    row.push(item);
  });
  for (; given < open; given++) row.push(null);
  return row;
}
