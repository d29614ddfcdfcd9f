import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import * as schema from './schema';

export type Db = LibSQLDatabase<typeof schema>;
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];
/** Anything that can be read from: the open database, or a transaction to see its own writes. */
export type Readable = Db | Tx;

/** Supplies whose record, stock or place a transaction changed; `all` when the stash was replaced. */
export interface Touched {
  readonly supplies: ReadonlySet<string>;
  readonly all: boolean;
}
const touchedBy = new WeakMap<Tx, { supplies: Set<string>; all: boolean }>();

/** Notes what a transaction changed; repositories call it wherever they write. */
export function touch(tx: Tx, supplyIds: readonly string[] | 'all'): void {
  const touched = touchedBy.get(tx) ?? { supplies: new Set<string>(), all: false };
  touchedBy.set(tx, touched);
  if (supplyIds === 'all') touched.all = true;
  else for (const id of supplyIds) touched.supplies.add(id);
}

export interface Store {
  /** For reading outside a transaction. */
  readonly read: Db;
  /** Runs one transaction; writes wait for one another, so SQLite never has to refuse one. */
  readonly write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
  /** Told after every write what it touched. */
  readonly onTouched: (hear: (touched: Touched) => void) => void;
  /** SQLite's own integrity check; `ok` when the file is sound. */
  readonly integrity: () => Promise<string>;
  readonly close: () => void;
}

/**
 * Opens the stash file, creating it and its folder if need be, and brings it to the current shape.
 * One connection writes and another reads, so that a reader never sees half a transaction.
 */
export async function openStore(file: string, migrationsFolder: string): Promise<Store> {
  mkdirSync(dirname(file), { recursive: true });
  const url = pathToFileURL(file).href;
  const writer = createClient({ url, concurrency: 1, intMode: 'number' });
  for (const pragma of [
    'journal_mode = WAL',
    'synchronous = FULL',
    'foreign_keys = ON',
    'busy_timeout = 5000',
  ])
    await writer.execute(`PRAGMA ${pragma}`);
  const writeDb = drizzle(writer, { schema });
  await migrate(writeDb, { migrationsFolder });
  const reader = createClient({ url, concurrency: 1, intMode: 'number' });
  await reader.execute('PRAGMA query_only = ON');
  await reader.execute('PRAGMA busy_timeout = 5000');
  let last: Promise<unknown> = Promise.resolve();
  const listeners: ((touched: Touched) => void)[] = [];
  const transact = async <T>(work: (tx: Tx) => Promise<T>): Promise<T> => {
    let touched: Touched | undefined;
    const result = await writeDb.transaction(async (tx) => {
      const answer = await work(tx);
      touched = touchedBy.get(tx);
      return answer;
    });
    if (touched) for (const hear of listeners) hear(touched);
    return result;
  };
  return {
    read: drizzle(reader, { schema }),
    write: (work) => {
      const turn = last.then(() => transact(work));
      last = turn.catch(() => undefined);
      return turn;
    },
    onTouched: (hear) => listeners.push(hear),
    integrity: async () => {
      const { rows } = await reader.execute('PRAGMA integrity_check');
      return rows.map((row) => JSON.stringify(row[0])).join() === '"ok"' ? 'ok' : JSON.stringify(rows);
    },
    close: () => {
      reader.close();
      writer.close();
    },
  };
}

/** Rows a statement may carry at once, below SQLite's limit of bound values. */
const CHUNK = 400;

/** A list in pieces small enough for one statement. */
export const chunks = <T>(list: readonly T[], size = CHUNK): T[][] =>
  Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));
