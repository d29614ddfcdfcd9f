import { useSyncExternalStore } from 'react';

/** Where the person was when it was shut. */
let cameFrom: string | null = null;
const listeners = new Set<() => void>();

/** This device has not been let in, or not any more: the stash is hidden until it is. */
export function shutDoor(): void {
  if (cameFrom !== null) return;
  cameFrom = location.href;
  for (const listener of [...listeners]) listener();
}

export function onDoorShut(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const useDoorShut = (): boolean => useSyncExternalStore(onDoorShut, () => cameFrom !== null);

/** Goes back to where the person was; everything is asked for anew, as on any first visit. */
export const openDoor = (): void => location.replace(cameFrom ?? '/');
