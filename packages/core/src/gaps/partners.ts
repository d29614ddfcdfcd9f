import { inStash } from '../stash/standing';
import type { Supply } from '../stash/supply';
import type { Stock } from '../stock/stock';
import type { Partner } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import { leftInAll } from '../stock/leftInAll';
import { restockOf } from '../stock/restock';
import { useOf } from '../stock/usage';
import { colourNameOf } from '../find/colourName';
import { byText } from '../text/byText';
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

const numbers = new Map<string, number>();
/** A number for a text, the same one whenever it is asked: ten thousand texts are looked up again at each question. */
function numberOf(text: string): number {
  const known = numbers.get(text);
  if (known === undefined) numbers.set(text, numbers.size);
  return known ?? numbers.size - 1;
}

/** A partner a thing may have: the number of what answers it, and the sort. */
interface Ask {
  readonly partner: Partner;
  readonly answeredBy: number;
  readonly sort: string;
}
/** What a thing answers of others, and what it asks for; made once for a state of it. */
interface Seen {
  /** Every partner sort it is, with each bond it may be asked by, as numbers. */
  readonly answers: readonly number[];
  readonly isLeft: boolean;
  readonly use: number;
  readonly asks: readonly Ask[];
}
const seen = new WeakMap<object, Seen>();

const answering = ({ kind, form }: Pick<Partner, 'kind' | 'form'>, shared: string): number =>
  numberOf(`${kind}/${form ?? '*'} ${shared}`);

/** What supplies are found by where they are a partner: any, by a colour's name, by a number. */
function bondsOf({ name, facts }: Partnered): string[] {
  const { number, matches } = facts.attributes ?? {};
  const also = textOf(matches);
  return [...new Set(['any', colourNameOf(name), textOf(number), also, colourNameOf(also)])];
}

function seenOf(item: Partnered): Seen {
  const known = seen.get(item);
  if (known) return known;
  const { kind, form } = item;
  const made: Seen = {
    answers: bondsOf(item).flatMap((each) => [answering({ kind, form }, each), answering({ kind }, each)]),
    isLeft: leftInAll(item) > 0,
    use: useOf(item),
    asks: (formOf(kind, form).partners ?? []).flatMap((partner) => {
      const shared = bond(partner, item);
      // For what is not bought again, nothing is bought beside it.
      if (shared === '' || restockOf(item) !== 'buy') return [];
      return [{ partner, answeredBy: answering(partner, shared), sort: partnerSort(item, partner) }];
    }),
  };
  seen.set(item, made);
  return made;
}

/** What answers is not in the stash, is used up, or is left. */
const [NONE, OUT, LEFT] = [0, 1, 2] as const;

/** By the number of what answers: whether it is in the stash, and something of it left. */
function partnersAtHand(items: readonly Partnered[]): Uint8Array {
  const all = items.map(seenOf);
  const found = new Uint8Array(numbers.size);
  for (const { answers, isLeft } of all)
    for (const answer of answers) if (isLeft || found[answer] === NONE) found[answer] = isLeft ? LEFT : OUT;
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
  for (const item of present)
    for (const { partner, sort, answeredBy } of seenOf(item).asks) {
      const known = counts.get(sort) ?? { sort, of: item, partner, all: 0, with: 0 };
      const has = atHand[answeredBy] !== NONE;
      counts.set(sort, { ...known, all: known.all + 1, with: known.with + Number(has) });
    }
  return [...counts.values()].sort((p, q) => q.all - p.all || (p.sort < q.sort ? -1 : 1));
}

/** The sorts of partners that belong to a person's habits, as the stash shows. */
function usualSorts(asking: readonly Seen[], atHand: Uint8Array): ReadonlySet<string> {
  const counts = new Map<string, { all: number; with: number }>();
  for (const { asks } of asking)
    for (const { sort, answeredBy } of asks) {
      const count = counts.get(sort) ?? { all: 0, with: 0 };
      count.all++;
      if (atHand[answeredBy] !== NONE) count.with++;
      counts.set(sort, count);
    }
  const usual = [...counts].filter(
    ([, count]) => count.with >= HABIT.count || count.with / count.all >= HABIT.share,
  );
  return new Set(usual.map(([sort]) => sort));
}

/**
 * Partners that are missing: no refill, foam, card or marker of the same colour name, no die of a stamp's number.
 * A partner by number that says no number is not asked for, and none for what is not bought again. Only what belongs to the person's habits counts: where one
 * pad of many has a refill, nobody is told to buy the rest; a partner that is used up always counts. What the person said of a sort goes
 * before what shows. The most used come first.
 */
export function missingPartners<T extends Partnered>(
  items: readonly T[],
  said: PartnerHabits = {},
): MissingPartner<T>[] {
  const present = items.filter(inStash);
  const atHand = partnersAtHand(present);
  const usual = usualSorts(present.map(seenOf), atHand);
  const isUsual = (sort: string): boolean => (said[sort] ? said[sort] === 'together' : usual.has(sort));
  const missing: (MissingPartner<T> & { readonly use: number })[] = [];
  for (const item of present) {
    const { asks, use } = seenOf(item);
    for (const { partner, sort, answeredBy } of asks) {
      const at = atHand[answeredBy];
      if (at === LEFT || said[sort] === 'never' || (at === NONE && !isUsual(sort))) continue;
      missing.push({ item, partner, out: at === OUT, use });
    }
  }
  return missing.sort((p, q) => q.use - p.use || byText(p.item.id, q.item.id));
}

/** What of a stash belongs beside a supply, sort by sort: its refill, its foam, the card of its colour, the die of its number. */
export function partnersOf<T extends Partnered>(item: T, items: readonly T[]): readonly T[] {
  return (formOf(item.kind, item.form).partners ?? []).flatMap((partner) => {
    const shared = bond(partner, item);
    if (shared === '' || shared === 'any') return [];
    return items.filter((other) => {
      if (other.id === item.id || other.kind !== partner.kind || !inStash(other)) return false;
      if (partner.form !== undefined && other.form !== partner.form) return false;
      return bondsOf(other).includes(shared);
    });
  });
}
