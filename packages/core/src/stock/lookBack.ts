import type { Kind } from '../kinds/definition';
import { formFor } from '../stash/formFor';
import type { Facts } from '../stash/facts';
import type { Bodied } from '../stash/body';
import { leftInAll } from './leftInAll';
import type { Stock } from './stock';

/** Something bought, in things of a `fill` form, else sheets, pieces or µm; with what was paid for all of it, where that is known. */
export interface Bought {
  readonly at: string;
  readonly amount: number;
  readonly price?: { readonly minor: number; readonly currency: string } | undefined;
}
type Used = Pick<Bought, 'at' | 'amount'>;

type Looked = Bodied & {
  readonly kind: Kind;
  readonly facts: Facts;
  readonly stock: Pick<Stock, 'left'> & Partial<Pick<Stock, 'parts'>>;
};

/** What came in and went out of one kind in one month; in uses, sheets, pieces or µm, whatever most of the kind is counted in. */
export interface MonthOfKind {
  /** "2026-03", UTC. */
  readonly month: string;
  readonly kind: Kind;
  readonly bought: number;
  readonly used: number;
}

/** The last so many months up to a moment, the earliest first, as "2026-03"; UTC. */
export function lastMonths(now: string, count: number): string[] {
  const [year = 0, month = 1] = now.slice(0, 7).split('-').map(Number);
  return Array.from({ length: count }, (_, i) =>
    new Date(Date.UTC(year, month - 1 - (count - 1 - i), 1)).toISOString().slice(0, 7),
  );
}

/** What was bought, in the unit it is used in: of what runs dry a thing is so many uses. */
function boughtInUses(of: Bodied, amount: number): number {
  const { counting, usesPerFill = 1 } = formFor(of);
  return counting === 'fill' ? amount * usesPerFill : amount;
}

/**
 * What was bought and used in each of some months, kind by kind; months and kinds in which nothing happened are there with nothing. What is
 * counted in another way than most of its kind (an album of stickers among sheets) counts all the same. Linear in what happened.
 */
export function byMonthAndKind<S extends Looked>(
  supplies: readonly S[],
  months: readonly string[],
  kinds: readonly Kind[],
  happened: (supply: S) => { readonly bought: readonly Bought[]; readonly used: readonly Used[] },
): MonthOfKind[] {
  const rows = new Map<string, { month: string; kind: Kind; bought: number; used: number }>();
  for (const kind of kinds)
    for (const month of months) rows.set(`${kind} ${month}`, { month, kind, bought: 0, used: 0 });
  for (const supply of supplies) {
    const { bought, used } = happened(supply);
    for (const { at, amount } of bought) {
      const row = rows.get(`${supply.kind} ${at.slice(0, 7)}`);
      if (row) row.bought += boughtInUses(supply, amount);
    }
    for (const { at, amount } of used) {
      const row = rows.get(`${supply.kind} ${at.slice(0, 7)}`);
      if (row) row.used += amount;
    }
  }
  return [...rows.values()];
}

/**
 * What is left of a supply is worth, at what was paid for it the last time a price was said, else at the price it is known to have for a
 * usual purchase, in minor units of its currency; null where neither is known. What is in use counts by how full it is.
 */
export function valueLeft(of: Looked, bought: readonly Bought[]): { minor: number; currency: string } | null {
  let last: Bought | undefined;
  for (const each of bought) if (each.price && each.amount > 0 && (!last || each.at >= last.at)) last = each;
  const { price, amount } = last ?? { price: of.facts.price, amount: formFor(of).usualPurchase };
  if (!price) return null;
  const each = price.minor / boughtInUses(of, amount);
  return { minor: Math.round(each * leftInAll(of)), currency: price.currency };
}
