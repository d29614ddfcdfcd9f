import type { ChangeView, KeptView, RecordView, SupplyView, WallView } from '@red-shelf/contract';
import fc from 'fast-check';
import { steps, Walk } from './walk';
import { makeWorld, type World } from './world';

/**
 * After every act of a random walk: taken back, the stash is what it was before, whole; done again, what it was after. So many
 * steps by hand: STEPS=100000 npx jest walkBack. SEED chooses another walk, FROM the stash it
 * begins with: the path that a failure tells.
 */

const STEPS = Number(process.env.STEPS ?? 2000);
/** A stash grows with what is done to it: a new one begins after so many. */
const OF_ONE_STASH = 40;

const TIMES = new Set(['version', 'updatedAt', 'createdAt', 'lastUsedAt']);
const byId = (p: { id: string }, q: { id: string }): number => (p.id < q.id ? -1 : 1);

/** The whole stash as text, without what says how often and when something was written. */
async function stateOf({ http }: World): Promise<string> {
  const { supplies, wall, changedRecords } = (await http.get('/api/since/0').expect(200)).body as {
    supplies: SupplyView[];
    wall: WallView;
    changedRecords: RecordView[];
  };
  const state = { supplies: supplies.sort(byId), wall, records: changedRecords.sort(byId) };
  return JSON.stringify(state, (key, each: unknown) => (TIMES.has(key) ? undefined : each));
}

/** The same state; the order in which a thing says what it says does not matter. */
function expectSame(told: object, found: string, wanted: string): void {
  if (found === wanted) return;
  expect({ ...told, state: JSON.parse(found) }).toEqual({ ...told, state: JSON.parse(wanted) });
}

async function undo(
  { http }: World,
  id: string,
): Promise<{ change: ChangeView; kept: KeptView; title?: string; status: number }> {
  const answer = await http.post(`/api/changes/${id}/undo`).send({});
  return {
    ...(answer.body as { change: ChangeView; kept: KeptView; title?: string }),
    status: answer.status,
  };
}

test(
  `${STEPS} acts, each taken back and done again`,
  async () => {
    let walked = 0;
    await fc.assert(
      fc.asyncProperty(steps(OF_ONE_STASH), async (todo) => {
        const world = await makeWorld();
        const walk = new Walk(world);
        try {
          let before = await stateOf(world);
          for (const [i, step] of todo.entries()) {
            const known = walk.changes.length;
            await walk.step(step);
            const id = walk.changes.at(-1);
            const after = await stateOf(world);
            if (walk.changes.length > known && id !== undefined) {
              walked++;
              const back = await undo(world, id);
              const told = { i, act: step.act, status: back.status, kept: back.kept, why: back.title };
              expect(told).toEqual({ ...told, status: 200, kept: [] });
              expectSame(told, await stateOf(world), before);
              const again = await undo(world, back.change.id);
              const said = { ...told, again: true, status: again.status, kept: again.kept, why: again.title };
              expect(said).toEqual({ ...said, status: 200, kept: [] });
              expectSame(said, await stateOf(world), after);
            }
            before = after;
          }
        } finally {
          world.close();
        }
      }),
      {
        numRuns: Math.ceil(STEPS / OF_ONE_STASH),
        endOnFailure: true,
        ...(process.env.FROM ? { path: process.env.FROM } : {}),
        seed: Number(process.env.SEED ?? 20261201),
      },
    );
    expect(walked).toBeGreaterThan(STEPS / 4);
  },
  600_000 + 300 * STEPS,
);
