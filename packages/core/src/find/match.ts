import { fold } from '../text/fold';

/** A text prepared for searching: everything a thing is known by, folded. */
export type SearchText = string;

/** Joins the fields a thing is known by into one searchable text. */
export const searchText = (fields: readonly (string | null | undefined)[]): SearchText =>
  ` ${fold(fields.filter(Boolean).join(' '))}`;
