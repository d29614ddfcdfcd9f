import type { z } from 'zod';

/** Keeps half-filled forms in this browser, so that they survive leaving. Each form has a name of its own. */
const key = (name: string): string => `red-shelf.draft.${name}`;
/** What forms ask changes with the app: a draft of another version is not read. */
const VERSION = 1;

export function remember(name: string, form: unknown): void {
  try {
    localStorage.setItem(key(name), JSON.stringify({ version: VERSION, form }));
  } catch {
    // A browser that keeps nothing: the form lives as long as the page.
  }
}

export function forget(name: string): void {
  try {
    localStorage.removeItem(key(name));
  } catch {
    // As above.
  }
}

function kept(name: string): unknown {
  try {
    const found = JSON.parse(localStorage.getItem(key(name)) ?? 'null') as unknown;
    const { version, form } = (found ?? {}) as { version?: unknown; form?: unknown };
    return version === VERSION ? form : undefined;
  } catch {
    return undefined;
  }
}

/** Whether a form of this name was begun and not sent. */
export const isKept = (name: string): boolean => kept(name) !== undefined;

function namesUnder(name: string): string[] {
  try {
    const stem = key('');
    return Object.keys(localStorage)
      .filter((each) => each.startsWith(stem))
      .map((each) => each.slice(stem.length))
      .filter((each) => each === name || each.startsWith(`${name}.`));
  } catch {
    return [];
  }
}
/** Whether a question of this name, or any of those that go with it (`name.…`), was begun. */
export const isBegun = (name: string): boolean => namesUnder(name).some(isKept);
/** Gives a question up, with all that go with it. */
export const forgetAll = (name: string): void => namesUnder(name).forEach(forget);

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What was kept as far as it has the shape of a blank form; where it has another one, the blank stays. */
function shaped(found: unknown, blank: unknown): unknown {
  if (found === undefined) return blank;
  if (blank === null || found === null) return blank === null || found === null ? (found ?? blank) : blank;
  if (Array.isArray(blank)) {
    const [first] = blank as unknown[];
    const fits = (each: unknown): boolean => first === undefined || typeof each === typeof first;
    return Array.isArray(found) && found.every(fits) ? found : blank;
  }
  if (!isPlain(blank)) return typeof found === typeof blank ? found : blank;
  if (!isPlain(found)) return blank;
  // A blank without fields is a table: it may hold any.
  if (Object.keys(blank).length === 0) return found;
  const read = Object.entries(blank).map(([field, value]) => [field, shaped(found[field], value)] as const);
  const more = Object.entries(found).filter(([field]) => !(field in blank));
  return Object.fromEntries([...read, ...more]);
}

/** The kept form over a blank one: each field that still has the shape it had. */
export const remembered = <T>(name: string, blank: T): T => shaped(kept(name), blank) as T;

/** A kept form of which no blank is known, read by its schema; null where there is none, or another. */
export const rememberedAs = <S extends z.ZodType>(name: string, schema: S): z.output<S> | null =>
  schema.safeParse(kept(name)).data ?? null;
