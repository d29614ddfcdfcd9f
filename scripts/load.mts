/**
 * Asks a server with 10,000 supplies for 200 mixed things a second for 30 s, whether or not it has answered the ones
 * before, and prints how long it took to answer. Needs the server built (npm run demo builds it).
 *   npx tsx scripts/load.mts [how many supplies] [requests a second] [seconds]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStore } from '../apps/server/src/db/open.ts';
import { systemPorts } from '../apps/server/src/services/ports.ts';
import { restoreDocument } from '../apps/server/src/services/restore.ts';
import { randomStream } from '../apps/server/src/demo/random.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { bigRoom } from './big/room.mts';

const [COUNT, RATE, SECONDS] = [10_000, 200, 30].map((usual, i) => Number(process.argv[i + 2] ?? usual));
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-load-'));
const db = join(folder, 'stash.db');
const store = await openStore(db, 'apps/server/drizzle');
await restoreDocument({ store, ports: systemPorts }, bigRoom(COUNT));
store.close();
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });

const agent = new Agent({ keepAlive: true, maxSockets: 64 });
function send(method: string, path: string, body?: object): Promise<{ status: number; text: string }> {
  return new Promise((resolve, reject) => {
    const text = body && JSON.stringify(body);
    const headers = text ? { 'Content-Type': 'application/json' } : {};
    const asked = request(url + path, { method, agent, headers }, (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () =>
        resolve({
          status: response.statusCode ?? 0,
          text: Buffer.concat(parts).toString(),
        }),
      );
    });
    asked.on('error', reject);
    asked.end(text);
  });
}

interface Row {
  readonly id: string;
  readonly holdings: readonly { readonly id: string }[];
}
const list = await send('GET', '/api/supplies');
const { supplies, seq } = JSON.parse(list.text) as { supplies: Row[]; seq: number };
/** What each of some devices knows. */
const known = Array<number>(20).fill(seq);
const random = randomStream(7);
const some = (): Row => supplies[Math.floor(random() * supplies.length)] ?? supplies[0]!;
const note = (body: object) => send('POST', `/api/supplies/${some().id}/ledger`, body);

async function catchUp(device: number): Promise<{ status: number }> {
  const answer = await send('GET', `/api/since/${known[device]}`);
  known[device] = (JSON.parse(answer.text) as { seq: number }).seq;
  return answer;
}

/** What a household of phones asks for: mostly looking, now and then noting something; a new device takes all. */
const MIX: readonly [number, string, () => Promise<{ status: number }>][] = [
  [46, 'one supply', () => send('GET', `/api/supplies/${some().id}`)],
  [28, 'what changed', () => catchUp(Math.floor(random() * known.length))],
  [1, 'the whole list', () => send('GET', '/api/supplies')],
  [5, 'walls', () => send('GET', '/api/wall')],
  [5, 'records', () => send('GET', '/api/records')],
  [4, 'journal', () => send('GET', '/api/changes')],
  [6, 'use', () => note({ act: 'use', amount: 1 })],
  [3, 'buy', () => note({ act: 'buy', amount: 1 })],
  [2, 'nonsense', () => note({ act: 'use', amount: -1 })],
];
const WHOLE = MIX.reduce((sum, [share]) => sum + share, 0);
function pick(): (typeof MIX)[number] {
  let at = random() * WHOLE;
  for (const each of MIX) if ((at -= each[0]) < 0) return each;
  return MIX[0]!;
}

const took = new Map<string, number[]>();
let [failed, open] = [0, 0];
const start = performance.now();
await new Promise<void>((resolve) => {
  let sent = 0;
  const tick = setInterval(() => {
    const due = Math.min(RATE! * SECONDS!, Math.floor(((performance.now() - start) / 1000) * RATE!));
    while (sent < due) {
      sent++;
      open++;
      const [, name, ask] = pick();
      const at = performance.now();
      ask()
        .then(({ status }) => {
          if (status >= 500) failed++;
          took.set(name, [...(took.get(name) ?? []), performance.now() - at]);
        })
        .catch(() => failed++)
        .finally(() => {
          if (--open === 0 && sent === RATE! * SECONDS!) resolve();
        });
    }
    if (sent === RATE! * SECONDS!) clearInterval(tick);
  }, 5);
});
const at = (sorted: number[], share: number): string =>
  (sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN).toFixed(0);
const say = (name: string, times: number[]): void => {
  const sorted = [...times].sort((p, q) => p - q);
  console.log(
    `${name}: ${sorted.length}, p50 ${at(sorted, 0.5)} ms, p99 ${at(sorted, 0.99)} ms, slowest ${at(sorted, 1)} ms`,
  );
};
for (const [name, times] of took) say(`  ${name}`, times);
say(`${RATE} requests a second for ${SECONDS} s, ${COUNT} supplies`, [...took.values()].flat());
console.log(`answered with a fault of the server, or not at all: ${failed}`);
agent.destroy();
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
