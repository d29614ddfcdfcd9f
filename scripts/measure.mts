/**
 * Prints the figures that are claimed for the app: arranging by stash size, listing, and what a browser downloads.
 *   npx tsx scripts/measure.mts
 * Medians of several runs on this machine; nothing in the tests depends on them.
 */
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import {
  allocate,
  compareHomes,
  evenGrid,
  formsOfKind,
  KINDS,
  misfits,
  UNIT_TEMPLATES,
  unitFromTemplate,
  keyed,
  mayLive,
  rainbowOrder,
  shelfFigures,
  zonesOf,
  type Lodger,
  type ColouredItem,
  type PathUnit,
  type Unit,
} from '../packages/core/src/index.ts';
import { arrangeRequest, rootUnits } from '../packages/contract/src/index.ts';
import { openStore } from '../apps/server/src/db/open.ts';
import { systemPorts } from '../apps/server/src/services/ports.ts';
import { restoreDocument } from '../apps/server/src/services/restore.ts';
import { StashList } from '../apps/server/src/services/stashList.ts';
import { previewHere } from '../apps/server/src/services/arrange/arrange.ts';
import { demoRoom } from '../apps/server/src/demo/room.ts';
import { randomStream } from '../apps/server/src/demo/random.ts';
import { sized } from './figures/size.mts';

const RUNS = sized(9, 1);
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
const CELL = { widthUm: 102_000, heightUm: 22_000, depthUm: 70_000 };
const rackOf = (id: string, rows: number, columns: number): Unit => ({
  id,
  version: 1,
  parentId: 'room',
  sort: 'unit',
  label: id.toUpperCase().slice(0, 2),
  name: 'Rack',
  model: evenGrid(rows, columns, CELL, { wallUm: 4000 }),
  rules: { kinds: ['ink'] },
  facts: {},
});

for (const n of sized([120, 1000, 5000], [120])) {
  const items = Array.from({ length: n }, (_, i): ColouredItem & Lodger => ({
    id: `i${i}`,
    hex: hex(),
    supply: { id: `i${i}`, kind: 'ink', form: 'full-pad', facts: {} },
    lot: { id: `i${i}`, as: 'whole', items: 1, left: 60, spot: null },
    alike: 'full pad',
  }));
  const units = Array.from({ length: Math.ceil((n * 1.1) / 60) }, (_, i): PathUnit<Lodger & ColouredItem> => {
    const unit = rackOf(`u${i}`, 12, 5);
    return {
      id: unit.id,
      cells: 60,
      zones: unit.model ? zonesOf(unit.model, new Set()) : [],
      takes: (item, cell) => mayLive(item, { unit, cell }, { livingIn: () => [] }),
    };
  });
  const arrange = () => {
    const { units: filled } = allocate(rainbowOrder(items), units);
    return shelfFigures(filled.map(({ slots }) => slots.map((slot) => slot && keyed(slot))));
  };
  const start = performance.now();
  arrange();
  console.log(
    `arrange ${n} in the core: first time ${(performance.now() - start).toFixed(1)} ms, then ${await timed(arrange)}`,
  );
}

/** A stash of every form in many sizes, and 200 units of every sort. */
const FORMS = KINDS.flatMap((kind) => formsOfKind(kind).map(({ id }) => ({ kind, form: id })));
const sizes = randomStream(7);
const mm = (most: number): number => 1000 * (5 + Math.floor(sizes() * most));
const many = Array.from({ length: sized(5000, 200) }, (_, i): Lodger => {
  const { kind, form } = FORMS[i % FORMS.length] ?? { kind: 'ink', form: 'full-pad' };
  // Every fourth was measured itself.
  const size = { widthUm: mm(200), heightUm: mm(100), depthUm: mm(200) };
  return {
    supply: { id: `m${i}`, kind, form, facts: i % 4 === 0 ? { size } : {} },
    lot: { id: `m${i}`, as: 'whole', items: 1, left: 1, spot: null },
  };
});
const room200 = Array.from({ length: 200 }, (_, i) => ({
  ...unitFromTemplate(UNIT_TEMPLATES[i % UNIT_TEMPLATES.length] ?? UNIT_TEMPLATES[0]!),
  id: `r${i}`,
}));
console.log(
  `5000 things against 200 units in the core, what fits none and by how much: ${await timed(() => misfits(many, (thing) => thing, room200))}`,
);
const full = many.filter(({ supply }) => supply.kind === 'ink').slice(0, 60);
console.log(
  `60 things of one rack into each of 200 units, compared: ${await timed(() =>
    compareHomes(
      full,
      [],
      room200.map((unit) => ({ unit })),
    ),
  )}`,
);

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-measure-'));
for (const n of sized([120, 1000, 5000], [120])) {
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
  const holdings = supplies.map(({ id }) => ({
    id: `${id}-whole`,
    version: 1,
    supplyId: id,
    as: 'whole' as const,
    sizeUm: null,
    spot: null,
  }));
  const events = supplies.map(({ id }, i) => ({
    id: `l${i}`,
    supplyId: id,
    at: model.createdAt,
    recordedAt: model.createdAt,
    act: 'count' as const,
    of: 'whole' as const,
    items: 1,
    left: 60,
    postings: [{ holdingId: `${id}-whole`, items: 1, left: 60, how: 'to' as const }],
    shifts: [],
  }));
  const units = Array.from({ length: Math.ceil(n / 2500) }, (_, i) => ({
    ...rackOf(`u${i}`, 60, Math.ceil(Math.min(n, 2500) / 55)),
    label: 'ABC'[i] ?? 'Z',
    position: i,
    removedAt: null,
  }));
  await restoreDocument(context, {
    ...room,
    units: [...rootUnits('Room'), ...units],
    supplies,
    holdings,
    events,
    records: [],
  });
  console.log(
    `list ${n} supplies on the server, read anew: ${await timed(() => new StashList(store).asJson())}`,
  );
  const request = arrangeRequest.parse({ kinds: ['ink'], unitIds: units.map(({ id }) => id) });
  console.log(`preview arranging ${n} on the server: ${await timed(() => previewHere(context, request))}`);
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
  const atStart = sizes.filter(({ name }) => /^(index|__common|__expo-metro-runtime|_layout)/.test(name));
  const kb = (list: { bytes: number }[]): string =>
    (list.reduce((sum, { bytes }) => sum + bytes, 0) / 1024).toFixed(0);
  console.log(
    `web app, gzipped: ${kb(atStart)} KB at the start, ${kb(sizes)} KB in all (${sizes.length} files)`,
  );
}
