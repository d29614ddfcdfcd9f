import type { RecordView } from './records';
import type { DealtWith } from './records/sitting';

/** What a sitting has dealt with, each thing once and in the order it was, the last word on it counting. */
export function dealtWithIn(
  records: readonly RecordView[] | undefined,
  sessionId: string,
): readonly DealtWith[] {
  const rows = (records ?? []).flatMap(({ createdAt, body }) =>
    body.sort === 'done' && body.sessionId === sessionId ? [{ createdAt, entries: body.entries }] : [],
  );
  rows.sort((a, b) => (a.createdAt < b.createdAt ? -1 : a.createdAt > b.createdAt ? 1 : 0));
  const byId = new Map<string, DealtWith>();
  for (const { entries } of rows) for (const entry of entries) byId.set(entry.supplyId, entry);
  return [...byId.values()];
}

interface Row {
  readonly id: string;
  readonly version: number;
  readonly body: object;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly removedAt: string | null;
}
type OldEntries = readonly { readonly supplyId: string }[];

/** What an older app kept inside the record of a sitting, or null where there is none. */
export function oldEntriesOf(body: unknown): OldEntries | null {
  const { sort, done } = (body ?? {}) as { sort?: unknown; done?: unknown };
  if (sort !== 'session' || !Array.isArray(done) || done.length === 0) return null;
  const named = (entry: unknown): boolean =>
    typeof (entry as { supplyId?: unknown } | null)?.supplyId === 'string';
  return done.every(named) ? (done as OldEntries) : null;
}

/** A record of an older app as today's: what a sitting has dealt with becomes rows of its own. */
export function unpacked(record: Row): Row[] {
  const entries = oldEntriesOf(record.body);
  if (!entries) return [record];
  const { done: _, ...body } = record.body as { done: unknown };
  return [{ ...record, body }, ...entries.map((entry) => doneRow(record, entry))];
}

/** The row of one thing that was dealt with. */
export const doneRow = (
  { id: sessionId, createdAt, updatedAt, removedAt }: Omit<Row, 'body' | 'version'>,
  entry: { readonly supplyId: string },
): Row => ({
  id: `${sessionId}.${entry.supplyId}`,
  version: 1,
  body: { sort: 'done', sessionId, entries: [entry] },
  createdAt,
  updatedAt,
  removedAt,
});
