import { v7 } from 'uuid';

const lockName = (tab: string): string => `red-shelf-tab-${tab}`;
const locks = (): LockManager | undefined =>
  typeof navigator === 'undefined' ? undefined : (navigator as { locks?: LockManager }).locks;

let own: string | undefined;

/** This page's own name, held for as long as the page lives, so that others see whether it still does. */
export function thisTab(): string {
  if (own !== undefined) return own;
  own = v7();
  // Held until the page is gone: the promise never ends.
  void locks()
    ?.request(lockName(own), () => new Promise<never>(() => undefined))
    .catch(() => undefined);
  return own;
}

/** Ends when a page is gone; at once where that cannot be told. */
export async function untilGone(tab: string): Promise<void> {
  await locks()?.request(lockName(tab), () => undefined);
}
