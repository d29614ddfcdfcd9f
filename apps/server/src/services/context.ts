import type { Store } from '../db/open';
import { Refusal } from './refusal';
import type { PhotoKeeping } from './photos';
import type { Ports } from './ports';
import { StashList } from './stashList';
import type { Aside } from './aside';
import type { Reader } from './reading';

/** What every use case works with. */
export interface Context {
  readonly store: Store;
  readonly ports: Ports;
  /** Left out where no photos are kept. */
  readonly photos?: PhotoKeeping;
  /** Does long work; left out where none is asked for. */
  readonly aside?: Aside;
  /** Reads the whole stash elsewhere; left out where that is done here. */
  readonly reader?: Reader;
}

const lists = new WeakMap<Store, StashList>();

/** The one ready list of a store. */
export function stashList({ store }: Context): StashList {
  const known = lists.get(store);
  if (known) return known;
  const list = new StashList(store);
  lists.set(store, list);
  return list;
}

/** Refuses a write that saw an older version; both versions go back so that nothing is lost. */
export function refuseStale(seen: number, current: { version: number }, yours?: unknown): void {
  if (seen === current.version) return;
  throw new Refusal(
    409,
    'stale',
    'This was changed in another window since you opened it. Nothing was overwritten; look at both and choose.',
    { current, yours },
  );
}
