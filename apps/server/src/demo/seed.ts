import { resolve } from 'node:path';
import { openStore } from '../db/open';
import { systemPorts } from '../services/ports';
import { restoreDocument } from '../services/restore';
import { demoRoom } from './room';

/** Fills a new stash with the demo room. RED_SHELF_TODAY (an ISO date) makes the room of another day. */
const today = process.env.RED_SHELF_TODAY;
const store = await openStore(
  resolve(process.env.RED_SHELF_DB ?? 'data/demo.db'),
  resolve(process.env.RED_SHELF_MIGRATIONS ?? 'apps/server/drizzle'),
);
const room = demoRoom(today ? Date.parse(today) : Date.now());
await restoreDocument({ store, ports: systemPorts }, room);
store.close();
console.log(`${room.supplies.length} supplies, ${room.units.length} units, ${room.events.length} events`);
