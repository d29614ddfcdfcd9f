import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { KINDS, UNIT_TEMPLATES, unitFromTemplate } from '../../packages/core/src/index.ts';
import { ROOM_ID } from '../../packages/core/src/storage/unit.ts';
import { arrangeRequest, type StashDocument } from '../../packages/contract/src/index.ts';
import { openStore } from '../../apps/server/src/db/open.ts';
import { systemPorts } from '../../apps/server/src/services/ports.ts';
import { restoreDocument } from '../../apps/server/src/services/restore.ts';
import { liftsOf } from '../../apps/server/src/services/arrange/lifts.ts';
import { plan, readStash, targetOf, type Stash } from '../../apps/server/src/services/arrange/plan.ts';
import { bigRoom } from '../big/room.mts';
import { randomStream } from '../../apps/server/src/demo/random.ts';

const DAY = '2026-06-01';

/** A room of so many supplies in units of every template, about 42 things each, or in so many `places`; with so many uses of them. */
export function roomOfAll(
  count: number,
  uses = 0,
  places = Math.round(count / 41.7),
): { document: StashDocument; unitIds: string[] } {
  const units = Array.from({ length: places }, (_, i): StashDocument['units'][number] => ({
    ...unitFromTemplate(UNIT_TEMPLATES[i % UNIT_TEMPLATES.length]!),
    id: `u${i}`,
    parentId: ROOM_ID,
    position: i,
    label: `${String.fromCharCode(65 + (Math.floor(i / 26) % 26))}${String.fromCharCode(65 + (i % 26))}`,
    rules: { kinds: [...KINDS] },
    removedAt: null,
  }));
  const document = bigRoom(count, uses);
  return {
    document: { ...document, units: [...document.units, ...units] },
    unitIds: units.map(({ id }) => id),
  };
}

async function roomOf(count: number): Promise<{ stash: Stash; unitIds: string[] }> {
  const folder = mkdtempSync(join(tmpdir(), 'red-shelf-arrange-'));
  const store = await openStore(join(folder, 'stash.db'), 'apps/server/drizzle');
  const { document, unitIds } = roomOfAll(count);
  await restoreDocument({ store, ports: systemPorts }, document);
  const stash = await readStash(store.read);
  store.close();
  rmSync(folder, { recursive: true, force: true });
  return { stash, unitIds };
}

/** Everything stands where a plan had it, but for some that were put back wrongly. */
function lived(stash: Stash, unitIds: string[], seed: number): Stash {
  const request = arrangeRequest.parse({ kinds: [...KINDS], unitIds });
  const target = targetOf(plan(stash, request, DAY));
  const random = randomStream(seed);
  const spots = [...target.values()];
  const ids = [...target.keys()];
  for (let swap = 0; swap < ids.length / 10; swap++) {
    const [a, b] = [Math.floor(random() * ids.length), Math.floor(random() * ids.length)];
    [spots[a], spots[b]] = [spots[b] ?? null, spots[a] ?? null];
  }
  const spotOf = new Map(ids.map((id, i) => [id, spots[i] ?? null]));
  return {
    ...stash,
    supplies: stash.supplies.map((supply) => ({
      ...supply,
      holdings: supply.holdings.map((lot) => ({ ...lot, spot: spotOf.get(lot.id) ?? null })),
    })),
  };
}

export interface Timed {
  readonly count: number;
  readonly units: number;
  readonly lifts: number;
  readonly leftOver: number;
  /** Ordering and placing, and the list of lifts, ms. */
  readonly placing: number;
  readonly lifting: number;
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN;

/** Orders, places and plans a room that has been lived in: medians of so many runs. */
export async function timedRoom(count: number, seed: number, runs = 3): Promise<Timed> {
  const { stash, unitIds } = await roomOf(count);
  const now = lived(stash, unitIds, seed);
  const request = arrangeRequest.parse({ kinds: [...KINDS], unitIds });
  const [placing, lifting]: number[][] = [[], []];
  let [lifts, leftOver] = [0, 0];
  for (let run = 0; run < runs; run++) {
    const begun = performance.now();
    const planned = plan(now, request, DAY);
    const placed = performance.now();
    lifts = liftsOf(now, planned).length;
    placing!.push(placed - begun);
    lifting!.push(performance.now() - placed);
    leftOver = planned.target.leftOver.length;
  }
  return {
    count,
    units: unitIds.length,
    lifts,
    leftOver,
    placing: median(placing!),
    lifting: median(lifting!),
  };
}

/** The power of n that a time grows with: the slope of log time over log n (least squares). */
export function exponentOf(points: readonly { readonly n: number; readonly ms: number }[]): number {
  const xs = points.map(({ n }) => Math.log(n));
  const ys = points.map(({ ms }) => Math.log(ms));
  const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
  const [x, y] = [mean(xs), mean(ys)];
  const up = xs.reduce((sum, each, i) => sum + (each - x) * ((ys[i] ?? 0) - y), 0);
  return up / xs.reduce((sum, each) => sum + (each - x) ** 2, 0);
}
