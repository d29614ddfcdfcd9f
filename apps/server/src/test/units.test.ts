import {
  dealtWithIn,
  type ArrangePreview,
  type RecordView,
  type UnitView,
  type WallView,
} from '@red-shelf/contract';
import { records } from '../db/schema';
import { evenGrid } from '@red-shelf/core';
import { mainOf, makeWorld, type World } from './world';

let world: World;
beforeEach(async () => (world = await makeWorld()));
afterEach(() => world.close());

const rack = (name = 'Rack'): Promise<UnitView> => world.rack({ name });
const edit = (unit: UnitView, more: object) =>
  world.http.put(`/api/units/${unit.id}`).send({
    version: unit.version,
    name: unit.name,
    model: unit.model,
    rules: unit.rules,
    facts: unit.facts,
    ...more,
  });
const wall = async (): Promise<UnitView[]> =>
  ((await world.http.get('/api/wall').expect(200)).body as WallView).units;
const arranged = async (body: object): Promise<ArrangePreview> =>
  (await world.http.post('/api/arrange/preview').send(body).expect(200)).body as ArrangePreview;
const named = async (names: Map<string, string>, body: object): Promise<string[]> =>
  (await arranged(body)).after.units.map(({ slots }) =>
    slots.map((id) => (id ? names.get(id) : '-')).join(' '),
  );

test('a unit that is put away lets go of what was in it, takes nothing, and undo brings all of it back', async () => {
  const unit = await rack();
  const { id } = await world.add();
  const place = { unitId: unit.id, cell: 2 };
  await world.put(id, place);
  const put = await edit(unit, { facts: { standing: 'spare', keptAt: 'loft' } }).expect(200);
  const placeNow = async (): Promise<unknown> => mainOf(await world.supply(id)).spot;
  expect(await placeNow()).toBeNull();
  expect((await wall())[0]?.facts).toEqual({ standing: 'spare', keptAt: 'loft' });
  expect((put.body as { lifted: unknown }).lifted).toEqual([{ supplyId: id, name: 'Fern Gate' }]);
  const refused = await world.put(id, place, 422);
  expect(refused.body).toMatchObject({ title: 'Rack is put away; bring it back to the wall first.' });
  await world.http
    .post('/api/arrange/preview')
    .send({ kinds: ['ink'], unitIds: [unit.id] })
    .expect(422);
  const { change } = put.body as { change: { id: string } };
  await world.http.post(`/api/changes/${change.id}/undo`).send({}).expect(200);
  expect(await placeNow()).toEqual({ ...place, rank: 0 });
});

test('units move in the order of the wall; a stale edit and a foreign neighbour are refused', async () => {
  const [a, b, c] = [await rack('A'), await rack('B'), await rack('C')];
  const moved = await edit(c, { after: null }).expect(200);
  expect((await wall()).map(({ name }) => name)).toEqual(['C', 'A', 'B']);
  await edit(c, { name: 'Late' }).expect(409);
  // That others were moved makes a unit no other one.
  await edit(a, { version: 1, after: 'nobody' }).expect(404);
  await edit(b, { version: 1, rules: { kinds: ['ink'], cap: 0 } }).expect(422);
  const { change } = moved.body as { change: { id: string } };
  await world.http.post(`/api/changes/${change.id}/undo`).send({}).expect(200);
  expect((await wall()).map(({ name }) => name)).toEqual(['A', 'B', 'C']);
});

test('racks are filled as they say: as a snake, with columns skipped', async () => {
  const unit = await rack();
  const names = new Map<string, string>();
  for (const [i, hex] of ['#a8d8a8', '#70b070', '#4c9a52', '#205020'].entries())
    names.set((await world.add({ name: String(i), hex })).id, String(i));
  const body = { kinds: ['ink'], unitIds: [unit.id] };
  expect(await named(names, body)).toEqual(['0 - 1 2 3 -']);
  await edit(unit, { model: { ...unit.model, filling: 'snake', skipColumns: [2] } }).expect(200);
  expect(await named(names, body)).toEqual(['0 - 1 3 - 2']);
});

test('a limit is kept when arranging: no more than it allows, counting what stays', async () => {
  const unit = await rack();
  await edit(unit, { rules: { kinds: ['ink'], cap: 2 } }).expect(200);
  for (const name of ['a', 'b', 'c']) await world.add({ name });
  const plan = await arranged({ kinds: ['ink'], unitIds: [unit.id] });
  expect(plan.after.figures.placed).toBe(2);
  expect(plan.leftOver.map(({ reason }) => reason.code)).toEqual(['no_room']);
});

test('a rack that holds a palette takes its colours and no others', async () => {
  const [family, home] = [await rack('Family'), await rack('Palette')];
  const names = new Map<string, string>();
  const ids: string[] = [];
  for (const name of ['a', 'b', 'c', 'd']) {
    const { id } = await world.add({ name, hex: '#c04040' });
    names.set(id, name);
    ids.push(id);
  }
  const body = {
    sort: 'group',
    what: 'palette',
    name: 'Wedding',
    members: [ids[1], ids[3]].map((supplyId) => ({ supplyId, amount: 1 })),
    home: home.id,
  };
  await world.http
    .post('/api/records')
    .send({ body: { ...body, home: 'nowhere' } })
    .expect(404);
  const added = await world.http.post('/api/records').send({ body }).expect(200);
  expect((added.body as { record: RecordView }).record.body).toMatchObject({ home: home.id });
  const [first, second] = await named(names, { kinds: ['ink'], unitIds: [family.id, home.id] });
  expect(first?.replace(/[- ]/g, '')).toBe('ac');
  expect(second?.replace(/[- ]/g, '')).toBe('bd');
});

test('a recipe decides the order, and what is used most goes nearest', async () => {
  const [far, near] = [await rack('Far'), await rack('Near')];
  await edit(near, { facts: { reach: 'near' } }).expect(200);
  const names = new Map<string, string>();
  for (const [name, maker, hex, uses] of [
    ['z', 'Aldous', '#c04040', 0],
    ['y', 'Aldous', '#4040c0', 0],
    ['x', 'Brill', '#c04040', 0],
    ['often', 'Brill', '#4040c0', 15],
  ] as const) {
    const { id } = await world.add({ name, maker, hex });
    names.set(id, name);
    if (uses > 0)
      await world.http.post(`/api/supplies/${id}/ledger`).send({ act: 'use', amount: 1 }).expect(200);
    for (let i = 1; i < uses; i++)
      await world.http.post(`/api/supplies/${id}/ledger`).send({ act: 'use', amount: 1 });
  }
  const body = { kinds: ['ink'], unitIds: [far.id, near.id] };
  const byName = await named(names, { ...body, recipes: { ink: ['name'] } });
  expect(byName.join(' ').replace(/- ?/g, '').trim().split(/\s+/)).toEqual(['often', 'x', 'y', 'z']);
  const byUse = await named(names, { ...body, recipes: { ink: ['how often used', 'name'] } });
  expect(byUse[1]).toMatch(/^(- )*often/);
});

test('needs and challenges are records like any other: checked, kept, undone', async () => {
  const need = { sort: 'need', what: 'divider', where: 'card file', count: 3 };
  const added = await world.http.post('/api/records').send({ body: need }).expect(200);
  await world.http
    .post('/api/records')
    .send({ body: { ...need, count: -1 } })
    .expect(422);
  await world.http
    .post('/api/records')
    .send({ body: { ...need, what: 'sofa' } })
    .expect(422);
  const challenge = {
    sort: 'challenge',
    unitId: 'nowhere',
    unitName: 'A',
    from: '2026-06-01',
    until: '2026-06-15',
  };
  await world.http.post('/api/records').send({ body: challenge }).expect(404);
  const { change } = added.body as { change: { id: string; name: string } };
  expect(change.name).toBe('divider for card file');
  await world.http.post(`/api/changes/${change.id}/undo`).send({}).expect(200);
  const { body } = await world.http.get('/api/records').expect(200);
  expect((body as { records: unknown[] }).records).toEqual([]);
});

test('a rack is sorted out: what left it still counts there, and a sitting says what it goes through', async () => {
  const unit = await rack();
  const supply = await world.add();
  await world.put(supply.id, { unitId: unit.id, cell: 0 });
  const session = { sort: 'session', what: 'sort out', name: 'Rack', kind: null, form: null };
  const keep = (body: object) => world.http.post('/api/records').send({ body });
  const { body } = await keep({ ...session, unitId: unit.id }).expect(200);
  const { id } = (body as { record: RecordView }).record;
  const verdict = { version: supply.version, verdict: 'let go', sessionId: id };
  await world.http.post(`/api/supplies/${supply.id}/verdict`).send(verdict).expect(200);
  const { body: listed } = await world.http.get('/api/records').expect(200);
  expect(dealtWithIn((listed as { records: RecordView[] }).records, id)).toMatchObject([
    { supplyId: supply.id, verdict: 'let go', unitId: unit.id },
  ]);
  const refused = await keep(session).expect(422);
  expect(JSON.stringify(refused.body)).toContain('goes through one kind or one rack');
  await keep({ ...session, what: 'pile', unitId: unit.id }).expect(422);
  await keep({ ...session, unitId: 'nowhere' }).expect(404);
});

test('a record an earlier version kept is shown with the fields that came since', async () => {
  const at = '2026-01-01T00:00:00.000Z';
  const body = { sort: 'session', what: 'sort out', name: 'Inks', kind: 'ink', form: null } as never;
  await world.store.write((tx) =>
    tx
      .insert(records)
      .values({ id: 'old', version: 1, sort: 'session', body, createdAt: at, updatedAt: at, removedAt: null })
      .then(() => undefined),
  );
  const { body: listed } = await world.http.get('/api/records').expect(200);
  expect((listed as { records: RecordView[] }).records[0]?.body).toMatchObject({ unitId: null, shared: {} });
});

test('a drawer that is a rack takes its own things and no others, and they go nowhere else', async () => {
  const [family, drawer] = [await rack('Family'), await rack('Drawer')];
  const names = new Map<string, string>();
  for (const [name, maker] of [
    ['a', 'Aldous'],
    ['b', 'Brill'],
    ['c', 'Aldous'],
  ] as const)
    for (const i of [1, 2, 3]) names.set((await world.add({ name: `${name}${i}`, maker })).id, `${name}${i}`);
  const plan = {
    sort: 'drawers',
    name: 'Drawers of inks',
    kind: 'ink',
    key: 'maker',
    drawers: [{ unitId: drawer.id, holds: [{ group: 'Brill' }] }, { holds: [{ group: 'Aldous' }] }],
  };
  const keep = (body: object) => world.http.post('/api/records').send({ body });
  await keep({ ...plan, drawers: [{ unitId: 'nowhere', holds: [] }] }).expect(404);
  await keep({ ...plan, form: 'spool' }).expect(422);
  await keep({ ...plan, drawers: [] }).expect(422);
  const body = { kinds: ['ink'], unitIds: [family.id, drawer.id] };
  expect((await named(names, body))[1]).toMatch(/[ac]/);
  await keep(plan).expect(200);
  const [first, second] = await named(names, body);
  expect(second?.replace(/ ?-/g, '').trim().split(' ').sort()).toEqual(['b1', 'b2', 'b3']);
  expect(first).not.toContain('b');
});

test('sections of purposes are arranged in the person’s own order', async () => {
  const pocket = { widthUm: 100_000, heightUm: 140_000, depthUm: 4000 };
  const unit = await world.rack({ model: evenGrid(1, 4, pocket), rules: { kinds: ['sticker'] } });
  const names = new Map<string, string>();
  for (const purpose of ['birthdays', 'coffee, Mondays', 'tea']) {
    const facts = { attributes: { purpose } };
    const sheet = { kind: 'sticker' as const, form: 'sheet', name: purpose.slice(0, 3), facts };
    names.set((await world.add({ ...sheet, count: { items: 1, left: 1 } })).id, purpose.slice(0, 3));
  }
  const purposes = [
    { name: 'tea', also: [] },
    { name: 'Coffee', also: ['Fridays'] },
  ];
  const scheme = { familyOrder: [], lightness: 'light-first', purposes };
  const request = { kinds: ['sticker'], unitIds: [unit.id], recipes: { sticker: ['purpose'] } };
  expect((await named(names, request))[0]?.replace(/ ?-/g, '').trim()).toBe('bir cof tea');
  expect((await named(names, { ...request, scheme }))[0]?.replace(/ ?-/g, '').trim()).toBe('tea cof bir');
});

test('a run takes what its length takes; what outgrew it stays, also through a document', async () => {
  const run = { model: 'run', how: 'stand', lengthUm: 250_000, heightUm: 60_000, depthUm: 120_000, lipUm: 0 };
  const unit = await world.rack({ name: 'Sill', model: { ...run, fingerUm: 0 } as never });
  const [a, b, c] = [await world.add(), await world.add(), await world.add()];
  await world.put(a.id, { unitId: unit.id, cell: null });
  await world.put(b.id, { unitId: unit.id, cell: null });
  const { body } = await world.put(c.id, { unitId: unit.id, cell: null }, 422);
  expect((body as { code: string; title: string }).code).toBe('run_full');
  expect((body as { title: string }).title).toMatch(
    /^It does not fit any more: it needs [\d.]+ mm, and [\d.]+ mm are left\.$/,
  );
  await edit(unit, { model: { ...run, fingerUm: 180_000 } }).expect(200);
  const written = (await world.http.get('/api/export.json').expect(200)).body as object;
  await world.http.post('/api/restore').send(written).expect(200);
  expect((await world.supply(b.id)).holdings[0]?.spot).toMatchObject({
    unitId: unit.id,
    cell: null,
    rank: 1,
  });
});

test('with a column more everything keeps its row and column, and undo brings it back as it was', async () => {
  const unit = await rack();
  const ids: string[] = [];
  for (const cell of [0, 3, 5]) {
    const { id } = await world.add({ name: `Pad ${cell}` });
    await world.put(id, { unitId: unit.id, cell });
    ids.push(id);
  }
  const cells = async () =>
    Promise.all(ids.map(async (id) => mainOf(await world.supply(id)).spot?.cell ?? null));
  const wider = evenGrid(2, 5, { widthUm: 102_000, heightUm: 22_000, depthUm: 120_000 });
  const { body } = await edit(unit, { model: wider }).expect(200);
  expect([await cells(), body.lifted]).toEqual([[0, 5, 7], []]);
  await world.http.post(`/api/changes/${body.change.id}/undo`).send({}).expect(200);
  expect(await cells()).toEqual([0, 3, 5]);
  const [now] = await wall();
  const narrow = evenGrid(2, 2, { widthUm: 102_000, heightUm: 22_000, depthUm: 120_000 });
  const less = await edit(now!, { model: narrow }).expect(200);
  expect([await cells(), less.body.lifted]).toEqual([[0, 2, null], [{ supplyId: ids[2], name: 'Pad 5' }]]);
  await world.http.post(`/api/changes/${less.body.change.id}/undo`).send({}).expect(200);
  expect(await cells()).toEqual([0, 3, 5]);
});
