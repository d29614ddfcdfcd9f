import type { ArrangePreview, UnitView } from '@red-shelf/contract';
import { evenGrid } from '@red-shelf/core';
import { listedIn, mainOf, makeWorld, rackOf, type World } from './world';

let world: World;
let rack: UnitView;
beforeEach(async () => {
  world = await makeWorld();
  rack = await world.rack(rackOf(2, 4));
});
afterEach(() => world.close());
const CELL = { widthUm: 10_000, heightUm: 10_000, depthUm: 10_000 };

const places = async (): Promise<Record<string, number | null>> => {
  return Object.fromEntries(
    listedIn(await world.http.get('/api/supplies')).map(({ name, holdings }) => [
      name,
      holdings[0]?.spot?.cell ?? null,
    ]),
  );
};
const put = (id: string, cell: number, status?: number) => world.put(id, { unitId: rack.id, cell }, status);

test('a slot holds one thing; another is told, and what does not fit hears both measures', async () => {
  const [fern, moss] = [await world.add(), await world.add({ name: 'Moss' })];
  await put(fern.id, 3);
  expect((await put(moss.id, 3, 409)).body.code).toBe('slot_taken');
  await put(moss.id, 8, 404);
  const wide = await world.add({ name: 'Wide', form: 'wide-pad' });
  expect((await put(wide.id, 0, 422)).body.title).toMatch(/132 mm wide, the slot 102 mm/);
});

test('arranging previews, applies all at once, and is undone all at once', async () => {
  const red = await world.add({ name: 'Red', hex: '#b3262b' });
  await world.add({ name: 'Blue', hex: '#3468b0' });
  await world.add({ name: 'Green', hex: '#4c9a52' });
  await put(red.id, 7);
  const request = { kinds: ['ink'], unitIds: [rack.id] };
  const preview = (await world.http.post('/api/arrange/preview').send(request).expect(200))
    .body as ArrangePreview;
  expect(preview).toMatchObject({
    moves: 3,
    leftOver: [],
    before: { figures: { placed: 1 } },
    after: { figures: { placed: 3, breaks: 2, emptySlots: 5 } },
  });
  expect(await places()).toEqual({ Red: 7, Blue: null, Green: null });
  const { body } = await world.http
    .post('/api/arrange/apply')
    .send({ ...request, token: preview.token })
    .expect(200);
  expect(await places()).toEqual({ Red: 0, Green: 3, Blue: 6 });
  await world.http.post(`/api/changes/${body.change.id}/undo`).send({}).expect(200);
  expect(await places()).toEqual({ Red: 7, Blue: null, Green: null });
});

test('a preview that is no longer true is not applied', async () => {
  const request = { kinds: ['ink'], unitIds: [rack.id] };
  await world.add();
  const { body } = await world.http.post('/api/arrange/preview').send(request);
  await world.add({ name: 'Moss' });
  expect(
    (
      await world.http
        .post('/api/arrange/apply')
        .send({ ...request, token: body.token })
        .expect(409)
    ).body.code,
  ).toBe('preview_outdated');
  expect(await places()).toEqual({ 'Fern Gate': null, Moss: null });
});

test('things of other kinds, and things in other racks, stay where they are unless asked for', async () => {
  const other = await world.rack(rackOf(1, 2, { name: 'Second' }));
  const far = await world.add({ name: 'Far' });
  await world.put(far.id, { unitId: other.id, cell: 1 });
  await world.add({ name: 'Near' });
  const preview = async (fromElsewhere: boolean) =>
    (
      await world.http
        .post('/api/arrange/preview')
        .send({ kinds: ['ink'], unitIds: [rack.id], fromElsewhere })
    ).body as ArrangePreview;
  expect((await preview(false)).after.figures.placed).toBe(1);
  expect((await preview(true)).after.figures.placed).toBe(2);
});

test('taking a rack down leaves its contents in the stash, and undo puts both back', async () => {
  const fern = await world.add();
  await put(fern.id, 2);
  const { body } = await world.http.post(`/api/units/${rack.id}/remove`).send({ version: 1 }).expect(200);
  expect(await places()).toEqual({ 'Fern Gate': null });
  expect((await world.http.get('/api/wall')).body.units).toEqual([]);
  await world.http.post(`/api/changes/${body.change.id}/undo`).send({}).expect(200);
  expect(await places()).toEqual({ 'Fern Gate': 2 });
});

test.each([
  [{ model: { ...evenGrid(1, 1, CELL), rowsUm: [] } }, /At least one row/],
  [{ model: { model: 'hammock' } }, /in cells, side by side, on one another or loose/],
  [{ name: '' }, /Give the unit a name/],
  [{ rules: { kinds: [] } }, /at least one kind/],
  [{ label: 'A' }, /has the letter A already/],
  [{ parentId: 'nowhere' }, /no such unit to stand in/],
])('putting up %j is refused', async (given, message) => {
  const { body } = await world.http.post('/api/units').send({ ...rackOf(1, 4), ...given });
  const { status } = body as { status: number };
  expect([404, 422]).toContain(status);
  expect(body.title).toMatch(message);
});

test('a thing that was measured is judged by its own size, not its form’s', async () => {
  const size = { widthUm: 120_000, heightUm: 20_000, depthUm: 60_000 };
  const wide = await world.add({ name: 'Broad pad', facts: { size } });
  const { body } = await put(wide.id, 5, 422);
  expect(body).toMatchObject({ code: 'too_wide', title: expect.stringMatching(/120 mm/) });
});

test('what was let go, by a verdict, an edit or a batch, leaves its slot and is brought in and arranged no more', async () => {
  const things = [await world.add(), await world.add({ name: 'Moss' }), await world.add({ name: 'Ivy' })];
  for (const [cell, { id }] of things.entries()) await put(id, cell);
  const [fern, moss, ivy] = listedIn(await world.http.get('/api/supplies'));
  if (!fern || !moss || !ivy) throw new Error('not there');
  const { version } = fern;
  await world.http.post(`/api/supplies/${fern.id}/verdict`).send({ version, verdict: 'let go' }).expect(200);
  const gone = { ...moss, facts: { ...moss.facts, status: 'gone' } };
  const edited = (await world.http.put(`/api/supplies/${moss.id}`).send(gone).expect(200)).body as {
    change: { id: string };
  };
  const seen = [{ id: ivy.id, version: ivy.version }];
  await world.http
    .post('/api/supplies/batch')
    .send({ supplies: seen, set: { status: 'gone' } })
    .expect(200);
  for (const supply of listedIn(await world.http.get('/api/supplies')))
    expect(supply).toMatchObject({ stock: { items: 0, state: 'out' }, holdings: [{ spot: null }] });
  const request = { kinds: ['ink'], unitIds: [rack.id] };
  const preview = await world.http.post('/api/arrange/preview').send(request).expect(422);
  expect(preview.body).toMatchObject({ code: 'nothing_there' });
  expect((await put(fern.id, 0, 422)).body.title).toMatch(/was let go/);
  expect((await world.http.get('/api/export.csv')).text.trim().split('\n')).toHaveLength(1);
  // Taken back, it is there again, in its slot.
  await world.http.post(`/api/changes/${edited.change.id}/undo`).send({}).expect(200);
  expect((await places()).Moss).toBe(1);
});

test('figures follow the way a rack is filled and what the recipe keeps together; left-out columns are no room', async () => {
  const model = { ...rackOf(2, 3).model, filling: 'columns', skipColumns: [3] };
  const unit = { ...rack, model };
  await world.http.put(`/api/units/${rack.id}`).send(unit).expect(200);
  // Down the columns: red red | blue blue.
  const inks = [
    ['#b3262b', 'Hollin', 0],
    ['#c8464c', 'Marram', 3],
    ['#3468b0', 'Hollin', 1],
    ['#9cc3ea', 'Marram', 4],
  ] as const;
  for (const [hex, maker, cell] of inks) {
    const { id } = await world.add({ name: `${maker} ${hex}`, hex, maker });
    await put(id, cell);
  }
  const preview = async (more: object): Promise<ArrangePreview> =>
    (await world.http.post('/api/arrange/preview').send({ kinds: ['ink'], unitIds: [rack.id], ...more }))
      .body as ArrangePreview;
  expect((await preview({})).before.figures).toMatchObject({ breaks: 1, emptySlots: 0, placed: 4 });
  const byRange = await preview({ recipes: { ink: ['name', 'code'] } });
  expect(byRange.by).toBe('family');
  const byType = await preview({ recipes: { ink: ['finish', 'maker'] } });
  expect(byType).toMatchObject({ by: 'finish', before: { figures: { breaks: 0 } } });
});

test('one pad more moves only what stands in its way, and the room for growth stays', async () => {
  const big = await world.rack(rackOf(5, 12));
  for (let i = 0; i < 40; i++)
    await world.add({ name: `Red ${i}`, hex: `#b3${(10 + i).toString(16).padStart(2, '0')}2b` });
  const request = { kinds: ['ink'], unitIds: [big.id] };
  const ask = async (): Promise<ArrangePreview> =>
    (await world.http.post('/api/arrange/preview').send(request).expect(200)).body as ArrangePreview;
  const first = await ask();
  await world.http
    .post('/api/arrange/apply')
    .send({ ...request, token: first.token })
    .expect(200);
  const applied = await ask();
  expect(applied).toMatchObject({ moves: 0, held: first.held });
  await world.add({ name: 'One more', hex: '#b31e2b' });
  expect((await ask()).moves).toBeLessThanOrEqual(8);
});

test('two things change places as one change, which one undo takes back; where one may not go, none does', async () => {
  const rack = await world.rack();
  const [a, b, c] = [await world.add(), await world.add({ name: 'Moss' }), await world.add({ name: 'Clay' })];
  await world.put(a.id, { unitId: rack.id, cell: 0 });
  await world.put(b.id, { unitId: rack.id, cell: 1 });
  await world.put(c.id, { unitId: rack.id, cell: 2 });
  const lots = async () => Promise.all([a, b, c].map(async ({ id }) => mainOf(await world.supply(id))));
  const cells = async () => (await lots()).map(({ spot }) => spot?.cell ?? null);
  const [first, second, third] = await lots();
  const to = (lot: typeof first, cell: number | null) => ({
    id: lot!.id,
    version: lot!.version,
    place: cell === null ? null : { unitId: rack.id, cell },
  });
  const move = (moves: object[]) => world.http.post('/api/holdings/moves').send({ moves });
  await move([to(first, 1), to(second, 2)]).expect(409);
  await move([to(first, 1), to(first, 2)]).expect(422);
  await move([{ ...to(first, 1), version: 99 }, to(second, 0)]).expect(409);
  expect(await cells()).toEqual([0, 1, 2]);
  const { body } = await move([to(first, 1), to(second, 0), to(third, null)]).expect(200);
  expect([body.change.count, await cells()]).toEqual([3, [1, 0, null]]);
  await world.http.post(`/api/changes/${body.change.id}/undo`).send({}).expect(200);
  expect(await cells()).toEqual([0, 1, 2]);
});
