import type { SupplyView } from '@red-shelf/contract';
import { INK, makeWorld, type World } from './world';

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

const act = (id: string, body: object) => world.http.post(`/api/supplies/${id}/ledger`).send(body);
const get = async (id: string): Promise<SupplyView> =>
  ((await world.http.get(`/api/supplies/${id}`)).body as { supply: SupplyView }).supply;
const undo = (change: { id: string }) => world.http.post(`/api/changes/${change.id}/undo`).send({});

test('what is added is there, with family and stock derived', async () => {
  const { id } = await world.add({ hex: 'teal' });
  expect(await get(id)).toMatchObject({
    hex: '#029386',
    family: 'teal',
    stock: { items: 1, left: 60, state: 'ok' },
    holdings: [{ as: 'whole', spot: null, items: 1, left: 60 }],
  });
});

test('use, refill, buy, count and discard write the ledger, and what is left follows', async () => {
  const { id } = await world.add();
  await act(id, { act: 'use', amount: 55 }).expect(200);
  expect((await get(id)).stock).toMatchObject({ left: 5, state: 'low', uses: 1 });
  await act(id, { act: 'refill' }).expect(200);
  await act(id, { act: 'buy', amount: 1 }).expect(200);
  expect((await get(id)).stock).toMatchObject({ items: 2, left: 120 });
  await act(id, { act: 'count', items: 1, left: 9 }).expect(200);
  await act(id, { act: 'discard', amount: 1 }).expect(200);
  const { body } = await world.http.get(`/api/supplies/${id}`);
  expect(body.supply.stock).toMatchObject({ items: 0, left: 0, state: 'out' });
  expect(body.ledger.map((entry: { act: string }) => entry.act)).toEqual([
    'count',
    'use',
    'refill',
    'buy',
    'count',
    'discard',
  ]);
});

test('every change can be undone, and the undo undone', async () => {
  const supply = await world.add();
  const used = await act(supply.id, { act: 'use', amount: 10 });
  const back = await undo(used.body.change).expect(200);
  expect((await get(supply.id)).stock).toMatchObject({ left: 60, uses: 0 });
  await undo(back.body.change).expect(200);
  expect((await get(supply.id)).stock.left).toBe(50);

  const edited = await world.http
    .put(`/api/supplies/${supply.id}`)
    .send({ ...INK, name: 'Moss', version: 1 });
  await undo(edited.body.change).expect(200);
  expect((await get(supply.id)).name).toBe('Fern Gate');

  const version = (await get(supply.id)).version;
  const removed = await world.http.post(`/api/supplies/${supply.id}/remove`).send({ version });
  await world.http.get(`/api/supplies/${supply.id}`).expect(404);
  await undo(removed.body.change).expect(200);
  expect((await get(supply.id)).stock.left).toBe(50);
  await undo(removed.body.change).expect(409);
});

test('an undo that would overwrite a later change is refused', async () => {
  const supply = await world.add();
  const first = await world.http.put(`/api/supplies/${supply.id}`).send({ ...INK, name: 'Moss', version: 1 });
  await world.http
    .put(`/api/supplies/${supply.id}`)
    .send({ ...INK, name: 'Sedge', version: 2 })
    .expect(200);
  const refused = await undo(first.body.change).expect(409);
  expect(refused.body.code).toBe('changed_since');
  expect((await get(supply.id)).name).toBe('Sedge');
});

test('of two windows editing one supply the second is told, with both versions, and nothing is overwritten', async () => {
  const { id } = await world.add();
  await world.http
    .put(`/api/supplies/${id}`)
    .send({ ...INK, name: 'Moss', version: 1 })
    .expect(200);
  const { body } = await world.http
    .put(`/api/supplies/${id}`)
    .send({ ...INK, name: 'Sedge', version: 1 })
    .expect(409);
  expect(body).toMatchObject({
    code: 'stale',
    current: { name: 'Moss', version: 2 },
    yours: { name: 'Sedge' },
  });
  expect((await get(id)).name).toBe('Moss');
});

test.each([
  [{ hex: 'sort of green' }, 'hex', /“sort of green” is not a colour/],
  [{ hex: '' }, 'hex', /Give a colour/],
  [{ name: '  ' }, 'name', /Give it a name/],
  [{ name: 'x'.repeat(121) }, 'name', /at most 120/],
  [{ kind: 'spoon' }, 'kind', /Choose a kind/],
  [{ form: 'spool' }, 'form', /does not exist for this kind/],
  [{ count: { items: -1, left: 0 } }, 'count.items', /less than nothing/],
  [{ count: { items: 1.5, left: 0 } }, 'count.items', /whole number/],
])('adding %j is refused at %s with a sentence', async (more, path, message) => {
  const { status, body, headers } = await world.http.post('/api/supplies').send({ ...INK, ...more });
  expect(status).toBe(422);
  expect(headers['content-type']).toMatch(/problem\+json/);
  expect(body.fields).toContainEqual(
    expect.objectContaining({ path, message: expect.stringMatching(message) }),
  );
  expect((await world.http.get('/api/supplies')).body.supplies).toEqual([]);
});

test('stock acts that cannot be are refused', async () => {
  const card = await world.add({ kind: 'cardstock', form: 'sheet-12', count: { items: 3, left: 3 } });
  const refusal = await act(card.id, { act: 'use', amount: 4 }).expect(422);
  expect(refusal.body).toMatchObject({ code: 'more_than_left', title: expect.stringMatching(/Only 3 left/) });
  await act(card.id, { act: 'refill' }).expect(422);
  await act(card.id, { act: 'use', amount: -1 }).expect(422);
  await act(card.id, { act: 'eat', amount: 1 }).expect(422);
  expect((await get(card.id)).stock.left).toBe(3);
});

test('unknown ids and addresses are 404, broken JSON is 400, other sites are 403', async () => {
  await world.http.get('/api/supplies/nobody').expect(404);
  await world.http.post('/api/supplies/nobody/ledger').send({ act: 'refill' }).expect(404);
  await world.http.post('/api/changes/nobody/undo').send({}).expect(404);
  await world.http.get('/api/nowhere').expect(404);
  await world.http.get('/api/supplies/%E0%A4%A').expect(400);
  const broken = await world.http
    .post('/api/supplies')
    .set('Content-Type', 'application/json')
    .send('{"name":');
  expect(broken.status).toBe(400);
  expect(broken.body.code).toBe('not_json');
  await world.http.get('/api/supplies').set('Host', 'evil.example').expect(403);
  await world.http.post('/api/supplies').set('Origin', 'http://evil.example').send(INK).expect(403);
});
