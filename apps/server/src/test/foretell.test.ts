import {
  foretell,
  type Command,
  type Known,
  type LiftedView,
  type RecordView,
  type SupplyView,
  type WallView,
} from '@red-shelf/contract';
import fc from 'fast-check';
import { steps, Walk, type Answer } from './walk';
import { listedIn, makeWorld, type World } from './world';

/** Everything a client has of the stash. */
async function knownOf({ http }: World) {
  const read = async <T>(path: string): Promise<T> => (await http.get(path).expect(200)).body as T;
  const supplies = listedIn(await http.get('/api/supplies').expect(200));
  const { units } = await read<WallView>('/api/wall');
  const { records } = await read<{ records: RecordView[] }>('/api/records');
  const known: Known = {
    supply: (id) => supplies.find((each) => each.id === id),
    supplies: () => supplies,
    record: (id) => records.find((each) => each.id === id),
    records: () => records,
    unit: (id) => units.find((each) => each.id === id),
    units: () => units,
  };
  return { known };
}

/** What only the server can know: its own clock, the short numbers it gives, lots that are used up and out of sight. */
const comparable = ({ number: _, createdAt: __, updatedAt: ___, stock, ...view }: SupplyView) => ({
  ...view,
  stock: { ...stock, lastUsedAt: stock.lastUsedAt !== null },
});
const comparableRecord = ({ createdAt: _, updatedAt: __, ...record }: RecordView) => record;

/** Acts that may take up an emptied lot again, of which a client knows nothing: only what there is then can be told. */
const withoutIds = (view: ReturnType<typeof comparable>) => ({
  ...view,
  holdings: view.holdings.map(({ id: _, version: __, ...lot }) => lot).sort((p, q) => (p.as < q.as ? -1 : 1)),
});

const idsOf = (lifted: LiftedView): string[] => lifted.map(({ supplyId }) => supplyId).sort();

/** Acts of the walk that a client can foretell. */
const TOLD_OF_HERE: Command['route'][] = [
  'actOnSupply',
  'addRecord',
  'addSupplies',
  'addSupply',
  'addUnit',
  'batchEdit',
  'decideSupply',
  'editSupply',
  'editUnit',
  'mergeSupplies',
  'moveHoldings',
  'placeHolding',
  'removeSupply',
  'removeUnit',
  'sizeHolding',
];

test('what a client foretells of a command is what the server then answers', async () => {
  let told = 0;
  const toldOf = new Set<Command['route']>();
  await fc.assert(
    fc.asyncProperty(steps(150), async (todo) => {
      const world = await makeWorld();
      const watch = async (command: Command) => {
        const before = await knownOf(world);
        const said = foretell(command, before.known);
        return async ({ status, body: answer }: Answer) => {
          if (!said || status !== 200) return;
          told++;
          const { known } = await knownOf(world);
          for (const supply of said.supplies) {
            const now = known.supply(supply.id);
            if (!now) throw new Error(`${supply.name} is not there after ${JSON.stringify(command)}`);
            // Where an emptied lot came back, the answer says more than could be told.
            const [a, b] = [comparable(supply), comparable(now)];
            const exactly =
              command.route !== 'actOnSupply' || JSON.stringify(a.holdings) === JSON.stringify(b.holdings);
            if (exactly) expect({ command, ...a }).toEqual({ command, ...b });
            else expect({ command, ...withoutIds(a) }).toEqual({ command, ...withoutIds(b) });
          }
          for (const record of said.records)
            expect(comparableRecord(record)).toEqual(comparableRecord(known.record(record.id)!));
          for (const id of said.gone) expect(known.supply(id) ?? known.record(id)).toBeUndefined();
          if (said.units) expect(said.units).toEqual(known.units());
          expect(said.change).toEqual(answer.change);
          if (answer.lifted) expect(idsOf(said.lifted)).toEqual(idsOf(answer.lifted));
          toldOf.add(command.route);
        };
      };
      const walk = new Walk(world, watch);
      try {
        for (const step of todo) await walk.step(step);
      } finally {
        world.close();
      }
    }),
    { numRuns: 3, endOnFailure: true, seed: Number(process.env.SEED ?? 20261127) },
  );
  expect(told).toBeGreaterThan(100);
  expect([...toldOf].sort()).toEqual(TOLD_OF_HERE);
}, 300_000);
