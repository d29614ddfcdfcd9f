import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import type { Readable } from '../db/tx';
import type { Context } from './context';
import { PHOTO_FILE } from './photos';

/** A picture may wait so long for the supply that is being entered with it. */
const WAITS_MS = 7 * 86_400_000;

/** Whether anything speaks of a picture: a supply, removed or not, or what it takes to undo or restore something. */
async function isNamed(db: Readable, id: string): Promise<boolean> {
  const named = await db.all(
    sql`select 1 from supplies where instr(facts, ${id}) > 0
        union all select 1 from changes where instr(inverse, ${id}) > 0
        union all select 1 from snapshots where instr(document, ${id}) > 0 limit 1`,
  );
  return named.length > 0;
}

/** Removes pictures that nothing speaks of, and halves of files that a crash left. Answers how many files went. */
export async function sweepPhotos({ store, photos, ports }: Context): Promise<number> {
  if (!photos) return 0;
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
