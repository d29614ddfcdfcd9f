import type { Kind, Partner } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import { fold } from '../search/fold';
import type { Facts } from '../supply/facts';

/** A supply as its partners see it. */
export interface Partnered {
  readonly id: string;
  readonly kind: Kind;
  readonly form: string;
  readonly name: string;
  readonly facts: Facts;
  readonly stock: { readonly left: number; readonly uses: number };
}

/** A supply and what it should have beside it and has not. */
export interface MissingPartner<T> {
  readonly item: T;
  readonly partner: Partner;
  /** It is in the stash but used up. */
  readonly out: boolean;
}

const textOf = (value: unknown): string => (typeof value === 'string' ? fold(value) : '');

/** What a partner must have in common with a supply, as a key; empty when the supply says nothing of it. */
function bond({ by }: Partner, { name, facts }: Partnered): string {
  if (by === 'colour name') return fold(name);
  if (by === 'number') return textOf(facts.attributes?.number) || textOf(facts.attributes?.matches);
  return 'any';
}

/**
 * Partners that are missing: no refill, foam, card or marker of the same colour name, no die of a stamp's number.
 * A partner by number that says no number is not asked for. Only partner sorts the person has some of count as
 * missing, so that someone without markers is not told to buy one for every pad; the most used come first.
 */
export function missingPartners<T extends Partnered>(items: readonly T[]): MissingPartner<T>[] {
  const present = items.filter(({ facts }) => facts.status !== 'gone');
  const sortKey = (kind: string, form: string | undefined): string => `${kind}/${form ?? '*'}`;
  const sorts = new Set<string>();
  const byBond = new Map<string, boolean>();
  for (const item of present) {
    const bonds = [
      'any',
      fold(item.name),
      textOf(item.facts.attributes?.number),
      textOf(item.facts.attributes?.matches),
    ];
    for (const form of [item.form, undefined]) {
      const sort = sortKey(item.kind, form);
      sorts.add(sort);
      for (const each of bonds) {
        const key = `${sort} ${each}`;
        byBond.set(key, (byBond.get(key) ?? false) || item.stock.left > 0);
      }
    }
  }
  const missing = present.flatMap((item) =>
    (formOf(item.kind, item.form).partners ?? []).flatMap((partner): MissingPartner<T>[] => {
      const sort = sortKey(partner.kind, partner.form);
      const shared = bond(partner, item);
      if (shared === '' || !sorts.has(sort)) return [];
      const has = byBond.get(`${sort} ${shared}`);
      return has === true ? [] : [{ item, partner, out: has === false }];
    }),
  );
  return missing.sort(
    (p, q) =>
      q.item.stock.uses - p.item.stock.uses || (p.item.id < q.item.id ? -1 : p.item.id > q.item.id ? 1 : 0),
  );
}
