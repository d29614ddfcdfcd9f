import { fold } from './fold';

/** A text prepared for searching: everything a thing is known by, folded. */
export type SearchText = string;

/** Joins the fields a thing is known by into one searchable text. */
export const searchText = (fields: readonly (string | null | undefined)[]): SearchText =>
  ` ${fold(fields.filter(Boolean).join(' '))}`;

const singular = (word: string): string => (word.length > 3 && word.endsWith('s') ? word.slice(0, -1) : word);

/**
 * Makes a test for a query: every word must begin some word of the text, plural or not.
 * An empty query matches everything.
 */
export function makeMatcher(query: string): (text: SearchText) => boolean {
  const words = fold(query).split(' ').filter(Boolean).map(singular);
  return (text) => words.every((word) => text.includes(` ${word}`));
}
