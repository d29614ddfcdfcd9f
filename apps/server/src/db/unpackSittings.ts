import { doneRow, oldEntriesOf, type RecordBody } from '@red-shelf/contract';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import { contentOf } from './fingerprint';
import type { RecordRow } from './recordRepository';
import { changes, records } from './schema';
import { chunks, type Tx } from './tx';

type Entry = NonNullable<ReturnType<typeof oldEntriesOf>>[number];
interface Was {
  readonly id: string;
  readonly before: RecordRow | null;
  readonly after: string;
}

const entriesIn = ({ body }: RecordRow): readonly Entry[] => oldEntriesOf(body) ?? [];
/** A sitting's record without what it once held inside. */
function bare(session: RecordRow): RecordRow {
  const { done: _, ...body } = session.body as RecordBody & { done?: unknown };
  return { ...session, body };
}
const rowFor = (session: RecordRow, entry: Entry): RecordRow => {
  const row = doneRow({ ...session, removedAt: null }, entry);
  return { ...row, sort: 'done', body: row.body as RecordBody };
};

/**
 * A sitting once held in its own record all it had dealt with, and was written whole with every verdict. Each becomes a
 * row of its own, and what was decided can still be undone. Done once; a stash without such sittings is left alone.
 */
export async function unpackSittings(tx: Tx): Promise<void> {
  const packed = await tx
    .select()
    .from(records)
    .where(
      and(eq(records.sort, 'session'), sql`coalesce(json_array_length(${records.body}, '$.done'), 0) > 0`),
    );
  for (const { seq: _, ...session } of packed) {
    await unpackChanges(tx, session);
    const rows = entriesIn(session).map((entry) => rowFor(session, entry));
    for (const some of chunks(rows)) await tx.insert(records).values(some).onConflictDoNothing();
    await tx
      .update(records)
      .set({ body: bare(session).body })
      .where(eq(records.id, session.id));
  }
}

/** Changes that wrote the sitting whole are told by the rows they come down to, the latest first. */
async function unpackChanges(tx: Tx, session: RecordRow): Promise<void> {
  const lines = await tx
    .select({ id: changes.id, inverse: changes.inverse })
    .from(changes)
    .where(
      and(
        isNull(changes.undoneBy),
        sql`exists (select 1 from json_each(${changes.inverse}, '$.records') as was
          where json_extract(was.value, '$.id') = ${session.id})`,
      ),
    )
    .orderBy(desc(changes.seq));
  // What a change left behind is what the next one found.
  let left = session;
  for (const { id, inverse } of lines) {
    const old = inverse as { readonly records: readonly Was[] };
    const was = old.records.find((each) => each.id === session.id);
    if (!was?.before || contentOf(left) !== was.after) return;
    const others = old.records.filter((each) => each !== was);
    const told = [...others, ...restOf(was, was.before, left), ...rowsOf(session, was.before, left)];
    await tx
      .update(changes)
      .set({ inverse: { ...old, records: told } })
      .where(eq(changes.id, id));
    left = was.before;
  }
}

/** What a change did to the sitting beside what was dealt with. */
function restOf(was: Was, before: RecordRow, left: RecordRow): Was[] {
  const after = contentOf(bare(left));
  return contentOf(bare(before)) === after ? [] : [{ ...was, before: bare(before), after }];
}

/** What was dealt with between two states of a sitting, as rows. */
function rowsOf(session: RecordRow, before: RecordRow, left: RecordRow): Was[] {
  const known = new Map(entriesIn(before).map((entry) => [entry.supplyId, entry]));
  return entriesIn(left).flatMap((entry) => {
    const earlier = known.get(entry.supplyId);
    if (JSON.stringify(earlier) === JSON.stringify(entry)) return [];
    const row = rowFor(session, entry);
    return [{ id: row.id, before: earlier ? rowFor(session, earlier) : null, after: contentOf(row) }];
  });
}
