import {
  brokenShift,
  countRuleOf,
  foldEvents,
  foldSpots,
  formFor,
  isRefusal,
  mayLive,
  sameSpot,
  stockOf,
} from '@red-shelf/core';
import { stashDocument, type StashDocument, type SupplyView } from '@red-shelf/contract';
import fc from 'fast-check';
import { documentPieces } from '../services/document';
import { steps, Walk } from './walk';
import { listedIn, makeWorld, type World } from './world';

const exported = async ({ http }: World): Promise<StashDocument> =>
  stashDocument.parse((await http.get('/api/export.json').expect(200)).body);
const listed = async ({ http }: World): Promise<SupplyView[]> =>
  listedIn(await http.get('/api/supplies').expect(200));

/** What a slow and obvious reading of the events says every supply has and where, against what the stash says. */
function expectFolded(document: StashDocument, list: readonly SupplyView[]): void {
  const views = new Map(list.map((view) => [view.id, view]));
  const spots = foldSpots(document.events);
  expect(brokenShift(document.events)).toBeNull();
  for (const lot of document.holdings) expect(sameSpot(lot.spot, spots.get(lot.id) ?? null)).toBe(true);
  for (const supply of document.supplies) {
    const lots = document.holdings.filter(({ supplyId }) => supplyId === supply.id);
    const rule = countRuleOf(formFor(supply));
    const folded = foldEvents(
      document.events,
      supply.id,
      new Map(lots.map(({ id, as }) => [id, { whole: as === 'whole' }])),
      rule,
    );
    const tallies = lots.map(({ id, as }) => ({ as, ...(folded.tallies.get(id) ?? { items: 0, left: 0 }) }));
    const view = views.get(supply.id);
    expect(view !== undefined).toBe(supply.removedAt === null);
    if (view) expect(view.stock).toEqual(stockOf(tallies, folded, rule));
  }
}

/** Nothing is where it cannot be: gone units, units that refuse it, two things in one cell. */
function expectRightPlaces({ supplies, units, holdings }: StashDocument): void {
  const supplyById = new Map(supplies.map((supply) => [supply.id, supply]));
  const unitById = new Map(units.map((unit) => [unit.id, unit]));
  const cells = new Set<string>();
  for (const lot of holdings) {
    if (!lot.spot) continue;
    const [supply, unit] = [supplyById.get(lot.supplyId)!, unitById.get(lot.spot.unitId)!];
    expect([supply.removedAt, unit.removedAt]).toEqual([null, null]);
    const thing = { supply, lot: { ...lot, items: 1, left: 1 } };
    const answer = mayLive(thing, { unit, cell: lot.spot.cell }, { livingIn: () => [] });
    expect(isRefusal(answer) ? { answer, supply, unit } : null).toBeNull();
    if (lot.spot.cell === null) continue;
    const cell = `${unit.id} ${lot.spot.cell}`;
    expect(cells.has(cell)).toBe(false);
    cells.add(cell);
  }
}

/** A second device that never takes the whole list twice. */
class Replica {
  private seq = 0;
  private readonly known = new Map<string, SupplyView>();
  constructor(private readonly world: World) {}
  async catchUp(): Promise<SupplyView[]> {
    const { body } = await this.world.http.get(`/api/since/${this.seq}`).expect(200);
    if (body.all) this.known.clear();
    for (const view of body.supplies as SupplyView[]) this.known.set(view.id, view);
    for (const id of body.gone as string[]) this.known.delete(id);
    this.seq = body.seq as number;
    return [...this.known.values()];
  }
}

/** The stash as a document would be written now. */
async function wholeOf({ store }: World): Promise<StashDocument> {
  let text = '';
  for await (const piece of documentPieces(store.read, '')) text += piece;
  return JSON.parse(text) as StashDocument;
}

const byId = (list: readonly SupplyView[]): SupplyView[] => [...list].sort((p, q) => (p.id < q.id ? -1 : 1));

/** WALKS=14 npx jest model walks longer. */
const WALKS = Number(process.env.WALKS ?? 5);
const LENGTH = 150;
/** The same walks on every run; `SEED=7 npx jest model` tries others. */
const SEED = Number(process.env.SEED ?? 20261126);

test(`whatever two windows do and undo in any order, the stash stays true (${WALKS * LENGTH} steps, seed ${SEED})`, async () => {
  const scratch = await makeWorld();
  try {
    await fc.assert(
      fc.asyncProperty(steps(LENGTH), async (todo) => {
        const world = await makeWorld();
        const [walk, replica] = [new Walk(world), new Replica(world)];
        try {
          for (const [i, step] of todo.entries()) {
            const { status, body } = await walk.step(step);
            if (status >= 300 || status < 200) {
              expect(status >= 400 && status < 500 ? status : { status, body, step }).toBe(status);
              expect(String(body.title).length).toBeGreaterThan(8);
            }
            const [document, list] = [await wholeOf(world), await listed(world)];
            expectFolded(document, list);
            expectRightPlaces(document);
            expect(byId(await replica.catchUp())).toEqual(byId(list));
            if (i % 30 !== 29) continue;
            const written = await exported(world);
            const restored = await scratch.http.post('/api/restore').send(written);
            expect([restored.status, restored.body.title]).toEqual([200, undefined]);
            expect({ ...(await exported(scratch)), exportedAt: '' }).toEqual({ ...written, exportedAt: '' });
            expect(byId(await listed(scratch))).toEqual(byId(list));
          }
        } finally {
          world.close();
        }
      }),
      { numRuns: WALKS, endOnFailure: true, seed: SEED },
    );
  } finally {
    scratch.close();
  }
}, 600_000);
