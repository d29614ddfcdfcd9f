import { openStore } from '../../apps/server/src/db/open.ts';
import { systemPorts } from '../../apps/server/src/services/ports.ts';
import { restoreDocument } from '../../apps/server/src/services/restore.ts';
import { roomOfAll } from '../arrange/room.mts';
import { at, run } from '../lib.mjs';

/** A stash of the demo room, or of so many supplies with racks for them, in a new file. */
export async function stashOf(size: string, db: string): Promise<void> {
  if (size === 'demo')
    return run('node', [at('apps/server/dist/seed.js')], { env: { RED_SHELF_DB: db }, quiet: true });
  const store = await openStore(db, 'apps/server/drizzle');
  await restoreDocument({ store, ports: systemPorts }, roomOfAll(Number(size)).document);
  store.close();
}
