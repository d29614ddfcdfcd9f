/**
 * Prints the figures that are claimed for the app: arranging by stash size, listing, and what a browser downloads.
 *   npx tsx scripts/measure.mts
 * Medians of several runs on this machine; nothing in the tests depends on them.
 */
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { keyed, placeInGrid, shelfFigures, type PlaceItem } from '../packages/core/src/index.ts';
import { openStore } from '../apps/server/src/db/open.ts';
import { systemPorts } from '../apps/server/src/services/ports.ts';
import { restoreDocument } from '../apps/server/src/services/restore.ts';
import { StashList } from '../apps/server/src/services/stashList.ts';
import { previewArrange } from '../apps/server/src/services/arrange.ts';
import { demoRoom } from '../apps/server/src/demo/room.ts';
import { randomStream } from '../apps/server/src/demo/random.ts';

const RUNS = 9;
const median = (values: number[]): number =>
  [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? NaN;
async function timed(work: () => unknown): Promise<string> {
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return `${median(times).toFixed(1)} ms (slowest of ${RUNS}: ${Math.max(...times).toFixed(1)} ms)`;
}

const random = randomStream(11);
const hex = (): string =>
  `#${Math.floor(random() * 0xffffff)
    .toString(16)
    .padStart(6, '0')}`;
const PAD = { widthMm: 98, heightMm: 20, depthMm: 66 };

for (const n of [120, 1000, 5000]) {
  const items = Array.from({ length: n }, (_, i): PlaceItem => ({
    id: `i${i}`,
    hex: hex(),
    kind: 'ink',
    envelope: PAD,
  }));
  const units = Array.from({ length: Math.ceil((n * 1.1) / 60) }, (_, i) => ({
    id: `u${i}`,
    letter: 'A',
    rows: 12,
    columns: 5,
    slot: { widthMm: 102, heightMm: 22, depthMm: 70 },
    holds: ['ink'],
  }));
  const arrange = () => {
    const { units: filled } = placeInGrid(items, units);
    return shelfFigures(filled.map(({ slots }) => slots.map((slot) => slot && keyed(slot))));
  };
  const start = performance.now();
  arrange();
  console.log(
    `arrange ${n} in the core: first time ${(performance.now() - start).toFixed(1)} ms, then ${await timed(arrange)}`,
  );
}

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-measure-'));
for (const n of [120, 1000, 5000]) {
  const store = await openStore(join(folder, `${n}.db`), 'apps/server/drizzle');
  const context = { store, ports: systemPorts };
  const room = demoRoom(Date.parse('2026-06-01'));
  const [model] = room.supplies;
  if (!model) throw new Error('The demo room is empty');
  const supplies = Array.from({ length: n }, (_, i) => ({
    ...model,
    id: `s${i}`,
    name: `Ink ${i}`,
    number: i + 1,
    hex: hex(),
  }));
  const ledger = supplies.map(({ id }, i) => ({
    id: `l${i}`,
    supplyId: id,
    at: model.createdAt,
    act: 'count' as const,
    amount: null,
    items: 1,
    left: 60,
    part: null,
    undoes: null,
  }));
  const rack = room.units[0];
  if (!rack) throw new Error('The demo room has no rack');
  const units = Array.from({ length: Math.ceil(n / 2500) }, (_, i) => ({
    ...rack,
    id: `u${i}`,
    letter: 'ABC'[i] ?? 'Z',
    rows: 60,
    columns: Math.ceil(Math.min(n, 2500) / 55),
  }));
  await restoreDocument(context, { ...room, units, supplies, placements: [], ledger });
  console.log(
    `list ${n} supplies on the server, read anew: ${await timed(() => new StashList(store).asJson())}`,
  );
  const request = { kinds: ['ink' as const], unitIds: units.map(({ id }) => id) };
  console.log(`preview arranging ${n} on the server: ${await timed(() => previewArrange(context, request))}`);
  store.close();
}
rmSync(folder, { recursive: true, force: true });

const scripts = 'apps/web/dist/_expo/static/js/web';
if (existsSync(scripts)) {
  const sizes = readdirSync(scripts)
    .filter((name) => name.endsWith('.js'))
    .map((name) => ({
      name: name.replace(/-[0-9a-f]{32}/, ''),
      bytes: gzipSync(readFileSync(join(scripts, name))).length,
    }));
  const atStart = sizes.filter(({ name }) => /^(entry|__common|__expo-metro-runtime|_layout)/.test(name));
  const kb = (list: { bytes: number }[]): string =>
    (list.reduce((sum, { bytes }) => sum + bytes, 0) / 1024).toFixed(0);
  console.log(
    `web app, gzipped: ${kb(atStart)} KB at the start, ${kb(sizes)} KB in all (${sizes.length} files)`,
  );
}
