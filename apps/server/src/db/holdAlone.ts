import { closeSync, existsSync, mkdirSync, openSync, readFileSync, realpathSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { z } from 'zod';
import { fileIdentity } from './fileIdentity';
import { lockBeside, openedBeside } from './ownFiles';

const opened = z.object({ url: z.string(), pid: z.int() });

/** Another program has the stash open. */
export class InUse extends Error {
  constructor(file: string) {
    const beside = openedBeside(file);
    const read = existsSync(beside)
      ? opened.safeParse(JSON.parse(readFileSync(beside, 'utf8'))).data
      : undefined;
    super(
      `Another Red Shelf has this stash open${read ? `: ${read.url} (process ${read.pid})` : ''}. Use that one, or end it first.`,
    );
  }
}

/** Holds one lock until it is let go or the process ends, however it ends; it is one of the system's, on a file of its own. */
async function hold(lock: string): Promise<() => void> {
  const client = createClient({ url: pathToFileURL(lock).href, concurrency: 1 });
  try {
    await client.execute('PRAGMA busy_timeout = 200');
    const held = await client.transaction('write');
    return () => {
      held.close();
      client.close();
    };
  } catch (error) {
    client.close();
    throw error;
  }
}

/** The lock of a file by what it is: a hard link to it has the same one. Made new, if there is no file yet. */
function lockOfItself(file: string): string {
  if (!existsSync(file)) closeSync(openSync(file, 'a', 0o600));
  const folder = join(tmpdir(), `red-shelf-locks-${userInfo().username}`);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return join(folder, fileIdentity(file) ?? '');
}

/**
 * Holds a stash for this program alone until it ends, however it ends: two would each not see what the other writes. It is
 * held by the file itself (device and inode) and by where it really lies, so that no link leads past the lock. Throws InUse.
 */
export async function holdAlone(file: string): Promise<() => void> {
  const itself = lockOfItself(file);
  const real = realpathSync(file);
  const held: (() => void)[] = [];
  try {
    for (const lock of [lockBeside(real), itself]) held.push(await hold(lock));
    return () => held.forEach((release) => release());
  } catch (error) {
    held.forEach((release) => release());
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) throw new InUse(real);
    throw error;
  }
}
