import type { SupplyView } from '@red-shelf/contract';
import { evenGrid } from '@red-shelf/core';
import { INK, mainOf, makeWorld, rackOf, type World } from './world';

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

const count = async (): Promise<number> =>
  ((await world.http.get('/api/supplies')).body.supplies as unknown[]).length;
const undo = (change: { id: string }) => world.http.post(`/api/changes/${change.id}/undo`).send({});
const CARD = {
  kind: 'cardstock',
  form: 'sheet-12',
  count: { items: 30, left: 30 },
  parts: { pack: 2 },
} as const;
const drawer = () =>
  world.rack({
    name: 'Cupboard',
    model: { model: 'loose', widthUm: 330_000, heightUm: 200_000, depthUm: 320_000, fillPercent: 70 },
    rules: { kinds: ['ink', 'cardstock'] },
  });

test('a command sent twice is done once and answers the same; its name serves no other', async () => {
  const named = (id: string) => world.http.post('/api/supplies').set('Command-Id', id);
  const first = await named('shop-visit-1').send(INK).expect(200);
  const again = await named('shop-visit-1').send(INK).expect(200);
  expect(again.body).toEqual(first.body);
  expect(await count()).toBe(1);
  const { supply } = first.body as { supply: SupplyView };
  const other = world.http.post(`/api/supplies/${supply.id}/ledger`).set('Command-Id', 'shop-visit-1');
  expect((await other.send({ act: 'use', amount: 1 }).expect(422)).body.code).toBe('command_reused');
  // What was refused may succeed later, under the same name.
  await named('shop-visit-2')
    .send({ ...INK, name: '' })
    .expect(422);
  await named('shop-visit-2').send(INK).expect(200);
  expect(await count()).toBe(2);
  await named('x').send(INK).expect(422);
});

test('what was done earlier and told later keeps both times, and never lies in the future', async () => {
  const { id } = await world.add();
  const use = (at: string) =>
    world.http.post(`/api/supplies/${id}/ledger`).set('Command-At', at).send({ act: 'use', amount: 1 });
  await use('2026-05-03T10:00:00.000Z').expect(200);
  await use('2999-01-01T00:00:00.000Z').expect(200);
  await use('yesterday').expect(422);
  const { ledger } = (await world.http.get(`/api/supplies/${id}`)).body as {
    ledger: { at: string; recordedAt: string }[];
  };
  expect(ledger[1]?.at).toBe('2026-05-03T10:00:00.000Z');
  expect(Date.parse(ledger[1]!.recordedAt)).toBeGreaterThan(Date.parse('2026-05-03T10:00:00.000Z'));
  expect(ledger[2]?.at.slice(0, 4)).not.toBe('2999');
});

test('a supply lives in several places: sheets in the file, packs and some sheets in the cupboard, scraps with their size', async () => {
  const file = await world.rack({
    name: 'File',
    model: evenGrid(1, 4, { widthUm: 12_000, heightUm: 310_000, depthUm: 310_000 }),
    rules: { kinds: ['cardstock'] },
  });
  const cupboard = await drawer();
  const { id } = await world.add(CARD);
  await world.put(id, { unitId: file.id, cell: 1 });
  const move = async (as: string, place: object, amount?: number) => {
    const lot = (await world.supply(id)).holdings.find((each) => each.as === as)!;
    return world.http.put(`/api/holdings/${lot.id}/place`).send({ version: lot.version, place, amount });
  };
  const inCupboard = { unitId: cupboard.id, cell: null };
  expect((await move('pack', inCupboard)).status).toBe(200);
  const split = await move('whole', inCupboard, 10);
  expect(split.status).toBe(200);
  const scrapSize = { widthUm: 90_000, heightUm: 60_000 };
  await world.http
    .post(`/api/supplies/${id}/ledger`)
    .send({ act: 'cut', amount: 2, items: 0, left: 3, scrapSize })
    .expect(200);
  const lots = (await world.supply(id)).holdings.map(({ as, items, left, spot, sizeUm }) => [
    as,
    as === 'whole' ? left : items,
    spot?.unitId ?? null,
    sizeUm,
  ]);
  expect(lots).toEqual(
    expect.arrayContaining([
      ['whole', 18, file.id, null],
      ['whole', 10, cupboard.id, null],
      ['pack', 2, cupboard.id, null],
      ['scrap', 3, null, scrapSize],
    ]),
  );
  expect((await world.supply(id)).stock).toMatchObject({ left: 28, parts: { pack: 2, scrap: 3 }, used: 2 });
  // Put back where the rest lives, it is one lot again; undone, it is two.
  const apart = (await world.supply(id)).holdings.filter(({ as }) => as === 'whole');
  const away = apart.find(({ spot }) => spot?.unitId === cupboard.id)!;
  const joined = await world.http
    .put(`/api/holdings/${away.id}/place`)
    .send({ version: away.version, place: { unitId: file.id, cell: 1 } })
    .expect(200);
  expect(
    (await world.supply(id)).holdings.filter(({ as }) => as === 'whole').map(({ left }) => left),
  ).toEqual([28]);
  await undo(joined.body.change).expect(200);
  expect(
    (await world.supply(id)).holdings.filter(({ as }) => as === 'whole').map(({ left }) => left),
  ).toEqual([18, 10]);
});

test('placing says the version it saw, and so does a count; the later of two windows is told', async () => {
  const rack = await world.rack();
  const { id } = await world.add();
  const lot = mainOf(await world.supply(id));
  await world.put(id, { unitId: rack.id, cell: 0 });
  const stale = await world.http
    .put(`/api/holdings/${lot.id}/place`)
    .send({ version: lot.version, place: null });
  expect([stale.status, stale.body.code]).toEqual([409, 'stale']);
  const counted = { act: 'count', items: 1, left: 30, lotId: lot.id, version: lot.version };
  expect((await world.http.post(`/api/supplies/${id}/ledger`).send(counted)).status).toBe(409);
  await world.http
    .post(`/api/supplies/${id}/ledger`)
    .send({ ...counted, version: lot.version + 1 })
    .expect(200);
  await world.http.post('/api/supplies/x/place').send({}).expect(404);
});

test('a unit changes its sizes, letter and what it is made for; what no longer fits is named, and undo puts it back', async () => {
  const rack = await world.rack(rackOf(2, 3));
  const things = [await world.add({ name: 'Low' }), await world.add({ name: 'High' })];
  for (const [i, { id }] of things.entries()) await world.put(id, { unitId: rack.id, cell: i * 3 });
  const { id, version, name, facts, rules } = rack;
  const model = {
    ...evenGrid(2, 3, { widthUm: 102_000, heightUm: 22_000, depthUm: 70_000 }),
    rowsUm: [22_000, 12_000],
  };
  const edited = await world.http
    .put(`/api/units/${id}`)
    .send({ version, name, facts, rules, model, label: 'q' })
    .expect(200);
  expect(edited.body).toMatchObject({ unit: { label: 'Q' }, lifted: [{ name: 'High' }] });
  expect(mainOf(await world.supply(things[1]!.id)).spot).toBeNull();
  const made = await world.http
    .put(`/api/units/${id}`)
    .send({ ...edited.body.unit, rules: { kinds: ['marker'] } })
    .expect(200);
  expect(made.body.lifted).toEqual([{ supplyId: things[0]!.id, name: 'Low' }]);
  for (const { body } of [made, edited]) await undo(body.change).expect(200);
  expect(mainOf(await world.supply(things[1]!.id)).spot).toMatchObject({ unitId: id, cell: 3 });
  const second = await world.rack();
  const clash = await world.http
    .put(`/api/units/${second.id}`)
    .send({ ...second, label: 'A' })
    .expect(422);
  expect(clash.body.title).toBe('Rack has the letter A already; choose another.');
  await world.http
    .put(`/api/units/${id}`)
    .send({ ...rack, version: version + 4, parentId: second.id })
    .expect(200);
  const ring = await world.http.put(`/api/units/${second.id}`).send({ ...second, parentId: id });
  expect([ring.status, ring.body.title]).toEqual([
    422,
    'A unit cannot stand in itself, or in what stands in it.',
  ]);
});

test('undo takes back what can be taken back, and names what cannot', async () => {
  const rack = await world.rack(rackOf(1, 3));
  const [a, b] = [await world.add({ name: 'Anchor' }), await world.add({ name: 'Buoy' })];
  await world.put(a.id, { unitId: rack.id, cell: 0 });
  await world.put(b.id, { unitId: rack.id, cell: 1 });
  const seen = [a, b].map(({ id, version }) => ({ id, version }));
  const lifted = await world.http
    .post('/api/supplies/batch')
    .send({ supplies: seen, set: { lift: true } })
    .expect(200);
  const thief = await world.add({ name: 'Thief' });
  await world.put(thief.id, { unitId: rack.id, cell: 0 });
  const undone = await undo(lifted.body.change).expect(200);
  expect(undone.body.kept).toEqual([{ what: 'place', name: 'Anchor', why: 'taken' }]);
  expect(mainOf(await world.supply(b.id)).spot).toMatchObject({ cell: 1 });
  // A removal whose slot was given away comes back all the same, without a place.
  const removed = await world.http
    .post(`/api/supplies/${b.id}/remove`)
    .send({ version: (await world.supply(b.id)).version })
    .expect(200);
  await world.put(a.id, { unitId: rack.id, cell: 1 });
  const back = await undo(removed.body.change).expect(200);
  expect(back.body.kept).toEqual([{ what: 'place', name: 'Buoy', why: 'taken' }]);
  expect(mainOf(await world.supply(b.id)).spot).toBeNull();
});

test('a restore is taken back only while nothing came after it, and a rack that is undone lets go of what is in it', async () => {
  const document = (await world.http.get('/api/export.json')).body as object;
  const restored = await world.http.post('/api/restore').send(document).expect(200);
  const { id } = await world.add({ name: 'Later' });
  const refused = await undo(restored.body.change).expect(409);
  expect(refused.body.title).toMatch(/^One thing was done since/);
  const put = await world.http.post('/api/units').send(rackOf(1, 2)).expect(200);
  await world.put(id, { unitId: put.body.unit.id as string, cell: 0 });
  const down = await undo(put.body.change).expect(200);
  expect(down.body.kept).toEqual([{ what: 'place', name: 'Later', why: 'refused' }]);
  expect(mainOf(await world.supply(id)).spot).toBeNull();
});

test('a refill takes from the bottle what it gives, by weight where it was weighed, and one undo takes both back', async () => {
  const attributes = { emptyMass: 9500, fullMass: 12_300 };
  const marker = await world.add({
    kind: 'marker',
    form: 'alcohol-dual',
    name: 'Reed',
    count: { items: 1, left: 10 },
    facts: { attributes },
  });
  const bottle = await world.add({ form: 'refill', name: 'Reed', count: { items: 1, left: 12 } });
  const weights = { beforeMg: 9700, afterMg: 12_300 };
  const refilled = await world.http
    .post(`/api/supplies/${marker.id}/ledger`)
    .send({ act: 'refill', fromId: bottle.id, weights })
    .expect(200);
  const full = (await world.supply(marker.id)).stock.left;
  expect(full).toBeGreaterThan(10);
  // 2.6 ml of 12 ml, of 12 uses.
  expect((await world.supply(bottle.id)).stock).toMatchObject({ left: 9, uses: 1, used: 3 });
  await undo(refilled.body.change).expect(200);
  expect([(await world.supply(marker.id)).stock.left, (await world.supply(bottle.id)).stock.left]).toEqual([
    10, 12,
  ]);
  const wrong = { act: 'refill', weights: { beforeMg: 12_300, afterMg: 9700 } };
  expect(
    (await world.http.post(`/api/supplies/${marker.id}/ledger`).send(wrong).expect(422)).body.title,
  ).toMatch(/weighs less/);
});
