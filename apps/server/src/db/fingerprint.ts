import { createHash } from 'node:crypto';

/** Writes objects with their keys in order, so that equal content has one text. */
const inKeyOrder = (_key: string, value: unknown): unknown =>
  value && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** A short name for a value: equal values have one name, whatever the order of their keys. */
export const fingerprint = (value: unknown): string =>
  createHash('sha1').update(JSON.stringify(value, inKeyOrder)).digest('base64url');

/**
 * Names what a record says, whatever its version: an undo is safe exactly when a thing still says
 * what the change left behind, be it that nothing happened since or that all of it was undone.
 */
export const contentOf = ({
  version: _version,
  updatedAt: _at,
  ...content
}: {
  version: number;
  updatedAt?: string;
}): string => fingerprint(content);
