import type { JournalLine } from '@red-shelf/contract';
import { desc } from 'drizzle-orm';
import { changes } from '../db/schema';
import type { Context } from './context';

const LATEST = 200;

/** What was done lately, the newest first. */
export async function journal({ store }: Context): Promise<JournalLine[]> {
  const { id, at, kind, name, count, undoneBy } = changes;
  const rows = await store.read
    .select({ id, at, kind, name, count, undoneBy })
    .from(changes)
    .orderBy(desc(changes.seq))
    .limit(LATEST);
  return rows.map(({ undoneBy: by, ...line }) => ({ ...line, undone: by !== null }));
}
