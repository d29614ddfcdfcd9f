/** How long after the page is there, ms. */
const AFTER_MS = 3000;

/** Lets the app itself open without a network: once the page stands, a service worker keeps its files. */
export function openOffline(): void {
  if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return;
  const begin = (): void => {
    // A browser that allows none still has the app, with a network.
    navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  };
  // The page comes first: keeping its files would slow it down.
  const later = (): void => {
    setTimeout(begin, AFTER_MS);
  };
  if (document.readyState === 'complete') later();
  else addEventListener('load', later, { once: true });
}
