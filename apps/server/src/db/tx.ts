import { inArray, max } from 'drizzle-orm';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import * as schema from './schema';

export type Db = LibSQLDatabase<typeof schema>;
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];
/** Anything that can be read from: the open database, or a transaction to see its own writes. */
export type Readable = Db | Tx;

/** What a transaction changed. */
export interface Touched {
  /** Supplies whose record, stock or places changed. */
  readonly supplies: ReadonlySet<string>;
  /** The whole stash was replaced. */
  readonly all: boolean;
  readonly wall: boolean;
  /** Ids of records beside the supplies that changed. */
  readonly records: ReadonlySet<string>;
  /** Number of the change. */
  readonly seq: number;
}
export type Touching = { supplies: Set<string>; all: boolean; wall: boolean; records: Set<string> };
const touchedBy = new WeakMap<Tx, Touching>();

/** Notes what a transaction changed; repositories call it wherever they write. */
export function touch(
  tx: Tx,
  supplyIds: readonly string[] | 'all',
  { wall = false, record }: { readonly wall?: boolean; readonly record?: string } = {},
): void {
  const touched = touchedBy.get(tx) ?? {
    supplies: new Set<string>(),
    all: false,
    wall: false,
    records: new Set<string>(),
  };
  touchedBy.set(tx, touched);
  if (supplyIds === 'all') touched.all = true;
  else for (const id of supplyIds) touched.supplies.add(id);
  touched.wall ||= wall;
  if (record !== undefined) touched.records.add(record);
}

/** What a transaction touched so far. */
export const touchedIn = (tx: Tx): Touching | undefined => touchedBy.get(tx);

/** The latest number of a change. */
export async function latestSeq(db: Readable): Promise<number> {
  const [row] = await db.select({ seq: max(schema.changes.seq) }).from(schema.changes);
  return row?.seq ?? 0;
}

/** Where it is kept when the whole stash or the units last changed. */
export const LAST_CHANGED = { all: 'seq.all', wall: 'seq.wall' } as const;

/** Writes the number of the change on everything it touched, so that a client can ask for what came after it. */
export async function stamp(tx: Tx, { supplies, records, ...what }: Touching): Promise<number> {
  const seq = await latestSeq(tx);
  for (const [table, ids] of [
    [schema.supplies, supplies],
    [schema.records, records],
  ] as const)
    if (what.all) await tx.update(table).set({ seq });
    else
      for (const some of chunks([...ids])) await tx.update(table).set({ seq }).where(inArray(table.id, some));
  for (const key of ['all', 'wall'] as const) {
    if (!what[key] && !what.all) continue;
    const row = { key: LAST_CHANGED[key], value: String(seq) };
    await tx
      .insert(schema.settings)
      .values(row)
      .onConflictDoUpdate({ target: schema.settings.key, set: row });
  }
  return seq;
}

/**
 * Lets everything else have its turn: what answers requests, and what tidies up behind the database's own statements,
 * which hold memory until then.
 */
export const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** So long one piece of work may have the thread before others get their turn, ms. */
const MOST_AT_A_STRETCH_MS = 8;
let stretchBegan: number | null = null;

/**
 * Lets everything else have its turn where the thread was busy for a while already. The database answers at once, so that
 * code that only asks it again and again would otherwise never leave the thread.
 */
export function breatheIfLong(): Promise<void> | undefined {
  const now = performance.now();
  if (stretchBegan === null) {
    stretchBegan = now;
    setImmediate(() => (stretchBegan = null));
    return undefined;
  }
  return now - stretchBegan < MOST_AT_A_STRETCH_MS ? undefined : breathe();
}

/** Rows a statement may carry at once, below SQLite's limit of bound values. */
const CHUNK = 150;

/** A list in pieces small enough for one statement. */
export const chunks = <T>(list: readonly T[], size = CHUNK): T[][] =>
  Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));
