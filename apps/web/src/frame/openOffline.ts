import { watchForNewVersion } from './newVersion';

/** How long after the page is there, ms. */
const AFTER_MS = 3000;

/** Fetches the rest of the app, without running any of it yet. */
function fetchRest(): void {
  const href = document.querySelector<HTMLMetaElement>('meta[name=rest]')?.content;
  if (href) document.head.append(Object.assign(document.createElement('link'), { rel: 'prefetch', href }));
}

/** Lets the app itself open without a network: once the page stands, a service worker keeps its files. */
export function openOffline(): void {
  if (typeof navigator === 'undefined') return;
  const begin = (): void => {
    fetchRest();
    if (!('serviceWorker' in navigator)) return;
    // A browser that allows none still has the app, with a network.
    navigator.serviceWorker.register('/sw.js').then(watchForNewVersion, () => undefined);
  };
  // The page comes first: keeping its files would slow it down.
  const later = (): void => {
    setTimeout(begin, AFTER_MS);
  };
  if (document.readyState === 'complete') later();
  else addEventListener('load', later, { once: true });
}
