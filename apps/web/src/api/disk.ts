import { clear, createStore, del, entries, getMany, set, setMany, type UseStore } from 'idb-keyval';

/** What this browser keeps of the stash, in a database of its own; where nothing can be kept the page lives without. */
const kept = (name: string): (() => UseStore | null) => {
  let store: UseStore | null | undefined;
  return () => {
    if (store !== undefined) return store;
    store = typeof indexedDB === 'undefined' ? null : createStore(`red-shelf-${name}`, name);
    return store;
  };
};
const stashStore = kept('stash');
const commandStore = kept('commands');

/** Does a piece of keeping; a browser that keeps nothing, or has no room left, is no reason to stop. */
async function trying<T>(
  of: () => UseStore | null,
  work: (store: UseStore) => Promise<T>,
): Promise<T | undefined> {
  const store = of();
  if (!store) return undefined;
  return work(store).catch(() => undefined);
}

export const readStash = (names: string[]) => trying(stashStore, (store) => getMany<unknown>(names, store));
export const writeStash = (things: [string, unknown][]) =>
  trying(stashStore, (store) => setMany(things, store));
export const forgetStash = () => trying(stashStore, clear);

export const readCommands = () => trying(commandStore, (store) => entries<string, unknown>(store));
export const writeCommand = (id: string, kept: unknown) =>
  trying(commandStore, (store) => set(id, kept, store));
export const forgetCommand = (id: string) => trying(commandStore, (store) => del(id, store));
