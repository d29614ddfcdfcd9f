import type { Store } from '../db/open';

interface Kept {
  readonly of: readonly unknown[];
  readonly value: unknown;
}
/** Works a value out of a list of things, or gives what was worked out of the very same things before under that name. */
export type Keep = <T>(name: string, of: readonly unknown[], workOut: () => T) => T;

const keepers = new WeakMap<Store, Keep>();

const isSame = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((each, i) => each === b[i]);

/**
 * What was worked out of a store, kept by name for as long as everything it was worked out of is the same. What is told of supplies is one
 * object until it changes, so one purchase works only its own kind out anew.
 */
export function keptOf(store: Store): Keep {
  const known = keepers.get(store);
  if (known) return known;
  const all = new Map<string, Kept>();
  const keep: Keep = <T>(name: string, of: readonly unknown[], workOut: () => T): T => {
    const before = all.get(name);
    // Under one name always the same sort of value is kept.
    if (before && isSame(before.of, of)) return before.value as T;
    const value = workOut();
    all.set(name, { of, value });
    return value;
  };
  keepers.set(store, keep);
  return keep;
}
