import { fold } from '../text/fold';

/** A text prepared for searching: everything a thing is known by, folded. */
export type SearchText = string;

/** Joins the fields a thing is known by into one searchable text. */
export function searchText(fields: readonly (string | null | undefined)[]): SearchText {
  let all = '';
  for (const field of fields) if (field) all += ` ${field}`;
  return ` ${fold(all)}`;
}
