import { expect, type Page } from '@playwright/test';
import type { Room } from './room';

/** Waits until the app's own files are kept, and the stash as of the last change, so that it opens without a network. */
export async function ready(page: Page, room: Room): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready);
  const { seq } = (await (await fetch(`${room.url}/api/since/0`)).json()) as { seq: number };
  const kept = (): Promise<unknown> =>
    page.evaluate(
      () =>
        new Promise((resolve) => {
          const opening = indexedDB.open('red-shelf-stash');
          // Not there yet: it is the app's to make.
          opening.onupgradeneeded = () => opening.transaction?.abort();
          opening.onerror = () => resolve(null);
          opening.onsuccess = () => {
            const database = opening.result;
            if (!database.objectStoreNames.contains('stash')) return resolve(null);
            const asking = database.transaction('stash').objectStore('stash').get('news');
            asking.onsuccess = () => {
              database.close();
              resolve((asking.result as { seq: number } | undefined)?.seq);
            };
          };
        }),
    );
  await expect.poll(kept).toBe(seq);
}
