import { dirname } from 'node:path';
import { newPassphrase } from '@red-shelf/contract';
import { z } from 'zod';
import { StashGone } from './db/fileIdentity';
import { InUse } from './db/holdAlone';
import { NotOpened } from './db/lookFirst';
import { copiesOf } from './services/copies';

const WRONG_PORT = 'PORT must be a whole number from 0 to 65535.';
const settings = z.object({
  RED_SHELF_DB: z.string().default('data/stash.db'),
  RED_SHELF_MIGRATIONS: z.string().default('apps/server/drizzle'),
  RED_SHELF_WEB: z.string().default('apps/web/dist'),
  PORT: z.coerce.number(WRONG_PORT).int(WRONG_PORT).min(0, WRONG_PORT).max(65535, WRONG_PORT).default(4310),
  /** `house`, or addresses of this computer parted by commas; left out, nobody else reaches the stash. */
  RED_SHELF_SHARE: z.string().optional(),
  /** For a computer nobody sits at; else it is set in the app. */
  RED_SHELF_PASSPHRASE: newPassphrase.optional(),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('warn'),
});

export type Settings = z.infer<typeof settings>;

/** What the database driver says, without a code, where SQLite could not open a file (SQLITE_CANTOPEN is 14). */
const CANNOT_OPEN = /^ConnectionFailed\(.*: 14"\)$/;

/** Ends the program with a sentence. */
export function endWith(sentence: string): never {
  console.error(`Red Shelf could not start. ${sentence}`);
  process.exit(1);
}

/** Settings from the environment; paths are taken from the folder the server is started in. */
export function settingsOf(env: NodeJS.ProcessEnv): Settings {
  const read = settings.safeParse(env);
  return read.success ? read.data : endWith(read.error.issues.map(({ message }) => message).join(' '));
}

/** What to do about a stash that cannot be opened: the newest copy, if there is one. */
async function wayOut(db: string): Promise<string> {
  const [newest] = await copiesOf(db);
  return newest
    ? `Nothing was changed. The newest good copy is ${newest}: put it in the place of ${db}, without the files beside that end in -wal and -shm, and start again.`
    : 'Nothing was changed. There is no copy of it in the folder “copies” beside it; bring back a backup if you have one.';
}

/** Why the program does not start: what, why, what to do. */
export async function sayWhyNot(error: unknown, db: string, port?: number): Promise<string> {
  if (error instanceof InUse || error instanceof StashGone) return error.message;
  if (error instanceof NotOpened)
    return error.code === 'damaged' ? `${error.message} ${await wayOut(db)}` : error.message;
  for (let at = error; at instanceof Error; at = at.cause) {
    const code = (at as NodeJS.ErrnoException).code ?? '';
    if (code === 'EADDRINUSE')
      return `Another program answers on port ${port}. End it, or choose another port: PORT=4311 npm start.`;
    if (code === 'EACCES' && port !== undefined)
      return `The system does not let this program answer on port ${port}. Choose one above 1023: PORT=4310 npm start.`;
    if (/^(SQLITE_FULL|ENOSPC|EDQUOT)/.test(code))
      return `The disk with ${dirname(db)} is full. Make room on it, and start again; nothing was changed.`;
    if (
      /^(EEXIST|SQLITE_READONLY|SQLITE_CANTOPEN|EACCES|EPERM|EROFS|ENOTDIR)/.test(code) ||
      CANNOT_OPEN.test(at.message)
    )
      return `${dirname(db)} cannot be written to. Allow writing there, or name another place: RED_SHELF_DB=… npm start.`;
    if (/^(SQLITE_CORRUPT|SQLITE_NOTADB)/.test(code))
      return `The stash in ${db} is damaged. ${await wayOut(db)}`;
  }
  return `Something went wrong in Red Shelf itself: ${error instanceof Error ? error.message : String(error)}`;
}
