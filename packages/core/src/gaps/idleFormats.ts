import type { Kind } from '../kinds/definition';
import { DAY, idleDays, inPeace, type StockHistory } from '../stash/idle';

/** A form of a kind that is never reached for, though its kind is. */
export interface IdleFormat<T> {
  readonly kind: Kind;
  readonly form: string;
  readonly items: readonly T[];
  /** Days since any of it was used, or since the newest of it came. */
  readonly days: number;
}

/** So long nobody reached for it, days. */
const IDLE_DAYS = 365;
/** Fewer than this are no format, but single things. */
const FEWEST = 3;

/**
 * Forms of which nothing was used for a year, while other forms of the same kind were: the largest pile first. What came within the year,
 * and what is left in peace, does not count. `now` is ms since 1970. n log n.
 */
export function idleFormats<T extends StockHistory & { readonly kind: Kind; readonly form: string }>(
  items: readonly T[],
  now: number,
): IdleFormat<T>[] {
  const forms = new Map<string, T[]>();
  const reachedFor = new Set<Kind>();
  const used = new Set<string>();
  for (const item of items) {
    if (inPeace(item)) continue;
    const key = `${item.kind} ${item.form}`;
    const list = forms.get(key);
    if (list) list.push(item);
    else forms.set(key, [item]);
    const last = item.stock.lastUsedAt;
    if (last !== null && now - Date.parse(last) <= IDLE_DAYS * DAY) {
      used.add(key);
      reachedFor.add(item.kind);
    }
  }
  return [...forms.entries()]
    .flatMap(([key, list]): IdleFormat<T>[] => {
      const [first] = list;
      if (!first || list.length < FEWEST || used.has(key) || !reachedFor.has(first.kind)) return [];
      const days = Math.floor(Math.min(...list.map((item) => idleDays(item, now))));
      return days >= IDLE_DAYS ? [{ kind: first.kind, form: first.form, items: list, days }] : [];
    })
    .sort((p, q) => q.items.length - p.items.length || q.days - p.days || (p.form < q.form ? -1 : 1));
}

/** After so long a thing that is only half liked is asked for, days. */
const HALF_LIKED_DAYS = 90;

/** What a person said they do not like and keeps all the same, used or not, the longest idle first. */
export function halfLiked<T extends StockHistory>(items: readonly T[], now: number): T[] {
  return items
    .filter(
      (item) =>
        item.facts.whyUnused === 'do not like it' &&
        (item.facts.grade === undefined || item.facts.grade === 'best') &&
        !inPeace(item) &&
        idleDays(item, now) >= HALF_LIKED_DAYS,
    )
    .sort((p, q) => idleDays(q, now) - idleDays(p, now));
}
