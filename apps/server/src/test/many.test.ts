/** Acts on many things at once. Long, since each asks the same of another act: once, whole, and undone as one. */
import { dealtWithIn, DOCUMENT_VERSION, type RecordView, type SupplyView } from '@red-shelf/contract';
import { eq } from 'drizzle-orm';
import { changes } from '../db/schema';
import { listedIn, INK, makeWorld, type World } from './world';

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

const list = async (): Promise<SupplyView[]> => listedIn(await world.http.get('/api/supplies'));
const undo = (change: { id: string }) => world.http.post(`/api/changes/${change.id}/undo`).send({});
const seen = ({ id, version }: SupplyView) => ({ id, version });

test('the ready list follows every change, and is not sent again when nothing changed', async () => {
  const { id } = await world.add();
  const first = await world.http.get('/api/supplies');
  const tag = String(first.headers.etag);
  await world.http.get('/api/supplies').set('If-None-Match', tag).expect(304);
  const used = await world.http.post(`/api/supplies/${id}/ledger`).send({ act: 'use', amount: 7 });
  const second = await world.http.get('/api/supplies').set('If-None-Match', tag).expect(200);
  expect(listedIn(second)[0]?.stock.left).toBe(53);
  await undo(used.body.change).expect(200);
  expect((await list())[0]?.stock.left).toBe(60);
  const removed = await world.http.post(`/api/supplies/${id}/remove`).send({ version: 1 });
  expect(await list()).toEqual([]);
  await undo(removed.body.change).expect(200);
  expect((await list()).map((supply) => supply.id)).toEqual([id]);
});

test('every supply gets a short number of its own, never given twice', async () => {
  const a = await world.add();
  const b = await world.add({ name: 'Moss' });
  expect([a.number, b.number]).toEqual([1, 2]);
  await world.http.post(`/api/supplies/${b.id}/remove`).send({ version: b.version });
  expect((await world.add({ name: 'Reed' })).number).toBe(3);
});

test('facts are kept, checked by field, and the true swatch decides the colour', async () => {
  const swatch = { id: 's', hex: '#112233', made: 'stamped', ground: 'white', taken: 'reader' } as const;
  const facts = { swatches: [swatch], trueSwatch: 's', tags: [], status: 'current' as const };
  const supply = await world.add({ facts });
  expect(supply).toMatchObject({ hex: '#112233', facts: { swatches: [swatch], trueSwatch: 's' } });
  expect(supply.facts.tags).toBeUndefined();
  const wrong = { ...INK, facts: { attributes: { chemistry: 'magic' }, status: 'trial' } };
  const { body } = await world.http.post('/api/supplies').send(wrong).expect(422);
  expect(body.fields.map((field: { path: string }) => field.path).sort()).toEqual([
    'facts.attributes.chemistry',
    'facts.decideOn',
  ]);
});

test('a batch changes all or none, and one undo takes it all back', async () => {
  const supplies = [await world.add(), await world.add({ name: 'Moss', facts: { tags: ['wet'] } })];
  const set = { status: 'retired', addTags: ['old'], dropTags: ['wet'], maker: 'Osselwick' };
  const { body } = await world.http
    .post('/api/supplies/batch')
    .send({ supplies: supplies.map(seen), set })
    .expect(200);
  expect((await list()).map(({ maker, facts }) => [maker, facts])).toEqual([
    ['Osselwick', { status: 'retired', tags: ['old'] }],
    ['Osselwick', { status: 'retired', tags: ['old'] }],
  ]);
  const stale = await world.http
    .post('/api/supplies/batch')
    .send({ supplies: [seen((await list())[0]!), seen(supplies[1]!)], remove: true });
  expect(stale.status).toBe(409);
  expect(await list()).toHaveLength(2);
  await undo(body.change).expect(200);
  expect((await list()).map(({ facts }) => facts.tags)).toEqual([undefined, ['wet']]);
  await world.http
    .post('/api/supplies/batch')
    .send({ supplies: supplies.map(seen), set: { status: 'trial' } })
    .expect(409);
});

test('a bought pack is split into colour lots with its purchase kept, all or none', async () => {
  const lot = (name: string, hex: string) => ({
    ...INK,
    kind: 'cardstock',
    form: 'sheet-12',
    name,
    hex,
    count: { items: 8, left: 8 },
  });
  const pack = {
    sort: 'group',
    what: 'pack',
    name: 'Autumn pack',
    acquiredOn: '2026-03-01',
    price: { minor: 1450, currency: 'EUR' },
  };
  const bad = { supplies: [lot('Rust', '#a04020'), lot('', '#c0a040')], pack };
  const refused = await world.http.post('/api/supplies/many').send(bad).expect(422);
  expect(refused.body.fields[0].path).toBe('supplies.1.name');
  expect(await list()).toEqual([]);
  const { body } = await world.http
    .post('/api/supplies/many')
    .send({ supplies: [lot('Rust', '#a04020'), lot('Straw', '#c0a040')], pack })
    .expect(200);
  const { records } = (await world.http.get('/api/records')).body as { records: RecordView[] };
  expect(records[0]?.body).toMatchObject({
    name: 'Autumn pack',
    price: { minor: 1450 },
    members: [
      { supplyId: body.ids[0], amount: 8 },
      { supplyId: body.ids[1], amount: 8 },
    ],
  });
  await undo(body.change).expect(200);
  expect(await list()).toEqual([]);
  expect((await world.http.get('/api/records')).body.records).toEqual([]);
});

test('two records that are one thing become one, with both histories, and can be parted again', async () => {
  const keep = await world.add({ facts: { tags: ['a'] } });
  const other = await world.add({ name: 'Fern gate', code: '418', facts: { tags: ['b'] } });
  await world.http.post(`/api/supplies/${other.id}/ledger`).send({ act: 'use', amount: 10 });
  const { body } = await world.http
    .post('/api/supplies/merge')
    .send({ keep: seen(keep), other: seen(other) })
    .expect(200);
  expect(body.supply).toMatchObject({
    code: '418',
    facts: { tags: ['a', 'b'] },
    stock: { items: 2, left: 110, uses: 1 },
  });
  expect(await list()).toHaveLength(1);
  await undo(body.change).expect(200);
  expect((await list()).map(({ stock }) => [stock.left, stock.uses])).toEqual([
    [60, 0],
    [50, 1],
  ]);
  const card = await world.add({ kind: 'cardstock', form: 'sheet-12', count: { items: 1, left: 1 } });
  const different = await world.http
    .post('/api/supplies/merge')
    .send({ keep: seen((await list())[0]!), other: seen(card) });
  expect(different.body.code).toBe('different_things');
});

test('a verdict writes the supply, its stock and its session in one change', async () => {
  const supply = await world.add();
  const session = { sort: 'session', what: 'sort out', name: 'Inks', kind: 'ink', form: null };
  const { body } = await world.http.post('/api/records').send({ body: session }).expect(200);
  const sessionId = (body as { record: RecordView }).record.id;
  const decided = await world.http
    .post(`/api/supplies/${supply.id}/verdict`)
    .send({ version: 1, verdict: 'let go', sessionId })
    .expect(200);
  expect(decided.body.supply).toMatchObject({ facts: { status: 'gone' }, stock: { items: 0, state: 'out' } });
  const dealtWith = async () => dealtWithIn((await world.http.get('/api/records')).body.records, sessionId);
  expect(await dealtWith()).toMatchObject([{ supplyId: supply.id, verdict: 'let go' }]);
  await undo(decided.body.change).expect(200);
  expect((await list())[0]).toMatchObject({ facts: {}, stock: { items: 1, left: 60 } });
  expect(await dealtWith()).toEqual([]);
  const kept = await world.http
    .post(`/api/supplies/${supply.id}/verdict`)
    .send({ version: 3, verdict: 'pass on' });
  expect(kept.body.supply.facts).toEqual({ status: 'leaving', grade: 'give away' });
});

test('the hundredth verdict of a sitting writes and tells no more than the first', async () => {
  const session = { sort: 'session', what: 'sort out', name: 'Inks', kind: 'ink', form: null };
  const { body } = await world.http.post('/api/records').send({ body: session }).expect(200);
  const sessionId = (body as { record: RecordView }).record.id;
  const supplies = await Promise.all(Array.from({ length: 100 }, () => world.add()));
  const sizes: { written: number; told: number }[] = [];
  for (const { id } of supplies) {
    const { seq } = (await world.http.get('/api/since/0')).body as { seq: number };
    const decided = await world.http
      .post(`/api/supplies/${id}/verdict`)
      .send({ version: 1, verdict: 'keep', sessionId })
      .expect(200);
    const [row] = await world.store.read
      .select({ inverse: changes.inverse })
      .from(changes)
      .where(eq(changes.id, decided.body.change.id));
    const news = (await world.http.get(`/api/since/${seq}`)).body as { changedRecords: RecordView[] };
    sizes.push({
      written: JSON.stringify(row?.inverse).length,
      told: JSON.stringify(news.changedRecords).length,
    });
  }
  const [first, last] = [sizes[0]!, sizes.at(-1)!];
  expect(last.written).toBeLessThan(first.written + 50);
  expect(last.told).toBeLessThan(first.told + 50);
  expect(dealtWithIn((await world.http.get('/api/records')).body.records, sessionId)).toHaveLength(100);
});

test('packs, sheets, bases and scraps: opened and cut, refused when there are too few', async () => {
  const card = await world.add({
    kind: 'cardstock',
    form: 'sheet-12',
    count: { items: 2, left: 2 },
    parts: { pack: 1 },
  });
  const act = (body: object) => world.http.post(`/api/supplies/${card.id}/ledger`).send(body);
  await act({ act: 'open', amount: 1, left: 25 }).expect(200);
  await act({ act: 'open', amount: 1, left: 25 }).expect(422);
  const { body } = await act({ act: 'cut', amount: 2, items: 4, left: 1 }).expect(200);
  expect(body.supply.stock).toMatchObject({ left: 25, parts: { base: 4, scrap: 1 } });
  await undo(body.change).expect(200);
  expect((await list())[0]?.stock).toMatchObject({ left: 27, parts: {} });
});

test('records are kept with versions, and what they speak of must be there', async () => {
  const supply = await world.add();
  const kit = {
    sort: 'group',
    what: 'kit',
    name: 'Winter cards',
    members: [{ supplyId: supply.id, amount: 1 }],
  };
  const { body } = await world.http.post('/api/records').send({ body: kit }).expect(200);
  const { id } = (body as { record: RecordView }).record;
  const dissolved = { ...kit, dissolvedOn: '2026-04-01' };
  await world.http.put(`/api/records/${id}`).send({ version: 1, body: dissolved }).expect(200);
  await world.http.put(`/api/records/${id}`).send({ version: 1, body: kit }).expect(409);
  await world.http
    .post('/api/records')
    .send({ body: { ...kit, matches: ['nobody'] } })
    .expect(404);
  await world.http
    .post('/api/records')
    .send({ body: { sort: 'group', what: 'kit', name: ' ' } })
    .expect(422);
  await world.http.post(`/api/records/${id}/remove`).send({ version: 2 }).expect(200);
  expect((await world.http.get('/api/records')).body.records).toEqual([]);
  const journal = (await world.http.get('/api/changes')).body.changes as { kind: string }[];
  expect(journal.map(({ kind }) => kind)).toEqual(['record', 'record', 'record', 'add']);
});

test('the document carries facts, parts and records there and back', async () => {
  const supply = await world.add({ facts: { tags: ['x'], grade: 'best' } });
  const preferences = {
    sort: 'preferences',
    familyOrder: ['pink', 'red'],
    lightness: 'dark-first',
    units: 'inches',
    currency: 'EUR',
  };
  await world.http.post('/api/records').send({ body: preferences }).expect(200);
  const document = (await world.http.get('/api/export.json')).body;
  expect(document.formatVersion).toBe(DOCUMENT_VERSION);
  await world.http.post('/api/restore').send(document).expect(200);
  const again = (await world.http.get('/api/export.json')).body;
  expect({ ...again, exportedAt: '' }).toEqual({ ...document, exportedAt: '' });
  expect((await list())[0]).toMatchObject({
    id: supply.id,
    number: 1,
    facts: { tags: ['x'], grade: 'best' },
  });
});

test('many are lifted out of their slots at once, and one undo sets them down where they stood', async () => {
  const { id: unitId } = await world.rack();
  const supplies = [await world.add(), await world.add({ name: 'Moss' })];
  for (const [cell, { id }] of supplies.entries()) await world.put(id, { unitId, cell });
  const { body } = await world.http
    .post('/api/supplies/batch')
    .send({ supplies: supplies.map(seen), set: { lift: true } })
    .expect(200);
  expect((await list()).map(({ holdings }) => holdings[0]?.spot)).toEqual([null, null]);
  await undo(body.change).expect(200);
  expect((await list()).map(({ holdings, facts }) => [holdings[0]?.spot?.cell, facts])).toEqual([
    [0, {}],
    [1, {}],
  ]);
});

test('what is used for a project or a kit is put aside for it no longer, and is again once that is taken back', async () => {
  const card = await world.add({ kind: 'cardstock', form: 'sheet-12', count: { items: 20, left: 20 } });
  const begin = async (what: string, name: string, amount: number) => {
    const body = { sort: 'group', what, name, members: [{ supplyId: card.id, amount }] };
    return ((await world.http.post('/api/records').send({ body }).expect(200)).body as { record: RecordView })
      .record.id;
  };
  const [project, kit] = [await begin('project', 'Winter cards', 6), await begin('kit', 'Tag kit', 5)];
  const act = async (body: object) =>
    (await world.http.post(`/api/supplies/${card.id}/ledger`).send(body).expect(200)).body;
  const kept = async () => {
    const { records } = (await world.http.get('/api/records')).body as { records: RecordView[] };
    const amountIn = (id: string) => {
      const body = records.find((each) => each.id === id)?.body;
      return body?.sort === 'group' ? body.members[0]?.amount : null;
    };
    return [amountIn(project), amountIn(kit)];
  };
  const used = await act({ act: 'use', amount: 2, heldFor: project });
  expect(await kept()).toEqual([4, 5]);
  await act({ act: 'cut', amount: 3, items: 6, left: 0, heldFor: kit });
  expect(await kept()).toEqual([4, 2]);
  await act({ act: 'use', amount: 1 });
  expect(await kept()).toEqual([4, 2]);
  const history = (await world.http.get(`/api/supplies/${card.id}`)).body.ledger as object[];
  expect(history).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ act: 'cut', project: 'Tag kit' }),
      expect.objectContaining({ act: 'use', project: 'Winter cards' }),
    ]),
  );
  await undo(used.change).expect(200);
  expect(await kept()).toEqual([6, 2]);
  await act({ act: 'use', amount: 9, heldFor: project });
  expect(await kept()).toEqual([0, 2]);
  await world.http
    .post(`/api/supplies/${card.id}/ledger`)
    .send({ act: 'use', amount: 1, heldFor: 'Winter cards' })
    .expect(404);
  const document = (await world.http.get('/api/export.json')).body as object;
  await world.http.post('/api/restore').send(document).expect(200);
});
