import { stockFromLedger, formOf } from '@red-shelf/core';
import type { ArrangePreview, LedgerView, StashDocument, SupplyView, UnitView } from '@red-shelf/contract';
import fc from 'fast-check';
import { INK, makeWorld, type World } from './world';

/** One thing a person might do; `pick` chooses among what is there. */
interface Step {
  readonly act:
    | 'add'
    | 'edit'
    | 'remove'
    | 'use'
    | 'buy'
    | 'count'
    | 'place'
    | 'lift'
    | 'arrange'
    | 'rack'
    | 'takeDown'
    | 'editRack'
    | 'import'
    | 'batch'
    | 'merge'
    | 'verdict'
    | 'pack'
    | 'record';
  readonly pick: number;
}

const steps = fc.array(
  fc.record({
    act: fc.constantFrom<Step['act']>(
      'add',
      'add',
      'edit',
      'remove',
      'use',
      'buy',
      'count',
      'place',
      'lift',
      'arrange',
      'rack',
      'takeDown',
      'editRack',
      'import',
      'batch',
      'merge',
      'verdict',
      'pack',
      'record',
    ),
    pick: fc.nat(1000),
  }),
  { minLength: 4, maxLength: 14 },
);

interface Answer {
  readonly change?: { id: string };
}

const supplies = async ({ http }: World): Promise<SupplyView[]> =>
  (await http.get('/api/supplies')).body.supplies as SupplyView[];
const racks = async ({ http }: World): Promise<UnitView[]> =>
  (await http.get('/api/wall')).body.units as UnitView[];

/** What a person sees: everything but versions, times and the ledger's own cancelled lines. */
async function seen(world: World): Promise<unknown> {
  const document = (await world.http.get('/api/export.json')).body as StashDocument;
  const list = await supplies(world);
  return {
    units: (await racks(world)).map(({ version: _, ...unit }) => unit),
    placements: document.placements,
    records: document.records
      .filter(({ removedAt }) => removedAt === null)
      .map(({ id, body }) => ({ id, body })),
    supplies: list.map(({ version: _, updatedAt: __, ...supply }) => supply),
  };
}

async function importOne({ http }: World, pick: number): Promise<Answer> {
  const csv = `Name,Colour,Maker,Quantity\nFern Gate,#${pick.toString(16).padStart(6, '0')},Hollin & Quay,2\nNew ${pick},#333,,1\n`;
  const list = (await http.post('/api/imports').set('Content-Type', 'application/octet-stream').send(csv))
    .body;
  const choices = { mapping: list.mapping, defaults: { kind: 'ink' } };
  const { token } = (await http.post(`/api/imports/${list.id}/preview`).send(choices)).body;
  await http.post(`/api/imports/${list.id}/commit`).send({ ...choices, token, leaveOutRefused: true });
  for (;;) {
    const { body } = await http.get(`/api/imports/${list.id}`);
    if (body.state !== 'running') return body.changeId ? { change: { id: body.changeId as string } } : {};
  }
}

const VERDICTS = ['keep', 'use once', 'pass on', 'let go'] as const;
const versioned = ({ id, version }: SupplyView) => ({ id, version });

/** The steps that touch several supplies, or things beside them. */
async function performMany({ http }: World, { act, pick }: Step, all: SupplyView[]): Promise<Answer> {
  const [one, other] = [all[pick % Math.max(1, all.length)], all[(pick + 1) % Math.max(1, all.length)]];
  const post = async (path: string, content: object) => (await http.post(path).send(content)).body as Answer;
  switch (act) {
    case 'batch':
      return post('/api/supplies/batch', {
        supplies: all.slice(0, 1 + (pick % 4)).map(versioned),
        ...(pick % 5 === 0 ? { remove: true } : { set: { addTags: [`t${pick % 7}`], grade: 'best' } }),
      });
    case 'merge':
      return one && other
        ? post('/api/supplies/merge', { keep: versioned(one), other: versioned(other) })
        : {};
    case 'verdict':
      return one
        ? post(`/api/supplies/${one.id}/verdict`, { version: one.version, verdict: VERDICTS[pick % 4] })
        : {};
    case 'pack':
      return post('/api/supplies/many', {
        supplies: [1, 2].map((n) => ({ ...INK, name: `Lot ${pick} ${n}` })),
        pack: { sort: 'group', what: 'pack', name: `Pack ${pick}` },
      });
    default:
      return post('/api/records', {
        body:
          pick % 2 === 0
            ? {
                sort: 'group',
                what: 'kit',
                name: `Kit ${pick}`,
                members: one ? [{ supplyId: one.id, amount: 1 }] : [],
              }
            : {
                sort: 'preferences',
                familyOrder: [],
                lightness: 'dark-first',
                units: 'metric',
                currency: 'EUR',
              },
      });
  }
}
const MANY: ReadonlySet<Step['act']> = new Set(['batch', 'merge', 'verdict', 'pack', 'record']);

/** Does one step; answers the change it made, if it made one. */
async function perform(world: World, { act, pick }: Step): Promise<string | undefined> {
  const { http } = world;
  const all = await supplies(world);
  const supply = all[pick % Math.max(1, all.length)];
  const units = await racks(world);
  const rack = units[pick % Math.max(1, units.length)];
  const put = (id: string, place: object | null) => http.put(`/api/supplies/${id}/place`).send({ place });
  const work = async (): Promise<Answer> => {
    if (MANY.has(act)) return performMany(world, { act, pick }, all);
    if (act === 'add')
      return (await http.post('/api/supplies').send({ ...INK, name: `Ink ${pick}` })).body as Answer;
    if (act === 'import') return importOne(world, pick);
    if (act === 'rack')
      return (await http.post('/api/units').send({ template: 'pad-rack', name: 'R', rows: 2, columns: 2 }))
        .body as Answer;
    if (act === 'editRack')
      return rack
        ? ((
            await http.put(`/api/units/${rack.id}`).send({
              version: rack.version,
              name: `R${pick}`,
              facts: pick % 3 === 0 ? { standing: 'spare' } : { cap: 1 + (pick % 9), filling: 'snake' },
              ...(pick % 2 === 0 ? { after: units.find(({ id }) => id !== rack.id)?.id ?? null } : {}),
            })
          ).body as Answer)
        : {};
    if (act === 'takeDown')
      return rack
        ? ((await http.post(`/api/units/${rack.id}/remove`).send({ version: rack.version })).body as Answer)
        : {};
    if (act === 'arrange') {
      if (!rack) return {};
      const request = { kinds: ['ink'], unitIds: [rack.id], fromElsewhere: pick % 2 === 0 };
      const { token } = (await http.post('/api/arrange/preview').send(request)).body as ArrangePreview;
      return (await http.post('/api/arrange/apply').send({ ...request, token })).body as Answer;
    }
    if (!supply) return {};
    if (act === 'edit')
      return (
        await http
          .put(`/api/supplies/${supply.id}`)
          .send({ ...INK, name: `Edited ${pick}`, version: supply.version })
      ).body as Answer;
    if (act === 'remove')
      return (await http.post(`/api/supplies/${supply.id}/remove`).send({ version: supply.version }))
        .body as Answer;
    if (act === 'place')
      return rack ? ((await put(supply.id, { unitId: rack.id, slot: pick % 4 })).body as Answer) : {};
    if (act === 'lift') return (await put(supply.id, null)).body as Answer;
    const amounts = act === 'count' ? { items: 1 + (pick % 3), left: pick % 60 } : { amount: 1 + (pick % 5) };
    return (await http.post(`/api/supplies/${supply.id}/ledger`).send({ act, ...amounts })).body as Answer;
  };
  return (await work()).change?.id;
}

test('whatever was done, undoing it backwards leads back through every state, and undoing the undos forward again', async () => {
  await fc.assert(
    fc.asyncProperty(steps, async (todo) => {
      const world = await makeWorld();
      try {
        const states = [await seen(world)];
        const done: string[] = [];
        for (const step of todo) {
          const change = await perform(world, step);
          if (!change) continue;
          done.push(change);
          states.push(await seen(world));
        }
        const undo = async (id: string): Promise<string> => {
          const { status, body } = await world.http.post(`/api/changes/${id}/undo`).send({});
          expect({ status, body }).toMatchObject({ status: 200 });
          return (body as { change: { id: string } }).change.id;
        };
        const undone: string[] = [];
        for (let i = done.length - 1; i >= 0; i--) {
          undone.push(await undo(done[i]!));
          expect(await seen(world)).toEqual(states[i]);
        }
        for (let i = 1; i <= done.length; i++) {
          await undo(undone[done.length - i]!);
          expect(await seen(world)).toEqual(states[i]);
        }
      } finally {
        world.close();
      }
    }),
    { numRuns: 20 },
  );
}, 120_000);

test('the kept stock is always what the ledger adds up to', async () => {
  await fc.assert(
    fc.asyncProperty(steps, async (todo) => {
      const world = await makeWorld();
      try {
        for (const step of todo) await perform(world, step);
        for (const { id, kind, form, stock } of await supplies(world)) {
          const { ledger } = (await world.http.get(`/api/supplies/${id}`)).body as { ledger: LedgerView[] };
          expect(stock).toEqual(stockFromLedger(ledger, formOf(kind, form)));
        }
      } finally {
        world.close();
      }
    }),
    { numRuns: 8 },
  );
}, 120_000);
