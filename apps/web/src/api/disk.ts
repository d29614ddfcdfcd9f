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

/** Written before anything can close the page; the database, which lasts longer, has it a moment later. */
const ahead = {
  prefix: 'red-shelf.command.',
  trying<T>(work: (storage: Storage) => T): T | undefined {
    try {
      return work(localStorage);
    } catch {
      return undefined;
    }
  },
  write: (id: string, kept: unknown) =>
    ahead.trying((storage) => storage.setItem(ahead.prefix + id, JSON.stringify(kept))),
  forget: (id: string) => ahead.trying((storage) => storage.removeItem(ahead.prefix + id)),
  read: (): [string, unknown][] =>
    ahead.trying((storage) =>
      Object.keys(storage)
        .filter((key) => key.startsWith(ahead.prefix))
        .map((key): [string, unknown] => [
          key.slice(ahead.prefix.length),
          JSON.parse(storage.getItem(key) ?? 'null'),
        ]),
    ) ?? [],
};

/** Commands that are kept, by their names. */
export async function readCommands(): Promise<Map<string, unknown>> {
  const kept = await trying(commandStore, (store) => entries<string, unknown>(store));
  return new Map([...ahead.read(), ...(kept ?? [])]);
}

/** Keeps a command; by the time this returns it outlives the page, and once it ends also the browser. */
export async function writeCommand(id: string, kept: unknown): Promise<void> {
  ahead.write(id, kept);
  await trying(commandStore, async (store) => {
    await set(id, kept, store);
    ahead.forget(id);
  });
}

export async function forgetCommand(id: string): Promise<void> {
  ahead.forget(id);
  await trying(commandStore, (store) => del(id, store));
}
