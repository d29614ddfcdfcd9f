import { useSyncExternalStore } from 'react';

/** How often an open page asks whether there is a new version, ms. */
const LOOK_MS = 3_600_000;

let waiting: ServiceWorker | 'took over' | null = null;
const listeners = new Set<() => void>();
function become(next: typeof waiting): void {
  waiting = next;
  for (const listener of [...listeners]) listener();
}

/** Notices when a new version of the app has been fetched, and waits. */
export function watchForNewVersion(registration: ServiceWorkerRegistration | undefined): void {
  // A browser that was told to keep nothing answers with nothing.
  if (!registration) return;
  const { serviceWorker } = navigator;
  const look = (): void => {
    // The first one ever is no new one.
    if (registration.waiting && serviceWorker.controller) become(registration.waiting);
  };
  look();
  registration.addEventListener('updatefound', () => {
    registration.installing?.addEventListener('statechange', look);
  });
  let before = serviceWorker.controller;
  serviceWorker.addEventListener('controllerchange', () => {
    if (before) become('took over');
    before = serviceWorker.controller;
  });
  const ask = (): void => void registration.update().catch(() => undefined);
  setInterval(ask, LOOK_MS);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') ask();
  });
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
/** Whether a new version is there. */
export const useNewVersion = (): boolean => useSyncExternalStore(subscribe, () => waiting !== null);

/** Loads it. What was done, and what is half filled, is kept. */
export function loadNewVersion(): void {
  if (waiting === null || waiting === 'took over') return location.reload();
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload());
  return waiting.postMessage('take over');
}
