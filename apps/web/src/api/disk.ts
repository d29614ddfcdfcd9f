import { clear, createStore, del, entries, getMany, set, setMany, type UseStore } from 'idb-keyval';

/** Whether something was ever kept here: a browser that is new to the stash does not open databases to find nothing. */
const MARK = 'red-shelf.kept';
const mark = (): void => {
  try {
    localStorage.setItem(MARK, '1');
  } catch {
    // It keeps nothing at all.
  }
};
function isMarked(): boolean {
  try {
    return localStorage.getItem(MARK) !== null;
  } catch {
    return false;
  }
}

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

export const readStash = (names: string[]) =>
  isMarked() ? trying(stashStore, (store) => getMany<unknown>(names, store)) : Promise.resolve(undefined);
export async function writeStash(things: [string, unknown][]): Promise<void> {
  mark();
  await trying(stashStore, (store) => setMany(things, store));
}
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
  const kept = isMarked()
    ? await trying(commandStore, (store) => entries<string, unknown>(store))
    : undefined;
  return new Map([...ahead.read(), ...(kept ?? [])]);
}

/** Keeps a command; by the time this returns it outlives the page, and once it ends also the browser. */
export async function writeCommand(id: string, kept: unknown): Promise<void> {
  ahead.write(id, kept);
  mark();
  await trying(commandStore, async (store) => {
    await set(id, kept, store);
    ahead.forget(id);
  });
}

export async function forgetCommand(id: string): Promise<void> {
  ahead.forget(id);
  await trying(commandStore, (store) => del(id, store));
}
