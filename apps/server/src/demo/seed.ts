import { mkdirSync, rmSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { holdAlone } from '../db/holdAlone';
import { openStore } from '../db/open';
import { systemPorts } from '../services/ports';
import { restoreDocument } from '../services/restore';
import { endWith, sayWhyNot } from '../start';
import { demoRoom } from './room';

/**
 * Fills a stash with the demo room: a new one, or with `--fresh` in the place of what was there; never one that a server
 * has open. RED_SHELF_TODAY (an ISO date) makes the room of another day.
 */
const today = process.env.RED_SHELF_TODAY;
const db = resolve(process.env.RED_SHELF_DB ?? 'data/demo.db');
try {
  mkdirSync(dirname(db), { recursive: true, mode: 0o700 });
  const release = await holdAlone(db);
  if (process.argv.includes('--fresh'))
    for (const end of ['', '-wal', '-shm']) rmSync(db + end, { force: true });
  const store = await openStore(db, resolve(process.env.RED_SHELF_MIGRATIONS ?? 'apps/server/drizzle'));
  const room = demoRoom(today ? Date.parse(today) : Date.now());
  await restoreDocument({ store, ports: systemPorts }, room);
  store.close();
  release();
  console.log(`${room.supplies.length} supplies, ${room.units.length} units, ${room.events.length} events`);
} catch (error) {
  endWith(await sayWhyNot(error, db));
}
