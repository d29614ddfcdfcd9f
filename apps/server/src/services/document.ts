import type { StashDocument } from '@red-shelf/contract';
import { readStash } from '../db/stashRepository';
import type { Readable } from '../db/tx';

/** The whole stash, removed things and all history included. What follows from it is left out. */
export const writeDocument = async (db: Readable, exportedAt: string): Promise<StashDocument> => ({
  format: 'red-shelf',
  formatVersion: 4,
  exportedAt,
  ...(await readStash(db)),
});
