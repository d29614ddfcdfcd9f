import { open } from 'node:fs/promises';
import type { Client } from '@libsql/client';

/** Where SQLite writes a change first, beside the file. */
const logBeside = (file: string): string => `${file}-wal`;

/**
 * How a connection writes. SQLite would put each change on the disk in the middle of its commit, and now and then carry the whole
 * log over into the file there, while nobody is answered. So it leaves the first to `syncLog`, and the second, up to a
 * limit, to `carryOver` in another process. A file system without such a log gets SQLite's own care.
 */
export async function logWell(writer: Client): Promise<{ readonly logged: boolean }> {
  const { rows } = await writer.execute('PRAGMA journal_mode = WAL');
  const logged = rows[0]?.[0] === 'wal';
  await writer.execute(`PRAGMA synchronous = ${logged ? 'NORMAL' : 'FULL'}`);
  await writer.execute(`PRAGMA wal_autocheckpoint = ${MOST_PAGES}`);
  return { logged };
}
/** So long may the log grow where nobody carries it over, pages of 4 KB. */
const MOST_PAGES = 10_000;

/** Puts on the disk what was committed: it may be acknowledged once this ends. */
export async function syncLog(file: string): Promise<void> {
  const log = await open(logBeside(file), 'r+');
  try {
    await log.datasync();
  } finally {
    await log.close();
  }
}

/** Carries the log over into the file, as far as nobody is reading the old state; no write waits for it. */
export const carryOver = async (client: Client): Promise<void> =>
  void (await client.execute('PRAGMA wal_checkpoint(PASSIVE)'));
