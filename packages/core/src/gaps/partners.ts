import { inStash } from '../stash/standing';
import type { Supply } from '../stash/supply';
import type { Stock } from '../stock/stock';
import type { Partner } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import { leftInAll } from '../stock/leftInAll';
import { useOf } from '../stock/usage';
import { colourNameOf } from '../find/colourName';
import { fold } from '../text/fold';

/** A supply as its partners see it. */
export type Partnered = Pick<Supply, 'id' | 'kind' | 'form' | 'name' | 'facts'> & {
  readonly stock: Pick<Stock, 'left' | 'uses' | 'used'> & Partial<Pick<Stock, 'parts'>>;
};

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
  if (by === 'colour name') return colourNameOf(name);
  if (by === 'number') return textOf(facts.attributes?.number) || textOf(facts.attributes?.matches);
  return 'any';
}

/** A sort of partner belongs to a person's habits when two of the things that may have one do, or so large a share. */
const HABIT = { share: 0.1, count: 2 } as const;

const bonds = new WeakMap<object, readonly string[]>();
/** All a thing may have in common with another; made once for a state of it. */
function bondsOf(item: Partnered): readonly string[] {
  const known = bonds.get(item);
  if (known) return known;
  const { number, matches } = item.facts.attributes ?? {};
  const also = textOf(matches);
  const made = [...new Set(['any', colourNameOf(item.name), textOf(number), also, colourNameOf(also)])];
  bonds.set(item, made);
  return made;
}

/** Which partner sorts are in the stash, and which bonds they answer with something left or with something used up. */
function partnersAtHand(items: readonly Partnered[]): ReadonlyMap<string, boolean> {
  const found = new Map<string, boolean>();
  for (const item of items) {
    for (const form of [item.form, '*'])
      for (const each of bondsOf(item)) {
        const key = `${item.kind}/${form} ${each}`;
        found.set(key, (found.get(key) ?? false) || leftInAll(item) > 0);
      }
  }
  return found;
}

/** How a person buys a sort of partner: together, or not at all; what is not said shows in the stash. */
export type PartnerHabit = 'together' | 'never';
/** Habits by sort: what has the partner, and the partner, as `partnerSort` names it. */
export type PartnerHabits = Readonly<Record<string, PartnerHabit>>;

/** The name of a sort of partner: "ink/full-pad companion/foam". */
const partnerSort = (
  { kind, form }: Pick<Partnered, 'kind' | 'form'>,
  partner: Pick<Partner, 'kind' | 'form'>,
): string => `${kind}/${form} ${partner.kind}/${partner.form ?? '*'}`;

/** A sort of partner: of how many things that may have one how many do. */
export interface PartnerCount {
  readonly sort: string;
  readonly of: Pick<Partnered, 'kind' | 'form'>;
  readonly partner: Partner;
  readonly all: number;
  readonly with: number;
}

/** Every sort of partner that something of a stash may have, the most first. Linear. */
export function partnerCounts(items: readonly Partnered[]): PartnerCount[] {
  const present = items.filter(inStash);
  const atHand = partnersAtHand(present);
  const counts = new Map<string, PartnerCount>();
  for (const { item, partner, has } of asksOf(present, atHand)) {
    const sort = partnerSort(item, partner);
    const known = counts.get(sort) ?? { sort, of: item, partner, all: 0, with: 0 };
    counts.set(sort, { ...known, all: known.all + 1, with: known.with + (has === undefined ? 0 : 1) });
  }
  return [...counts.values()].sort((p, q) => q.all - p.all || (p.sort < q.sort ? -1 : 1));
}

/** Each thing and each partner it may have, and whether that is there: true, used up, or not at all. */
const asksOf = <T extends Partnered>(present: readonly T[], atHand: ReadonlyMap<string, boolean>) =>
  present.flatMap((item) =>
    (formOf(item.kind, item.form).partners ?? []).flatMap((partner) => {
      const shared = bond(partner, item);
      const has = atHand.get(`${partner.kind}/${partner.form ?? '*'} ${shared}`);
      return shared === '' ? [] : [{ item, partner, has }];
    }),
  );

/**
 * Partners that are missing: no refill, foam, card or marker of the same colour name, no die of a stamp's number.
 * A partner by number that says no number is not asked for. Only what belongs to the person's habits counts: where one
 * pad of many has a refill, nobody is told to buy the rest; a partner that is used up always counts. What the person said of a sort goes
 * before what shows. The most used come first.
 */
export function missingPartners<T extends Partnered>(
  items: readonly T[],
  said: PartnerHabits = {},
): MissingPartner<T>[] {
  const present = items.filter(inStash);
  const atHand = partnersAtHand(present);
  const asked = asksOf(present, atHand).map((ask) => ({ ...ask, habit: partnerSort(ask.item, ask.partner) }));
  const habits = new Map<string, { all: number; with: number }>();
  for (const { habit, has } of asked) {
    const count = habits.get(habit) ?? { all: 0, with: 0 };
    habits.set(habit, { all: count.all + 1, with: count.with + (has === undefined ? 0 : 1) });
  }
  const usual = (habit: string): boolean => {
    if (said[habit]) return said[habit] === 'together';
    const count = habits.get(habit);
    return count !== undefined && (count.with >= HABIT.count || count.with / count.all >= HABIT.share);
  };
  return asked
    .filter(
      ({ habit, has }) => said[habit] !== 'never' && (has === false || (has === undefined && usual(habit))),
    )
    .map(({ item, partner, has }) => ({ item, partner, out: has === false }))
    .sort(
      (p, q) => useOf(q.item) - useOf(p.item) || (p.item.id < q.item.id ? -1 : p.item.id > q.item.id ? 1 : 0),
    );
}

/** What of a stash belongs beside a supply, sort by sort: its refill, its foam, the card of its colour, the die of its number. */
export function partnersOf<T extends Partnered>(item: T, items: readonly T[]): readonly T[] {
  return (formOf(item.kind, item.form).partners ?? []).flatMap((partner) => {
    const shared = bond(partner, item);
    if (shared === '' || shared === 'any') return [];
    return items.filter((other) => {
      if (other.id === item.id || other.kind !== partner.kind || !inStash(other)) return false;
      if (partner.form !== undefined && other.form !== partner.form) return false;
      const { number, matches } = other.facts.attributes ?? {};
      return [
        colourNameOf(other.name),
        textOf(number),
        textOf(matches),
        colourNameOf(textOf(matches)),
      ].includes(shared);
    });
  });
}
