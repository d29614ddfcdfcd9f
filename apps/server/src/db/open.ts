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

export interface Store {
  /** For reading outside a transaction. */
  readonly read: Db;
  /** Runs one transaction; writes wait for one another, so SQLite never has to refuse one. */
  readonly write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
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
  return {
    read: drizzle(reader, { schema }),
    write: (work) => {
      const turn = last.then(() => writeDb.transaction(work));
      last = turn.catch(() => undefined);
      return turn;
    },
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
