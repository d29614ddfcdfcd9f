import { createHash } from 'node:crypto';

const named = (text: string): string => createHash('sha1').update(text).digest('base64url');

/** Writes objects with their keys in order, so that equal content has one text. */
const inKeyOrder = (_key: string, value: unknown): unknown =>
  value && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** A short name for a value: equal values have one name, whatever the order of their keys. */
export const fingerprint = (value: unknown): string => named(JSON.stringify(value, inKeyOrder));

interface Versioned {
  readonly version: number;
  readonly updatedAt?: string;
}
const contentIn = ({ version: _version, updatedAt: _at, ...content }: Versioned): object => content;

/**
 * Names what a record says, whatever its version: an undo is safe exactly when a thing still says
 * what the change left behind, be it that nothing happened since or that all of it was undone.
 */
export const contentOf = (record: Versioned): string => fingerprint(contentIn(record));

/** Columns that came with a later program: number, and facts, which were none then. */
function asItWasFirst(content: object): object | null {
  const { number: _, facts, ...first } = content as { number?: unknown; facts?: object };
  return facts && Object.keys(facts).length === 0 ? first : null;
}

/** How the first programs named what a record says. */
const firstNames = (content: object): string[] => {
  const sorted = JSON.stringify(Object.entries(content).sort());
  return [named(sorted), fingerprint(content)];
};

/** Whether a record still says what a change left behind, also where an earlier program named that. */
export function saysStill(
  record: Versioned,
  was: { readonly after: string; readonly afterVersion?: number },
): boolean {
  if (contentOf(record) === was.after || record.version === was.afterVersion) return true;
  const content = contentIn(record);
  const first = asItWasFirst(content);
  return [content, ...(first ? [first] : [])].flatMap(firstNames).includes(was.after);
}
