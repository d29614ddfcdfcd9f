import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkOnly } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope;
/** Every file of the app, filled in when it is built. */
declare const APP_FILES: { url: string; revision: string | null }[];

/** So long a network that hardly answers is waited for, s. */
const PATIENCE_S = 3;

// A newer app waits until the person wants it: pages that are open still need the files of the one before.
self.addEventListener('message', ({ data }) => {
  if (data === 'take over') void self.skipWaiting();
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
cleanupOutdatedCaches();
precacheAndRoute(APP_FILES, { directoryIndex: '' });

const page = new NetworkOnly({ networkTimeoutSeconds: PATIENCE_S });
registerRoute(
  new NavigationRoute(
    async (given) => {
      try {
        return await page.handle(given);
      } catch {
        return (await matchPrecache('/index.html')) ?? Response.error();
      }
    },
    { denylist: [/^\/api\//] },
  ),
);
