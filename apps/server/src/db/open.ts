import { chmodSync, closeSync, existsSync, mkdirSync, openSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, parse } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { bringOver } from './bringOver';
import { fileIdentity, StashGone } from './fileIdentity';
import { inTurn } from './inTurn';
import { CARRIED_OVER_AT, carryOver, logSync, logWell } from './log';
import { lookFirst } from './lookFirst';
import * as schema from './schema';
import { settle } from './settle';
import { breatheIfLong, stamp, touchedIn, type Readable, type Touched, type Tx } from './tx';

export interface Store {
  /** Which file it is, whatever its path (`fileIdentity`). */
  readonly identity: string;
  /** For reading outside a transaction. */
  readonly read: Readable;
  /** Runs one transaction; writes wait for one another, so SQLite never has to refuse one. */
  readonly write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
  /**
   * Keeps the writes' turn while another process writes, and tells afterwards what that touched. No transaction is open.
   */
  readonly exclusive: <T>(work: () => Promise<Written<T>>) => Promise<T>;
  /** Reads one state of the stash, whatever is written meanwhile; no write waits for it. */
  readonly snapshot: <T>(work: (db: Readable) => Promise<T>) => Promise<T>;
  /** Told after every write what it touched. */
  readonly onTouched: (hear: (touched: Touched) => void) => void;
  /** SQLite's own integrity check; `ok` when the file is sound. */
  readonly integrity: () => Promise<string>;
  /** Writes all of it into a file that is not there yet, and opens by itself: one state, as small as it can be. */
  readonly copyInto: (file: string) => Promise<void>;
  /** Carries SQLite's log over into the file; no write waits for it. */
  readonly carryOver: () => Promise<void>;
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
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  await lookFirst(file, migrationsFolder);
  ownRights(file);
  const writing = await writerOf(file, CARRIED_OVER_AT.byTheServer);
  const writeDb = drizzle(writing.writer, { schema });
  await migrate(writeDb, { migrationsFolder });
  await writeDb.transaction(bringOver);
  await writeDb.transaction(settle);
  return storeOver(file, writing);
}

/** A stash is its person's own business: nobody else reads it. What SQLite keeps beside it gets the same rights. */
function ownRights(file: string): void {
  if (existsSync(file)) chmodSync(file, 0o600);
  else closeSync(openSync(file, 'wx', 0o600));
}

/**
 * Opens a stash file that another process has open, and has brought to the current shape. Throws StashGone where it is not
 * there, or is another than the one of that `identity`; it never makes one.
 */
export async function joinStore(file: string, identity = fileIdentity(file)): Promise<Store> {
  // Opening would make a new, empty one.
  if (identity === undefined || fileIdentity(file) !== identity) throw new StashGone(file);
  const store = await storeOver(file, await writerOf(file, CARRIED_OVER_AT.byAHelper));
  if (fileIdentity(file) === identity) return store;
  store.close();
  throw new StashGone(file);
}

interface Writer {
  readonly writer: Client;
  /** What is committed stands in SQLite's log first, and has to be put on the disk. */
  readonly logged: boolean;
}
async function writerOf(file: string, pages: number): Promise<Writer> {
  const writer = createClient({ url: pathToFileURL(file).href, concurrency: 1, intMode: 'number' });
  // First of all how long to wait: another process may be closing the file, and what follows asks for it.
  await writer.execute('PRAGMA busy_timeout = 5000');
  const { logged } = await logWell(writer, pages);
  await writer.execute('PRAGMA foreign_keys = ON');
  return { writer, logged };
}

async function storeOver(file: string, { writer, logged }: Writer): Promise<Store> {
  const writeDb = drizzle(calm(writer), { schema });
  const reader = createClient({ url: pathToFileURL(file).href, concurrency: 1, intMode: 'number' });
  await reader.execute('PRAGMA busy_timeout = 5000');
  await reader.execute('PRAGMA query_only = ON');
  const log = logSync(file);
  const identity = fileIdentity(file);
  const inOwnTurn = inTurn();
  let gone: StashGone | undefined;
  /** Refuses where the file is not the one that was opened any more; what was known up to then is saved once. */
  const refuseGone = async (): Promise<void> => {
    if (gone === undefined && fileIdentity(file) === identity) return;
    gone ??= new StashGone(file, await rescue(writer, file));
    throw gone;
  };
  /** One write after another; each looks at the file before it begins, and before it is acknowledged. */
  const turn = <T>(work: () => Promise<T>): Promise<T> =>
    inOwnTurn(async () => {
      await refuseGone();
      const answer = await work();
      await refuseGone();
      return answer;
    });
  const listeners: ((touched: Touched) => void)[] = [];
  const transact = async <T>(work: (tx: Tx) => Promise<T>): Promise<T> => {
    let touched: Touched | undefined;
    const result = await writeDb.transaction(async (tx) => {
      const answer = await work(tx);
      const touching = touchedIn(tx);
      touched = touching && { ...touching, seq: await stamp(tx, touching) };
      return answer;
    });
    // It is done, and so it is told, even where the disk then fails.
    if (touched) for (const hear of listeners) hear(touched);
    if (logged) await log.sync();
    return result;
  };
  return {
    identity: identity ?? '',
    read: drizzle(calm(reader), { schema }),
    write: (work) => turn(() => transact(work)),
    exclusive: (work) =>
      turn(async () => {
        const { answer, touched } = await work();
        for (const each of touched) for (const hear of listeners) hear(each);
        return answer;
      }),
    snapshot: async (work) => {
      if (fileIdentity(file) !== identity) throw gone ?? new StashGone(file);
      const client = createClient({ url: pathToFileURL(file).href, concurrency: 1, intMode: 'number' });
      try {
        return await reading(client, work);
      } finally {
        client.close();
      }
    },
    onTouched: (hear) => listeners.push(hear),
    integrity: async () => {
      const { rows } = await reader.execute('PRAGMA integrity_check');
      return rows.map((row) => JSON.stringify(row[0])).join() === '"ok"' ? 'ok' : JSON.stringify(rows);
    },
    copyInto: (path) =>
      turn(async () => {
        await writer.execute({ sql: 'vacuum into ?', args: [path] });
        chmodSync(path, 0o600);
      }),
    carryOver: () => carryOver(writer),
    close: () => {
      log.close();
      reader.close();
      writer.close();
    },
  };
}

/** A client, or a transaction of it, that lets others have their turn between two statements. */
function calm<C extends Pick<Client, 'execute' | 'batch'>>(client: C): C {
  return new Proxy(client, {
    get(of, name) {
      const value = Reflect.get(of, name) as unknown;
      if (typeof value !== 'function') return value;
      const call = value.bind(of) as (...given: unknown[]) => unknown;
      if (name === 'transaction')
        return async (...given: unknown[]) =>
          calm((await call(...given)) as Pick<Client, 'execute' | 'batch'>);
      if (name !== 'execute' && name !== 'batch') return call;
      return async (...given: unknown[]) => {
        await breatheIfLong();
        return call(...given);
      };
    },
  });
}

/**
 * Does work inside a transaction that only reads: in WAL mode it sees what was there at its first read, and locks out nobody.
 * Drizzle's own transactions always lock for writing, so it is given the open one in the place of a client.
 */
async function reading<T>(client: Client, work: (db: Readable) => Promise<T>): Promise<T> {
  const tx = await client.transaction('deferred');
  try {
    const inside: Pick<Client, 'execute' | 'batch'> = {
      execute: (...statement: [never]) => tx.execute(...statement),
      batch: (statements) => tx.batch(statements as never),
    };
    return await work(drizzle(inside as Client, { schema }));
  } finally {
    tx.close();
  }
}

/** Writes what a connection still holds of a file that is gone beside it, or where temporary files lie; null where neither goes. */
async function rescue(writer: Client, file: string): Promise<string | null> {
  const name = `${parse(file).name}-rescued-${new Date().toISOString().replace(/[:.]/g, '-')}.db`;
  for (const folder of [dirname(file), tmpdir()]) {
    const path = join(folder, name);
    try {
      await writer.execute({ sql: 'vacuum into ?', args: [path] });
      chmodSync(path, 0o600);
      return path;
    } catch {
      // The next folder, if there is one.
    }
  }
  return null;
}
