import {
  arrangePreview,
  arrangeRequest,
  spotsOf,
  type ArrangePreview,
  type RecordView,
  type Strips,
  type UnitView,
} from '@red-shelf/contract';
import { eq } from 'drizzle-orm';
import { supplies } from '../db/schema';
import { previewHere } from '../services/arrange/arrange';
import { systemPorts } from '../services/ports';
import { mainOf, makeWorld, type World } from './world';

let world: World;
beforeEach(async () => (world = await makeWorld()));
afterEach(() => world.close());

const GREENS = ['#205020', '#d5f0d5', '#4c9a52', '#a8d8a8', '#70b070', '#2f6f33'];
const pads = async (hexes: readonly string[] = GREENS): Promise<string[]> => {
  const ids: string[] = [];
  for (const [i, hex] of hexes.entries()) ids.push((await world.add({ name: `Pad ${i}`, hex })).id);
  return ids;
};
const shelf = (more: object = {}) =>
  world.rack({
    name: 'Shelf',
    model: {
      ...{ model: 'run', how: 'stand', lengthUm: 420_000, heightUm: 300_000, depthUm: 300_000 },
      ...{ lipUm: 0, fingerUm: 0 },
    },
    ...more,
  });
const ask = (path: string, body: object, status = 200) =>
  world.http.post(`/api/arrange/${path}`).send(body).expect(status);
const preview = async (body: object): Promise<ArrangePreview> =>
  arrangePreview.parse((await ask('preview', body)).body);
/** Names in the order they stand in a unit. */
const standing = async (unitId: string): Promise<string> => {
  const found: { name: string; at: number }[] = [];
  const { body } = await world.http.get('/api/export.json');
  const { supplies, holdings } = body as {
    supplies: { id: string; name: string }[];
    holdings: { supplyId: string; spot: { unitId: string; cell: number | null; rank: number } | null }[];
  };
  for (const { supplyId, spot } of holdings)
    if (spot?.unitId === unitId)
      found.push({
        name: supplies.find(({ id }) => id === supplyId)?.name.replace('Pad ', '') ?? '',
        at: spot.cell ?? spot.rank,
      });
  return found
    .sort((p, q) => p.at - q.at)
    .map(({ name }) => name)
    .join(' ');
};

test('a shelf is put in order with the fewest lifts, at once or one by one, and holds no more than goes in', async () => {
  const unit = await shelf();
  const ids = await pads();
  for (const id of ids.slice(0, 4)) await world.put(id, { unitId: unit.id, cell: null });
  expect(await standing(unit.id)).toBe('0 1 2 3');
  const body = { kinds: ['ink'], unitIds: [unit.id] };
  const plan = await preview(body);
  // A pad is 98 mm long: four of the six go in; light to dark, two of them keep their places.
  expect(plan.leftOver.map(({ reason }) => reason.code)).toEqual(['no_room', 'no_room']);
  expect(plan.remedies[0]).toMatchObject({ unitId: null, takes: 2 });
  expect(plan.after.units[0]?.slots).toHaveLength(4);
  const { change } = (await ask('apply', { ...body, token: plan.token })).body as { change: { id: string } };
  const order = await standing(unit.id);
  const lightness = order.split(' ').map((name) => ['1', '3', '4', '2', '5', '0'].indexOf(name));
  expect(lightness).toEqual([...lightness].sort((p, q) => p - q));
  expect((await preview(body)).lifts).toBe(0);
  await world.http.post(`/api/changes/${change.id}/undo`).send({}).expect(200);
  expect(await standing(unit.id)).toBe('0 1 2 3');
});

test('a thing is set down right before another where they share a length', async () => {
  const unit = await shelf({
    model: {
      model: 'run',
      how: 'stand',
      lengthUm: 900_000,
      heightUm: 300_000,
      depthUm: 300_000,
      lipUm: 0,
      fingerUm: 0,
    },
  });
  const ids = await pads();
  for (const id of ids.slice(0, 3)) await world.put(id, { unitId: unit.id, cell: null });
  const [first, second] = [mainOf(await world.supply(ids[0]!)), mainOf(await world.supply(ids[1]!))];
  for (const id of ids.slice(3)) await world.put(id, { unitId: unit.id, cell: null, before: second.id });
  expect(await standing(unit.id)).toBe('0 3 4 5 1 2');
  // Several at once, and one that stands there already.
  const last = mainOf(await world.supply(ids[2]!));
  const moves = [
    { id: last.id, version: last.version, place: { unitId: unit.id, cell: null, before: first.id } },
    { id: first.id, version: first.version, place: { unitId: unit.id, cell: null } },
  ];
  const { body } = await world.http.post('/api/holdings/moves').send({ moves }).expect(200);
  // All of them are in hand first: what is not there yet is no neighbour.
  expect(await standing(unit.id)).toBe('3 4 5 1 2 0');
  await world.http.post(`/api/changes/${(body as { change: { id: string } }).change.id}/undo`).send({});
  expect(await standing(unit.id)).toBe('0 3 4 5 1 2');
});

test('cells, a shelf and a box are filled in one path; several racks are emptied into one', async () => {
  const [rack, other] = [await world.rack({ name: 'Rack' }), await world.rack({ name: 'Old' })];
  const box = await world.rack({
    name: 'Box',
    model: { model: 'loose', widthUm: 300_000, heightUm: 200_000, depthUm: 200_000, fillPercent: 70 },
  });
  const board = await shelf();
  const ids = await pads([
    ...GREENS,
    '#c23b42',
    '#8c1c22',
    '#3468b0',
    '#9cc3ea',
    '#e6842e',
    '#f2cd3a',
    '#7d4f9e',
  ]);
  for (const [cell, id] of ids.slice(0, 5).entries()) await world.put(id, { unitId: other.id, cell });
  const body = { kinds: ['ink'], unitIds: [rack.id, board.id, box.id], outOf: [other.id] };
  const plan = await preview(body);
  expect(plan.leftOver).toEqual([]);
  expect(plan.freed).toEqual([other.id]);
  expect(new Set(plan.after.units.map(({ unitId }) => unitId)).size).toBe(4);
  expect(plan.after.units.flatMap(({ slots }) => slots.flatMap((id) => id ?? [])).sort()).toEqual(
    [...ids].sort(),
  );
  await ask('apply', { ...body, token: plan.token });
  expect(await standing(other.id)).toBe('');
});

test('what is to stay stays: a thing, a spot, a place; and all of it is said', async () => {
  const unit = await world.rack();
  const ids = await pads(GREENS.slice(0, 3));
  for (const [cell, id] of ids.entries()) await world.put(id, { unitId: unit.id, cell });
  const body = { kinds: ['ink'], unitIds: [unit.id] };
  const dark = await world.supply(ids[0]!);
  await world.http
    .post('/api/supplies/batch')
    .send({ supplies: [dark], set: { stays: true } })
    .expect(200);
  const edit = (facts: object, of: UnitView = unit) =>
    world.http
      .put(`/api/units/${unit.id}`)
      .send({ ...{ version: of.version, name: of.name, model: of.model, rules: of.rules }, facts })
      .expect(200);
  const { unit: spotted } = (await edit({ spotsStay: [{ row: 1, column: 0 }] })).body as { unit: UnitView };
  const { after } = await preview(body);
  expect(after.units[0]?.slots[0]).toBe(ids[0]);
  expect(after.units[0]?.slots[3]).toBeNull();
  await edit({ stays: true }, spotted);
  expect((await ask('preview', body, 422)).body).toMatchObject({
    code: 'all_stay',
    title: expect.stringMatching(/^Rack: you said to leave it as it is/) as string,
  });
});

test('a plan is begun from what was looked at, or not at all', async () => {
  const unit = await world.rack();
  const ids = await pads(GREENS.slice(0, 4));
  for (const [cell, id] of ids.entries()) await world.put(id, { unitId: unit.id, cell });
  const body = { kinds: ['ink'], unitIds: [unit.id] };
  const { token, lifts } = await preview(body);
  expect(lifts).toBeGreaterThan(1);
  const { record } = (await ask('start', { ...body, token })).body as { record: RecordView };
  if (record.body.sort !== 'plan') throw new Error('no plan');
  // Nothing was moved; the plan knows where each goes and where it stood.
  expect(await standing(unit.id)).toBe('0 1 2 3');
  const [to, from] = [spotsOf(record.body, 'to'), spotsOf(record.body, 'from')];
  expect([...to.keys()].every((id) => from.get(id)?.unitId === unit.id)).toBe(true);
  await world.put(ids[0]!, null);
  expect((await ask('start', { ...body, token }, 409)).body).toMatchObject({ code: 'preview_outdated' });
  const next = await preview(body);
  await ask('apply', { ...body, token: next.token });
  const done = await preview(body);
  expect((await ask('start', { ...body, token: done.token }, 422)).body).toMatchObject({
    code: 'nothing_to_do',
  });
  for (const [bad, says] of [
    [{ unitIds: [] }, 'Choose at least one rack to arrange into.'],
    [{ kinds: [] }, 'Choose at least one kind to arrange.'],
    [{ near: 2 }, /./],
    [{ scheme: { familyOrder: [], lightness: 'light-first', smooth: 3 } }, 'Smoothness goes from 0 to 1.'],
  ] as const) {
    const { body: problem } = await ask('preview', { ...body, ...bad }, 422);
    expect(JSON.stringify(problem)).toMatch(says);
  }
  await ask('preview', { ...body, unitIds: ['nowhere'] }, 404);
  await ask('preview', { kinds: ['ribbon'], unitIds: [unit.id] }, 422);
});

test('any past arrangement can be gone back to, whatever was done since', async () => {
  const unit = await world.rack();
  const ids = await pads(GREENS.slice(0, 4));
  for (const [cell, id] of ids.entries()) await world.put(id, { unitId: unit.id, cell });
  const body = { kinds: ['ink'], unitIds: [unit.id] };
  const { token } = await preview(body);
  const { change } = (await ask('apply', { ...body, token })).body as { change: { id: string } };
  const arranged = await standing(unit.id);
  expect(arranged).not.toBe('0 1 2 3');
  await world.put(ids[2]!, null);
  const { record } = (await ask('back', { changeId: change.id })).body as { record: RecordView };
  if (record.body.sort !== 'plan') throw new Error('no plan');
  const to = spotsOf(record.body, 'to');
  const spots = await Promise.all(ids.map(async (id) => mainOf(await world.supply(id))));
  for (const [cell, { id, spot }] of spots.entries())
    expect(to.has(id) ? to.get(id) : spot).toMatchObject({ unitId: unit.id, cell });
  await ask('back', { changeId: 'never' }, 404);
  await world.http.post(`/api/changes/${change.id}/undo`).send({}).expect(200);
  await world.put(ids[2]!, { unitId: unit.id, cell: 2 });
  await ask('back', { changeId: change.id }, 422);
});

test('when each family and place will be full is said once it is known how fast things come', async () => {
  const unit = await world.rack();
  const ids = await pads(GREENS.slice(0, 3));
  const body = { kinds: ['ink'], unitIds: [unit.id] };
  expect((await preview(body)).full).toEqual([]);
  // A year on, two of them having come since.
  const from = (days: number): string => new Date(Date.now() - days * 86_400_000).toISOString();
  for (const [i, id] of ids.entries())
    await world.store.write((tx) =>
      tx
        .update(supplies)
        .set({ createdAt: from([400, 200, 90][i] ?? 0) })
        .where(eq(supplies.id, id)),
    );
  const { full } = await preview(body);
  const rack = full.find(({ id }) => id === unit.id);
  expect(rack?.open).toBe(3);
  expect(rack?.when && rack.when.low < rack.when.median && rack.when.median < rack.when.high).toBe(true);
});

test('pads stand with the refills of their colour, collections whole, where that is asked for', async () => {
  const unit = await world.rack({ model: { ...(await world.rack()).model! } });
  const [fern, kiln] = [
    await world.add({ name: 'Fern Gate', hex: '#4c9a52' }),
    await world.add({ name: 'Kiln Door', hex: '#c23b42' }),
  ];
  const foam = await world.add({ name: 'Fern Gate pad', hex: '#f0f0f0' });
  const body = { kinds: ['ink'], unitIds: [unit.id] };
  const order = async (more: object): Promise<(string | null)[]> =>
    (await preview({ ...body, ...more })).after.units[0]!.slots.filter((id) => id !== null);
  expect(await order({})).toEqual([kiln.id, fern.id, foam.id]);
  await world.http
    .post('/api/records')
    .send({
      body: {
        sort: 'group',
        what: 'collection',
        name: 'Meadow',
        members: [
          { supplyId: kiln.id, amount: 0 },
          { supplyId: foam.id, amount: 0 },
        ],
      },
    })
    .expect(200);
  expect(await order({ together: ['collections'] })).toEqual([kiln.id, foam.id, fern.id]);
  expect(await order({ together: ['companions'] })).toEqual([kiln.id, fern.id, foam.id]);
});

test('how far a preview is can be asked under the name it was given', async () => {
  const unit = await world.rack();
  await pads(GREENS.slice(0, 3));
  const progress = async () =>
    (await world.http.get('/api/arrange/progress/mine').expect(200)).body as { done: number; total: number };
  expect((await progress()).done).toBe(0);
  await ask('preview', { kinds: ['ink'], unitIds: [unit.id], watch: 'mine' });
  // It is done, and nobody keeps it in mind any more.
  expect((await progress()).done).toBe(0);
  const seen: number[] = [];
  const context = { store: world.store, ports: systemPorts };
  const request = arrangeRequest.parse({ kinds: ['ink'], unitIds: [unit.id] });
  await previewHere(context, request, ({ done, total }) => seen.push(done / total));
  expect(seen).toEqual([1, 2, 3, 4, 5, 6, 7, 8].map((each) => each / 8));
});

test('strips show what lies between light to dark and the smoothest, on the person’s own things', async () => {
  await pads(
    Array.from({ length: 40 }, (_, i) => `#${((i * 2654435761) >>> 8).toString(16).padStart(6, '0')}`),
  );
  const { ids, stops } = (await ask('strips', { kinds: ['ink'] })).body as Strips;
  expect(ids).toHaveLength(40);
  const [light, smooth] = [stops[0]!, stops.at(-1)!];
  expect([light.smooth, smooth.smooth]).toEqual([0, 1]);
  expect(light.byLightness).toBe(1);
  expect(smooth.meanStep).toBeLessThan(light.meanStep! * 0.9);
  for (const { row } of stops) expect([...row].sort((p, q) => p - q)).toEqual([...ids.keys()]);
});
