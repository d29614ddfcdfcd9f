import { open, readdir, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { sql } from 'drizzle-orm';
import { ownFiles } from '../db/ownFiles';
import type { Readable } from '../db/tx';
import type { Context } from './context';
import { PHOTO_FILE } from './photos';

/** A picture may wait so long for the supply that is being entered with it. */
const WAITS_MS = 7 * 86_400_000;

/** Whether anything speaks of a picture: a supply or a unit, removed or not, or what it takes to undo or restore something. */
async function isNamed(db: Readable, id: string): Promise<boolean> {
  const named = await db.all(
    sql`select 1 from supplies where instr(facts, ${id}) > 0
        union all select 1 from units where instr(facts, ${id}) > 0
        union all select 1 from changes where instr(inverse, ${id}) > 0
        union all select 1 from snapshot_pieces where instr(piece, ${id}) > 0 limit 1`,
  );
  return named.length > 0;
}

const HEAD = 'SQLite format 3';
async function isDatabase(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const { buffer } = await file.read(Buffer.alloc(HEAD.length), 0, HEAD.length, 0);
    return buffer.toString('latin1') === HEAD;
  } finally {
    await file.close();
  }
}

const inodeOf = async (path: string): Promise<number | null> =>
  (await stat(path).catch(() => null))?.ino ?? null;

/** Whether another stash lies beside this one: the pictures may be its. */
async function hasNeighbour(db: string): Promise<boolean> {
  const own = new Set(await Promise.all(ownFiles(db).map(inodeOf)));
  for (const each of await readdir(dirname(db), { withFileTypes: true })) {
    const path = join(dirname(db), each.name);
    // By inode: its own files must not be opened under another name either.
    if (each.isFile() && !own.has(await inodeOf(path)) && (await isDatabase(path))) return true;
  }
  return false;
}

/** Whether there is anything to look through. */
export const hasPhotos = async (folder: string): Promise<boolean> =>
  (await readdir(folder).catch(() => [])).length > 0;

/**
 * Removes pictures that nothing speaks of, and halves of files that a crash left. Answers how many files went. Where
 * another stash lies in the same folder nothing goes: its pictures are in the same place.
 */
export async function sweepPhotos({ store, photos, ports }: Context, db: string): Promise<number> {
  if (!photos || (await hasNeighbour(db))) return 0;
  const before = Date.parse(ports.now()) - WAITS_MS;
  let gone = 0;
  for (const name of await readdir(photos.folder).catch(() => [])) {
    const path = join(photos.folder, name);
    const { mtimeMs, size } = await stat(path);
    if (mtimeMs > before) continue;
    const half = name.endsWith('.part') || size === 0;
    const id = PHOTO_FILE.test(name) ? (name.split('.')[0] ?? '') : '';
    if (!half && (id === '' || (await isNamed(store.read, id)))) continue;
    await rm(path, { force: true });
    gone++;
  }
  return gone;
}
