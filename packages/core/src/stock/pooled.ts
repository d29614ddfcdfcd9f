import type { FamilyGroup } from '../colour/families';
import type { Kind } from '../kinds/definition';
import { inStash } from '../stash/standing';
import type { Facts } from '../stash/facts';
import { forecastRunOut, type RunOut } from './forecast';
import { leftInAll } from './leftInAll';
import type { Use } from './rate';
import type { Stock } from './stock';

interface Pooled {
  readonly id: string;
  readonly kind: Kind;
  readonly group: FamilyGroup;
  readonly facts: Facts;
  readonly createdAt: string;
  readonly stock: Pick<Stock, 'left'> & Partial<Pick<Stock, 'parts'>>;
}

/** Things of a kind, or of a family of it, whose uses are looked at together. */
export interface Pool<S> {
  readonly kind: Kind;
  /** Null for the whole kind. */
  readonly group: FamilyGroup | null;
  readonly things: readonly S[];
}

/** How fast a kind, or a family of a kind, is used, and how long all that is left of it lasts. */
export interface PooledRate extends Pick<RunOut, 'perDay' | 'runsOut'> {
  readonly kind: Kind;
  /** Null for the whole kind. */
  readonly group: FamilyGroup | null;
  readonly left: number;
}

/** Kinds, and then the families within them. */
export function poolsOf<S extends Pooled>(supplies: readonly S[]): Pool<S>[] {
  const pools = new Map<string, { kind: Kind; group: FamilyGroup | null; things: S[] }>();
  const put = (kind: Kind, group: FamilyGroup | null, thing: S): void => {
    const pool = pools.get(`${kind} ${group ?? ''}`) ?? { kind, group, things: [] };
    pool.things.push(thing);
    pools.set(`${kind} ${group ?? ''}`, pool);
  };
  for (const thing of supplies) put(thing.kind, null, thing);
  for (const thing of supplies) put(thing.kind, thing.group, thing);
  return [...pools.values()];
}

/**
 * How fast the things of one pool are used, and how long what is left of them lasts, from the uses of all of them together: what is rare of
 * each is often enough of all to be known. `usesOf` tells what was used of a thing, `now` is ISO 8601. Linear in the uses.
 */
export function rateOfPool<S extends Pooled>(
  { kind, group, things }: Pool<S>,
  usesOf: (id: string) => readonly Use[],
  now: string,
): PooledRate {
  // What was let go was used while it was there, and is not left.
  const left = things.filter(inStash).reduce((sum, thing) => sum + leftInAll(thing), 0);
  const since = things.reduce((first, { createdAt }) => (createdAt < first ? createdAt : first), now);
  const uses = things.flatMap(({ id }) => usesOf(id));
  const { perDay, runsOut } = forecastRunOut(uses, left, now, { since });
  return { kind, group, left, perDay, runsOut };
}
