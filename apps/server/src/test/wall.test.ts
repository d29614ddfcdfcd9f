import type { ArrangePreview, SupplyView, UnitView } from '@red-shelf/contract';
import { makeWorld, type World } from './world';

let world: World;
let rack: UnitView;
beforeEach(async () => {
  world = await makeWorld();
  const { body } = await world.http
    .post('/api/units')
    .send({ template: 'pad-rack', name: 'Pad rack', rows: 2, columns: 4 });
  rack = body.unit as UnitView;
});
afterEach(() => world.close());

const places = async (): Promise<Record<string, number | null>> => {
  const { body } = await world.http.get('/api/supplies');
  return Object.fromEntries(
    (body.supplies as SupplyView[]).map(({ name, place }) => [name, place?.slot ?? null]),
  );
};
const put = (id: string, slot: number) =>
  world.http.put(`/api/supplies/${id}/place`).send({ place: { unitId: rack.id, slot } });

test('a slot holds one thing; another is told, and what does not fit hears both measures', async () => {
  const [fern, moss] = [await world.add(), await world.add({ name: 'Moss' })];
  await put(fern.id, 3).expect(200);
  expect((await put(moss.id, 3).expect(409)).body.code).toBe('slot_taken');
  await put(moss.id, 8).expect(404);
  const wide = await world.add({ name: 'Wide', form: 'wide-pad' });
  expect((await put(wide.id, 0).expect(422)).body.title).toMatch(/132 mm wide, the slot 102 mm/);
});

test('arranging previews, applies all at once, and is undone all at once', async () => {
  const red = await world.add({ name: 'Red', hex: '#b3262b' });
  await world.add({ name: 'Blue', hex: '#3468b0' });
  await world.add({ name: 'Green', hex: '#4c9a52' });
  await put(red.id, 7).expect(200);
  const request = { kinds: ['ink'], unitIds: [rack.id] };
  const preview = (await world.http.post('/api/arrange/preview').send(request).expect(200))
    .body as ArrangePreview;
  expect(preview).toMatchObject({
    moves: 3,
    leftOver: [],
    before: { figures: { placed: 1 } },
    after: { figures: { placed: 3, familyBreaks: 2, emptySlots: 5 } },
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
  const other = (
    await world.http.post('/api/units').send({ template: 'pad-rack', name: 'Second', rows: 1, columns: 2 })
  ).body.unit as UnitView;
  const far = await world.add({ name: 'Far' });
  await world.http
    .put(`/api/supplies/${far.id}/place`)
    .send({ place: { unitId: other.id, slot: 1 } })
    .expect(200);
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
  await put(fern.id, 2).expect(200);
  const { body } = await world.http.post(`/api/units/${rack.id}/remove`).send({ version: 1 }).expect(200);
  expect(await places()).toEqual({ 'Fern Gate': null });
  expect((await world.http.get('/api/wall')).body.units).toEqual([]);
  await world.http.post(`/api/changes/${body.change.id}/undo`).send({}).expect(200);
  expect(await places()).toEqual({ 'Fern Gate': 2 });
});

test.each([
  [{ template: 'pad-rack', name: 'X', rows: 0, columns: 4 }, /At least one row/],
  [{ template: 'hammock', name: 'X', rows: 1, columns: 4 }, /Choose a kind of unit/],
  [{ template: 'pad-rack', name: '', rows: 1, columns: 4 }, /Give the unit a name/],
])('putting up %j is refused', async (given, message) => {
  const { status, body } = await world.http.post('/api/units').send(given);
  expect(status).toBe(422);
  expect(body.title).toMatch(message);
});

test('a thing that was measured is judged by its own size, not its form’s', async () => {
  const size = { widthUm: 120_000, heightUm: 20_000, depthUm: 60_000 };
  const wide = await world.add({ name: 'Broad pad', facts: { size } });
  const { body } = await put(wide.id, 5).expect(422);
  expect(body).toMatchObject({ code: 'too_wide', title: expect.stringMatching(/120 mm/) });
});
