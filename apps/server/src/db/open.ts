import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { bringOver } from './bringOver';
import { inTurn } from './inTurn';
import { lookFirst } from './lookFirst';
import * as schema from './schema';
import { settle } from './settle';
import { stamp, touchedIn, type Readable, type Touched, type Tx } from './tx';

export interface Store {
  /** For reading outside a transaction. */
  readonly read: Readable;
  /** Runs one transaction; writes wait for one another, so SQLite never has to refuse one. */
  readonly write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
  /**
   * Keeps the writes' turn while another process writes, and tells afterwards what that touched. No transaction is open.
   */
  readonly exclusive: <T>(work: () => Promise<Written<T>>) => Promise<T>;
  /** Told after every write what it touched. */
  readonly onTouched: (hear: (touched: Touched) => void) => void;
  /** SQLite's own integrity check; `ok` when the file is sound. */
  readonly integrity: () => Promise<string>;
  /** Writes all of it into a file that is not there yet, and opens by itself: one state, as small as it can be. */
  readonly copyInto: (file: string) => Promise<void>;
  readonly close: () => void;
}

/** What another process answered, and what it wrote. */
export interface Written<T> {
  readonly answer: T;
  readonly touched: readonly Touched[];
}

/**
 * Opens the stash file, creating it and its folder if need be, and brings it to the current shape.
 * One connection writes and another reads, so that a reader never sees half a transaction.
 */
export async function openStore(file: string, migrationsFolder: string): Promise<Store> {
  mkdirSync(dirname(file), { recursive: true });
  await lookFirst(file, migrationsFolder);
  const writer = await writerOf(file);
  const writeDb = drizzle(writer, { schema });
  await migrate(writeDb, { migrationsFolder });
  await writeDb.transaction(bringOver);
  await writeDb.transaction(settle);
  return storeOver(file, writer);
}

/** Opens a stash file that another process has open, and has brought to the current shape. */
export const joinStore = async (file: string): Promise<Store> => storeOver(file, await writerOf(file));

async function writerOf(file: string): Promise<Client> {
  const writer = createClient({ url: pathToFileURL(file).href, concurrency: 1, intMode: 'number' });
  // First of all how long to wait: another process may be closing the file, and what follows asks for it.
  for (const pragma of [
    'busy_timeout = 5000',
    'journal_mode = WAL',
    'synchronous = FULL',
    'foreign_keys = ON',
  ])
    await writer.execute(`PRAGMA ${pragma}`);
  return writer;
}

async function storeOver(file: string, writer: Client): Promise<Store> {
  const writeDb = drizzle(writer, { schema });
  const reader = createClient({ url: pathToFileURL(file).href, concurrency: 1, intMode: 'number' });
  await reader.execute('PRAGMA busy_timeout = 5000');
  await reader.execute('PRAGMA query_only = ON');
  const turn = inTurn();
  const listeners: ((touched: Touched) => void)[] = [];
  const transact = async <T>(work: (tx: Tx) => Promise<T>): Promise<T> => {
    let touched: Touched | undefined;
    const result = await writeDb.transaction(async (tx) => {
      const answer = await work(tx);
      const touching = touchedIn(tx);
      touched = touching && { ...touching, seq: await stamp(tx, touching) };
      return answer;
    });
    if (touched) for (const hear of listeners) hear(touched);
    return result;
  };
  return {
    read: drizzle(reader, { schema }),
    write: (work) => turn(() => transact(work)),
    exclusive: (work) =>
      turn(async () => {
        const { answer, touched } = await work();
        for (const each of touched) for (const hear of listeners) hear(each);
        return answer;
      }),
    onTouched: (hear) => listeners.push(hear),
    integrity: async () => {
      const { rows } = await reader.execute('PRAGMA integrity_check');
      return rows.map((row) => JSON.stringify(row[0])).join() === '"ok"' ? 'ok' : JSON.stringify(rows);
    },
    copyInto: (path) =>
      turn(async () => {
        await writer.execute({ sql: 'vacuum into ?', args: [path] });
      }),
    close: () => {
      reader.close();
      writer.close();
    },
  };
}
