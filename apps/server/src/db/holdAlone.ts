import { existsSync, readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { z } from 'zod';
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

/**
 * Holds a stash for this program alone until it ends, however it ends: two would each not see what the other writes. The
 * lock is one of the system's, on a file beside the stash; nothing has to be tidied up after a crash.
 */
export async function holdAlone(file: string): Promise<() => void> {
  const client = createClient({ url: pathToFileURL(lockBeside(file)).href, concurrency: 1 });
  try {
    await client.execute('PRAGMA busy_timeout = 200');
    const held = await client.transaction('write');
    return () => {
      held.close();
      client.close();
    };
  } catch (error) {
    client.close();
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) throw new InUse(file);
    throw error;
  }
}
