/**
 * Makes a stash of 5,000 supplies with 100,000 uses and prints how long the server takes for every list of gaps: the first
 * time after a start, and after a purchase. Needs the server built (npm run demo builds it).
 *   npx tsx scripts/gaps.mts [supplies] [uses]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStore } from '../apps/server/src/db/open.ts';
import { systemPorts } from '../apps/server/src/services/ports.ts';
import { restoreDocument } from '../apps/server/src/services/restore.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { bigRoom } from './big/room.mts';
import { sized } from './figures/size.mts';

const [SUPPLIES, USES] = [5000, 100_000].map((usual, i) => Number(process.argv[i + 2] ?? usual)) as [
  number,
  number,
];
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-gaps-'));
const db = join(folder, 'stash.db');
const store = await openStore(db, 'apps/server/drizzle');
await restoreDocument({ store, ports: systemPorts }, bigRoom(SUPPLIES, USES));
store.close();
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });

async function timed(path: string): Promise<number> {
  const begun = performance.now();
  const answer = await fetch(`${url}${path}`);
  const body = await answer.text();
  if (!answer.ok) throw new Error(body);
  return performance.now() - begun;
}
console.log(`${SUPPLIES} supplies, ${USES} uses`);
console.log(`the whole stash, first: ${(await timed('/api/supplies')).toFixed(0)} ms`);
// The server reads the ledger by itself once it is up.
await new Promise((go) => setTimeout(go, sized(5000, 500)));
console.log(`gaps, first, five seconds after the start: ${(await timed('/api/gaps')).toFixed(0)} ms`);
const again: number[] = [];
for (let i = 0; i < 9; i++) {
  const used = await fetch(`${url}/api/supplies/big-00000${i}/ledger`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'Command-Id': `measured-use-${i}` },
    body: JSON.stringify({ act: 'buy', amount: 1 }),
  });
  if (!used.ok) throw new Error(await used.text());
  again.push(await timed('/api/gaps'));
}
again.sort((p, q) => p - q);
console.log(`gaps after a purchase: median ${again[4]?.toFixed(0)} ms, longest ${again[8]?.toFixed(0)} ms`);
const pictures: number[] = [];
for (let i = 0; i < 9; i++) pictures.push(await timed('/api/figures'));
pictures.sort((p, q) => p - q);
console.log(
  `figures for the charts: median ${pictures[4]?.toFixed(0)} ms, longest ${pictures[8]?.toFixed(0)} ms`,
);
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
