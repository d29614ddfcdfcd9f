/** Lets the app itself open without a network: once the page stands, a service worker keeps its files. */
export function openOffline(): void {
  if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return;
  const begin = (): void => {
    // A browser that allows none still has the app, with a network.
    navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  };
  if (document.readyState === 'complete') begin();
  else addEventListener('load', begin, { once: true });
}
