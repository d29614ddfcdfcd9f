/**
 * How long a purchase waits while others export, back up, preview lists and hang up again, at 10,000 supplies and 100,000 events.
 * Needs the server built (npm run demo builds it).
 *   npx tsx scripts/waiting.mts [supplies] [events]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStore } from '../apps/server/src/db/open.ts';
import { systemPorts } from '../apps/server/src/services/ports.ts';
import { restoreDocument } from '../apps/server/src/services/restore.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { askAndLeave } from './attack/leave.mts';
import { bigRoom } from './big/room.mts';

const [SUPPLIES, EVENTS] = [10_000, 100_000].map((usual, i) => Number(process.argv[i + 2] ?? usual)) as [
  number,
  number,
];
const SETTLED_MS = SUPPLIES >= 10_000 ? 8000 : 500;
const PATIENCE_MS = 300;
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-waiting-'));
const db = join(folder, 'stash.db');
const store = await openStore(db, 'apps/server/drizzle');
await restoreDocument({ store, ports: systemPorts }, bigRoom(SUPPLIES, Math.max(0, EVENTS - SUPPLIES)));
store.close();
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });
await fetch(`${url}/api/supplies`).then((answer) => answer.arrayBuffer());
await new Promise((go) => setTimeout(go, SETTLED_MS));

let bought = 0;
async function buy(): Promise<number> {
  const begun = performance.now();
  const answer = await fetch(`${url}/api/supplies/big-${String(bought % 100).padStart(6, '0')}/ledger`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'Command-Id': `waiting-${bought++}` },
    body: JSON.stringify({ act: 'buy', amount: 1 }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  await answer.arrayBuffer();
  return performance.now() - begun;
}
const all: number[] = [];
/** Buys again and again while something else goes on. */
async function during(what: string, work: () => Promise<unknown>): Promise<void> {
  let going = true;
  const done = work().finally(() => (going = false));
  const took: number[] = [];
  while (going || took.length < 3) {
    took.push(await buy());
    await new Promise((go) => setTimeout(go, 40));
  }
  await done.catch(() => undefined);
  all.push(...took);
  took.sort((p, q) => p - q);
  console.log(
    `${what}: median ${took[took.length >> 1]?.toFixed(0)} ms, longest ${took.at(-1)?.toFixed(0)} ms of ${took.length}`,
  );
}
const get = (path: string) => fetch(url + path).then((answer) => answer.arrayBuffer());

const rows = Array.from(
  { length: Math.min(20_000, SUPPLIES) },
  (_, i) => `New ${i},#${(i * 37).toString(16).padStart(6, '0')}`,
);
const upload = await fetch(`${url}/api/imports`, {
  method: 'POST',
  headers: { 'Content-Type': 'application/octet-stream' },
  body: `name,colour\n${rows.join('\n')}`,
});
const { id, mapping } = (await upload.json()) as { id: string; mapping: object };
const previewUrl = `${url}/api/imports/${id}/preview`;
const asked = { mapping, defaults: { kind: 'ink' } };
const preview = () =>
  fetch(previewUrl, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(asked),
  }).then((answer) => answer.arrayBuffer());

await during('export.json', () => get('/api/export.json'));
await during('backup.zip', () => get('/api/backup.zip'));
await during('export.csv', () => get('/api/export.csv'));
await during('two previews of a list', () => Promise.all([preview(), preview()]));
await during('six previews whose clients have gone, and an export', async () => {
  await Promise.all(Array.from({ length: 6 }, () => askAndLeave(previewUrl, asked, PATIENCE_MS)));
  await get('/api/export.json');
});
all.sort((p, q) => p - q);
console.log(
  `a purchase meanwhile: median ${all[all.length >> 1]?.toFixed(0)} ms, 99 of 100 within ${all[Math.floor(all.length * 0.99)]?.toFixed(0)} ms, longest ${all.at(-1)?.toFixed(0)} ms`,
);
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
