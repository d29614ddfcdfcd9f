import type { Store } from '../db/open';
import { Refusal } from '../http/problem';
import type { Ports } from './ports';

/** What every use case works with. */
export interface Context {
  readonly store: Store;
  readonly ports: Ports;
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
