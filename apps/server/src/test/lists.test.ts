/** Lists and documents in and out. Long, since each brings in, looks, and takes back through the same few steps. */
import { inStash } from '@red-shelf/core';
import type { ImportPreview, ImportProgress, RecordView, SupplyView, UploadView } from '@red-shelf/contract';
import { demoRoom } from '../demo/room';
import { listedIn, makeWorld, type World } from './world';

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

const upload = (content: string | Buffer) =>
  world.http.post('/api/imports').set('Content-Type', 'application/octet-stream').send(content);
const supplies = async (): Promise<SupplyView[]> => listedIn(await world.http.get('/api/supplies'));
const defaults = { kind: 'ink' };

async function previewed(csv: string) {
  const list = (await upload(csv).expect(200)).body as UploadView;
  const choices = { mapping: list.mapping, defaults };
  const preview = (await world.http.post(`/api/imports/${list.id}/preview`).send(choices).expect(200))
    .body as ImportPreview;
  return { list, choices, preview };
}

async function imported(id: string): Promise<ImportProgress> {
  for (;;) {
    const progress = (await world.http.get(`/api/imports/${id}`)).body as ImportProgress;
    if (progress.state !== 'running') return progress;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

async function bring(csv: string, leaveOutRefused = false) {
  const { list, choices, preview } = await previewed(csv);
  const answer = await world.http
    .post(`/api/imports/${list.id}/commit`)
    .send({ ...choices, token: preview.token, leaveOutRefused });
  return { answer, list, preview, progress: await imported(list.id) };
}

const rows = (n: number): string =>
  'Code;Colour;Name;Qty\n' +
  Array.from(
    { length: n },
    (_, i) => `${i};#${(i * 2531).toString(16).padStart(6, '0').slice(-6)};Ink ${i};1`,
  ).join('\n');

test('a preview writes nothing; importing writes all; a second time changes nothing; undo takes all back', async () => {
  const first = await previewed(rows(120));
  expect(first.preview).toMatchObject({ add: 120, change: 0, refuse: 0 });
  expect(await supplies()).toEqual([]);
  const { progress } = await bring(rows(120));
  expect(progress).toMatchObject({ state: 'done', done: 120, total: 120 });
  expect(await supplies()).toHaveLength(120);
  expect((await previewed(rows(120))).preview).toMatchObject({ add: 0, same: 120 });
  await world.http.post(`/api/changes/${progress.changeId}/undo`).send({}).expect(200);
  expect(await supplies()).toEqual([]);
});

test('5,000 rows come in', async () => {
  const { progress } = await bring(rows(5000));
  expect(progress).toMatchObject({ state: 'done', done: 5000 });
  expect(await supplies()).toHaveLength(5000);
}, 60_000);

test('refused rows stop an import unless they are left out on purpose', async () => {
  const csv = 'Name,Colour,Quantity\nFern,#4c9a52,1\nMoss,greenery-ish,1\nSedge,#333,-4\n';
  const stopped = await bring(csv);
  expect(stopped.answer.status).toBe(422);
  expect(stopped.preview.rows.map(({ verdict }) => verdict)).toEqual(['add', 'refuse', 'refuse']);
  expect(await supplies()).toEqual([]);
  await bring(csv, true);
  expect((await supplies()).map(({ name }) => name)).toEqual(['Fern']);
});

test('an import changes what is there only where the file says so, counts through the ledger, and is undone whole', async () => {
  const fern = await world.add({ maker: '', note: 'dry', finish: 'shimmer' });
  const { progress, preview } = await bring('Name,Colour,Quantity\nFern Gate,#2f9596,3\nNew One,#333,1\n');
  expect(preview).toMatchObject({ add: 1, change: 1 });
  expect((await supplies()).find(({ id }) => id === fern.id)).toMatchObject({
    hex: '#2f9596',
    family: 'teal',
    note: 'dry',
    finish: 'shimmer',
    version: 2,
    stock: { items: 3, left: 180 },
  });
  await world.http.post(`/api/changes/${progress.changeId}/undo`).send({}).expect(200);
  const [only, ...others] = await supplies();
  expect(others).toEqual([]);
  expect(only).toMatchObject({ id: fern.id, hex: '#4c9a52', stock: { items: 1, left: 60 } });
  const { body } = await world.http.get(`/api/supplies/${fern.id}`);
  expect(body.ledger.map((entry: { act: string }) => entry.act)).toEqual(['count', 'count', 'undo']);
});

test('an import is all or nothing: cancelled midway, nothing of it is there', async () => {
  const { list, choices, preview } = await previewed(rows(5000));
  await world.http
    .post(`/api/imports/${list.id}/commit`)
    .send({ ...choices, token: preview.token, leaveOutRefused: false })
    .expect(200);
  await world.http.delete(`/api/imports/${list.id}`).expect(200);
  expect((await imported(list.id)).state).toBe('cancelled');
  expect(await supplies()).toEqual([]);
}, 60_000);

test('an import whose outcome has changed since the preview is refused', async () => {
  const { list, choices, preview } = await previewed('Name,Colour\nFern Gate,#4c9a52\n');
  await world.add({ maker: '' });
  const { body } = await world.http
    .post(`/api/imports/${list.id}/commit`)
    .send({ ...choices, token: preview.token, leaveOutRefused: false })
    .expect(409);
  expect(body.code).toBe('preview_outdated');
});

test.each([
  ['an empty file', '', 422, 'csv_empty'],
  ['an open quotation mark', 'Name,Colour\n"Fern,#333\n', 422, 'csv_open_quote'],
  ['a picture', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1]), 422, 'csv_not_text'],
  ['20 MB', Buffer.alloc(20 * 1024 * 1024, 'a,b\n'), 413, 'too_large'],
])('%s is refused with a sentence', async (_, content, status, code) => {
  const response = await upload(content);
  expect(response.status).toBe(status);
  expect(response.body).toMatchObject({ code, title: expect.stringMatching(/\.$/) });
});

test('the CSV that goes out comes in again without changing anything', async () => {
  await world.http
    .post('/api/restore')
    .send(demoRoom(Date.parse('2026-06-01')))
    .expect(200);
  const { text } = await world.http.get('/api/export.csv').expect(200);
  const { preview } = await previewed(text);
  expect(preview).toMatchObject({
    add: 0,
    change: 0,
    refuse: 0,
    same: (await supplies()).filter(inStash).length,
  });
});

test('the whole stash goes out as JSON and comes back as the identical state, and that can be undone', async () => {
  const fern = await world.add();
  const room = demoRoom(Date.parse('2026-06-01'));
  const restored = await world.http.post('/api/restore').send(room).expect(200);
  const exported = async () => ({ ...(await world.http.get('/api/export.json')).body, exportedAt: '' });
  const before = await exported();
  expect(before.supplies).toHaveLength(room.supplies.length);
  const listed = await supplies();
  await world.add({ name: 'Passing' });
  await world.http
    .post('/api/restore')
    .send({ ...before, exportedAt: room.exportedAt })
    .expect(200);
  expect(await exported()).toEqual(before);
  expect(await supplies()).toEqual(listed);
  expect((await world.http.post(`/api/changes/${restored.body.change.id}/undo`).send({})).status).toBe(409);
  const again = await world.http.post('/api/restore').send({
    ...before,
    supplies: [],
    holdings: [],
    events: [],
    exportedAt: room.exportedAt,
  });
  await world.http.post(`/api/changes/${again.body.change.id}/undo`).send({}).expect(200);
  expect(await exported()).toEqual(before);
  expect(listed.some(({ id }) => id === fern.id)).toBe(false);
});

test.each([
  [{ format: 'other' }, /not a Red Shelf document/],
  [
    { holdings: [{ id: 'g', version: 1, supplyId: 'ghost', as: 'whole', sizeUm: null, spot: null }] },
    /contradicts itself/,
  ],
  [{ events: [] }, /not where its moves say/],
  [{ units: [] }, /has no room/],
  [{ supplies: [{ id: 'x' }] }, /./],
])('a document with %j is refused and changes nothing', async (more, message) => {
  await world.add();
  const room = demoRoom(Date.parse('2026-06-01'));
  const { status, body } = await world.http.post('/api/restore').send({ ...room, ...more });
  expect(status).toBe(422);
  expect(body.title).toMatch(message);
  expect(await supplies()).toHaveLength(1);
});

test('the demo room is the same every time it is made, and large enough', () => {
  const [one, two] = [demoRoom(Date.parse('2026-06-01')), demoRoom(Date.parse('2026-06-01'))];
  expect(one).toEqual(two);
  expect(one.supplies.length).toBeGreaterThanOrEqual(160);
  expect(new Set(one.supplies.map(({ kind }) => kind)).size).toBe(6);
  expect(one.units.length).toBeGreaterThanOrEqual(3);
  const days = one.events.map(({ at }) => Date.parse(at));
  expect(Math.max(...days) - Math.min(...days)).toBeGreaterThan(150 * 86_400_000);
});

test('one reading of the list that failed does not stop the next', async () => {
  const { store, http } = world;
  await http.get('/api/supplies').expect(200);
  await world.add({ name: 'After a fault' });
  const broken = jest.spyOn(store.read, 'select').mockImplementationOnce(() => {
    throw new Error('the disk was busy');
  });
  const first = await http.get('/api/supplies');
  broken.mockRestore();
  const names = async (): Promise<string[]> =>
    listedIn(await http.get('/api/supplies').expect(200)).map(({ name }) => name);
  expect(first.status).toBe(500);
  expect(await names()).toContain('After a fault');
  await world.add({ name: 'And later' });
  expect(await names()).toContain('And later');
});

test('a list may call colours what forms may: by hex, by a screen’s names, and by the many others', async () => {
  const { preview } = await bring('Name,Colour\nA,Dusty Rose\nB,petrol\nC,teal\nD,not a colour at all\n');
  expect(preview.rows.map(({ verdict, hex }) => [verdict, hex])).toEqual([
    ['add', '#c57c8b'],
    ['add', '#005f6a'],
    ['add', '#029386'],
    ['refuse', null],
  ]);
});

test('what goes out as a list comes into an empty stash with its facts, and into its places where they stand', async () => {
  const rack = await world.rack();
  const facts = { price: { minor: 450, currency: 'EUR' }, attributes: { chemistry: 'pigment' }, spares: 1 };
  const fern = await world.add({ name: 'Fern Gate', facts });
  await world.put(fern.id, { unitId: rack.id, cell: 4 });
  const { text } = await world.http.get('/api/export.csv').expect(200);
  expect(text).toMatch(/Chemistry: pigment/);
  const { version } = await world.supply(fern.id);
  await world.http.post(`/api/supplies/${fern.id}/remove`).send({ version }).expect(200);
  await bring(text);
  const [back] = await supplies();
  expect(back).toMatchObject({
    name: 'Fern Gate',
    facts,
    holdings: [{ spot: { unitId: rack.id, cell: 4 } }],
  });
  // A place that is taken is not taken twice.
  await bring('Name,Colour,Place,Quantity\nMoss,#333,A2·02,1\n');
  expect((await supplies()).find(({ name }) => name === 'Moss')?.holdings[0]?.spot).toBeNull();
});

test('what lies in several lots and is put aside comes into an empty stash as it lay, and a changed list changes what is put aside', async () => {
  const rack = await world.rack({ rules: { kinds: ['ink', 'cardstock'] } });
  const card = await world.add({
    name: 'Quiet White',
    kind: 'cardstock',
    form: 'sheet-12',
    count: { items: 20, left: 20 },
    parts: { pack: 2 },
  });
  const act = (body: object) => world.http.post(`/api/supplies/${card.id}/ledger`).send(body).expect(200);
  const baseSize = { widthUm: 105_000, heightUm: 148_000 };
  await act({ act: 'cut', amount: 2, items: 6, left: 3, baseSize });
  const pad = await world.add({ name: 'Fern Gate', count: { items: 3, left: 170 } });
  await world.put(pad.id, { unitId: rack.id, cell: 1 });
  const main = (await world.supply(pad.id)).holdings[0];
  await world.http
    .put(`/api/holdings/${main?.id}/place`)
    .send({ version: main?.version, place: { unitId: rack.id, cell: 2 }, amount: 1 })
    .expect(200);
  const body = {
    sort: 'group',
    what: 'project',
    name: 'Winter cards',
    members: [
      { supplyId: card.id, amount: 5 },
      { supplyId: pad.id, amount: 2 },
    ],
  };
  await world.http.post('/api/records').send({ body }).expect(200);
  const standing = async (name: string) => {
    const found = (await supplies()).find((each) => each.name === name);
    const lots = (found?.holdings ?? []).filter(({ items, left }) => items + left > 0);
    return lots.map(({ as, items, left, sizeUm, spot }) => [as, items, left, sizeUm, spot?.cell]).sort();
  };
  const kept = async () =>
    ((await world.http.get('/api/records')).body.records as RecordView[]).flatMap(({ body: each }) =>
      each.sort === 'group' ? [[each.name, each.members.map(({ amount }) => amount).sort()]] : [],
    );
  const [cards, pads] = [await standing('Quiet White'), await standing('Fern Gate')];
  expect([cards.length, pads.length]).toEqual([4, 2]);
  const { text } = await world.http.get('/api/export.csv').expect(200);
  const { preview } = await bring(text);
  expect(preview.rows.map(({ verdict }) => verdict)).toEqual(['same', 'same']);
  await bring(text.replace('5 for Winter cards', '4 for winter cards; 1 for Tags'));
  expect(await kept()).toEqual(
    expect.arrayContaining([
      ['Winter cards', [2, 4]],
      ['Tags', [1]],
    ]),
  );
  for (const { id } of [card, pad]) {
    const { version } = await world.supply(id);
    await world.http.post(`/api/supplies/${id}/remove`).send({ version }).expect(200);
  }
  await bring(text);
  expect([await standing('Quiet White'), await standing('Fern Gate')]).toEqual([cards, pads]);
  expect((await kept()).find(([name]) => name === 'Winter cards')?.[1]).toEqual(
    expect.arrayContaining([5, 2]),
  );
  const history = (await world.http.get(`/api/supplies/${(await supplies())[0]?.id}`)).body
    .ledger as object[];
  expect(history.filter((each) => 'unlogged' in each)).toEqual([]);
});

test('a price that names no currency is in the person’s own', async () => {
  const preferences = {
    sort: 'preferences',
    familyOrder: [],
    lightness: 'light-first',
    units: 'inches',
    currency: 'JPY',
  };
  await world.http.post('/api/records').send({ body: preferences }).expect(200);
  await bring('Name,Colour,Price\nA,#333,450\nB,#444,4.50 EUR\n');
  expect((await supplies()).map(({ name, facts }) => [name, facts.price])).toEqual(
    expect.arrayContaining([
      ['A', { minor: 450, currency: 'JPY' }],
      ['B', { minor: 450, currency: 'EUR' }],
    ]),
  );
});
