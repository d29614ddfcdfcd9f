import { open, type FileHandle } from 'node:fs/promises';
import type { Client } from '@libsql/client';

/** Where SQLite writes a change first, beside the file. */
const logBeside = (file: string): string => `${file}-wal`;

/** How long the log may grow before the writer itself carries it over, pages of 4 KB: seldom where others wait for it, soon where none does. */
export const CARRIED_OVER_AT = { byTheServer: 10_000, byAHelper: 1_000 } as const;

/**
 * How a connection writes. SQLite would put each change on the disk in the middle of its commit, and now and then carry the whole
 * log over into the file there, while nobody is answered. So it leaves the first to `logSync`, and the second, up to so many
 * pages, to `carryOver` in another process. A file system without such a log gets SQLite's own care.
 */
export async function logWell(writer: Client, pages: number): Promise<{ readonly logged: boolean }> {
  const { rows } = await writer.execute('PRAGMA journal_mode = WAL');
  const logged = rows[0]?.[0] === 'wal';
  await writer.execute(`PRAGMA synchronous = ${logged ? 'NORMAL' : 'FULL'}`);
  await writer.execute(`PRAGMA wal_autocheckpoint = ${pages}`);
  return { logged };
}

/**
 * Puts on the disk what was committed: it may be acknowledged once that ends. The log stays open for that, so that a process that
 * has no file handle left can go on writing. SQLite holds its locks on other files, so none is let go when it is closed.
 */
export function logSync(file: string): { readonly sync: () => Promise<void>; readonly close: () => void } {
  let log: Promise<FileHandle> | undefined;
  const opened = (): Promise<FileHandle> =>
    (log ??= open(logBeside(file), 'r+').catch((error: unknown) => {
      log = undefined;
      throw error;
    }));
  return {
    sync: async () => (await opened()).datasync(),
    close: () => void log?.then((handle) => handle.close()).catch(() => undefined),
  };
}

/** Carries the log over into the file, as far as nobody is reading the old state; no write waits for it. */
export const carryOver = async (client: Client): Promise<void> =>
  void (await client.execute('PRAGMA wal_checkpoint(PASSIVE)'));
