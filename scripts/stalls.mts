/**
 * Prints the longest gap of the server's event loop, ms, for everything that once held it up, at 10,000 supplies and 100,000
 * events in 120 places: the median and the longest of so many runs, each with a server and a stash of its own. In the end the
 * same under ordinary use. Needs the server built (npm run demo builds it).
 *   npx tsx scripts/stalls.mts [supplies] [events] [runs] [only those named so]
 * With STALLS_PROFILE=folder each run leaves a profile of the processor there.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { openStore } from '../apps/server/src/db/open.ts';
import { systemPorts } from '../apps/server/src/services/ports.ts';
import { restoreDocument } from '../apps/server/src/services/restore.ts';
import { KINDS } from '../packages/core/src/index.ts';
import { roomOfAll } from './arrange/room.mts';
import { sized } from './figures/size.mts';

const [SUPPLIES, EVENTS, RUNS] = [10_000, 100_000, 3].map((usual, i) =>
  Number(process.argv[i + 2] ?? usual),
) as [number, number, number];
const ONLY = process.argv[5] ?? '';
/** Goals, ms: in the median run, and never. */
const [GOAL_MS, NEVER_MS] = [50, 200];
const WATCHED_MS = sized(60_000, 500);
const SETTLED_MS = sized(200, 20);
const PLACES = sized(120, 6);
const PICTURE = sized({ width: 4000, height: 3000 }, { width: 400, height: 300 });
const OLD_PHOTOS = Math.ceil(SUPPLIES / 20);
const MANY = Math.min(2000, Math.floor(SUPPLIES / 5));
const profiles = process.env.STALLS_PROFILE;

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-stalls-'));
const made = join(folder, 'made.db');
const { document, unitIds } = roomOfAll(SUPPLIES, Math.max(0, EVENTS - SUPPLIES), PLACES);
const store = await openStore(made, 'apps/server/drizzle');
await restoreDocument({ store, ports: systemPorts }, document);
store.close();

interface Gap {
  readonly longest: number;
  readonly busy: number;
}
const gaps = new Map<string, Gap[]>();

/** A server over a copy of the stash, with pictures beside it that the daily sweep looks for. */
async function start(run: number) {
  const home = join(folder, `run-${run}`);
  mkdirSync(join(home, 'photos'), { recursive: true });
  const db = join(home, 'stash.db');
  // What was written last may lie in the log beside it still.
  for (const end of ['', '-wal']) if (existsSync(made + end)) copyFileSync(made + end, db + end);
  const long = new Date(Date.now() - 30 * 86_400_000);
  for (let i = 0; i < OLD_PHOTOS; i++) {
    const file = join(home, `photos/${String(i).padStart(8, '0')}.jpg`);
    writeFileSync(file, Buffer.from([0xff, 0xd8, 0xff]));
    utimesSync(file, long, long);
  }
  const profile = profiles
    ? ['--cpu-prof', `--cpu-prof-dir=${profiles}`, `--cpu-prof-name=run-${run}.cpuprofile`]
    : [];
  const server = spawn(
    process.execPath,
    [
      '--import',
      './scripts/stalls/probe.mjs',
      ...profile,
      '--enable-source-maps',
      'apps/server/dist/main.js',
    ],
    { env: { ...process.env, RED_SHELF_DB: db, PORT: '0' }, stdio: ['ignore', 'pipe', 'inherit', 'ipc'] },
  );
  const url = await new Promise<string>((ready, fail) => {
    server.stdout!.on('data', (text: Buffer) => {
      const found = /ready (http:\S+)/.exec(text.toString())?.[1];
      if (found) ready(found);
    });
    server.once('exit', () => fail(new Error('the server ended before it was ready')));
  });
  return { server, url };
}
const gapSince = (server: ChildProcess): Promise<Gap> =>
  new Promise((resolve) => {
    server.once('message', resolve);
    server.send('gap');
  });
const wait = (ms: number): Promise<void> => new Promise((go) => setTimeout(go, ms));

async function oneRun(run: number): Promise<void> {
  const { server, url } = await start(run);
  try {
    await measured(run, server, url);
  } finally {
    server.kill('SIGTERM');
    await new Promise((ended) => server.once('exit', ended));
  }
}

async function measured(run: number, server: ChildProcess, url: string): Promise<void> {
  let named = 0;
  const ask = async (
    path: string,
    body?: unknown,
    method = body === undefined ? 'GET' : 'POST',
  ): Promise<unknown> => {
    const isBytes = body instanceof Uint8Array;
    const answer = await fetch(url + path, {
      method,
      ...(body === undefined
        ? {}
        : { body: isBytes ? (body as Uint8Array<ArrayBuffer>) : JSON.stringify(body) }),
      headers: isBytes
        ? { 'Content-Type': 'application/octet-stream' }
        : { 'Content-Type': 'application/json', 'Command-Id': `stalls-${run}-${named++}` },
    });
    const bytes = Buffer.from(await answer.arrayBuffer());
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${bytes.toString().slice(0, 300)}`);
    return /json/.test(answer.headers.get('Content-Type') ?? '') ? JSON.parse(bytes.toString()) : bytes;
  };
  /** Does something, and notes the longest gap until a moment after. */
  const during = async <T,>(what: string, work: () => Promise<T>): Promise<T | undefined> => {
    if (ONLY !== '' && !what.includes(ONLY)) return undefined;
    await gapSince(server);
    const begun = performance.now();
    const answer = await work();
    const took = performance.now() - begun;
    await wait(SETTLED_MS);
    const gap = await gapSince(server);
    gaps.set(what, [...(gaps.get(what) ?? []), gap]);
    if (process.env.STALLS_EACH)
      console.log(`  ${what}: ${gap.longest.toFixed(0)} ms (took ${took.toFixed(0)})`);
    return answer;
  };
  const buy = (i: number) =>
    ask(`/api/supplies/big-${String(i).padStart(6, '0')}/ledger`, { act: 'buy', amount: 1 });

  const before = await gapSince(server);
  if (process.env.STALLS_EACH)
    console.log(`  before it is ready, when nobody is answered yet: ${before.longest.toFixed(0)} ms`);
  await during('the first list', () => ask('/api/supplies'));
  await during('the first minute (copy of today, sweep, warming up)', () => wait(WATCHED_MS));
  await during('the whole list', () => ask('/api/supplies'));
  await during('everything since the beginning', () => ask('/api/since/0'));
  await during('gaps', () => ask('/api/gaps'));
  await during('figures', () => ask('/api/figures'));
  await during('scannables', () => ask('/api/devices/scanner'));
  await during('colour names', () => ask('/api/colour-names', { query: 'dusty rose' }));
  await during('a purchase, the list, gaps and figures after it', async () => {
    for (let i = 0; i < 5; i++) {
      await buy(i);
      await ask('/api/supplies');
      await ask('/api/gaps');
      await ask('/api/figures');
    }
  });
  await during(`an edit of ${MANY} at once, and taking it back`, async () => {
    const { supplies } = (await ask('/api/supplies')) as { supplies: { id: string; version: number }[] };
    const some = supplies.slice(0, MANY).map(({ id, version = 1 }) => ({ id, version }));
    const { change } = (await ask('/api/supplies/batch', { supplies: some, set: { addTags: ['seen'] } })) as {
      change: { id: string };
    };
    await ask('/api/supplies');
    await ask(`/api/changes/${change.id}/undo`, {});
    await ask('/api/supplies');
  });
  await during('an arrangement: preview, done at once, taken back', async () => {
    const request = { kinds: [...KINDS], unitIds: unitIds.slice(0, PLACES) };
    const { token } = (await ask('/api/arrange/preview', request)) as { token: string };
    const { change } = (await ask('/api/arrange/apply', { ...request, token })) as { change: { id: string } };
    await ask('/api/supplies');
    await ask('/api/gaps');
    await ask(`/api/changes/${change.id}/undo`, {});
    await ask('/api/gaps');
  });
  await during('a list of 2,000 rows, brought in', async () => {
    const rows = Array.from(
      { length: MANY },
      (_, i) => `New ${i},#${(i * 4099).toString(16).padStart(6, '0').slice(-6)}`,
    );
    const { id, mapping } = (await ask(
      '/api/imports',
      new Uint8Array(Buffer.from(`name,colour\n${rows.join('\n')}`)),
    )) as {
      id: string;
      mapping: object;
    };
    const choices = { mapping, defaults: { kind: 'ink' } };
    const { token } = (await ask(`/api/imports/${id}/preview`, choices)) as { token: string };
    await ask(`/api/imports/${id}/commit`, { ...choices, token, leaveOutRefused: true });
    while (((await ask(`/api/imports/${id}`)) as { state: string }).state === 'running') await wait(100);
    await ask('/api/supplies');
  });
  await during('a photo', async () =>
    ask(
      '/api/photos',
      new Uint8Array(
        await sharp({ create: { ...PICTURE, channels: 3, background: '#4c9a52' } })
          .jpeg()
          .toBuffer(),
      ),
    ),
  );
  await during('the list as CSV', () => ask('/api/export.csv'));
  await during('a backup', () => ask('/api/backup.zip'));
  const exported = () => ask('/api/export.json');
  const restoring = 'a restore, the list and gaps after it, taken back';
  const whole =
    (await during('the document', exported)) ?? (restoring.includes(ONLY) ? await exported() : undefined);
  if (whole)
    await during(restoring, async () => {
      const { change } = (await ask('/api/restore', new Uint8Array(Buffer.from(JSON.stringify(whole))))) as {
        change: { id: string };
      };
      await ask('/api/supplies');
      await ask('/api/gaps');
      await ask(`/api/changes/${change.id}/undo`, {});
    });
}

for (let run = 0; run < RUNS; run++) {
  await oneRun(run);
  rmSync(join(folder, `run-${run}`), { recursive: true, force: true });
}
console.log(
  `longest gap of the server's event loop, ms, at ${SUPPLIES} supplies and ${EVENTS} events, ${RUNS} runs`,
);
for (const [what, found] of gaps) {
  const sorted = found.map(({ longest }) => longest).sort((p, q) => p - q);
  const [middle, most] = [sorted[sorted.length >> 1] ?? NaN, sorted.at(-1) ?? NaN];
  const verdict = middle <= GOAL_MS && most <= NEVER_MS ? '' : '  over the goal';
  console.log(`  ${what}: median ${middle.toFixed(0)}, longest ${most.toFixed(0)}${verdict}`);
}
rmSync(folder, { recursive: true, force: true });
