import type { GapsView } from '@red-shelf/contract';
import { useDigest } from '../services/useDigest';
import { INK, makeWorld, rackOf, type World } from './world';

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

const gaps = async (): Promise<GapsView> => (await world.http.get('/api/gaps').expect(200)).body as GapsView;
const act = (id: string, body: object) =>
  world.http.post(`/api/supplies/${id}/ledger`).send(body).expect(200);

test('every question is answered, of an empty stash too', async () => {
  expect(await gaps()).toEqual({
    ...{ running: [], colours: [], ranges: [], partners: [], unused: [], doubles: [], room: [] },
  });
});

test('what is out is told, and not any more once it is bought or the use is taken back', async () => {
  const { id } = await world.add({ ...INK, count: { items: 1, left: 1 } });
  const used = await act(id, { act: 'count', items: 0, left: 0 });
  expect((await gaps()).running).toMatchObject([
    { supplyId: id, state: 'out', advice: { do: 'buy', bigger: false } },
  ]);
  const { change } = used.body as { change: { id: string } };
  await world.http.post(`/api/changes/${change.id}/undo`).send({}).expect(200);
  expect((await gaps()).running.filter(({ state }) => state === 'out')).toEqual([]);
});

test('what is used is read once and added to: uses, cuts, what a bottle gave, and what was taken back', async () => {
  const pad = await world.add({ ...INK, count: { items: 1, left: 50 } });
  const bottle = await world.add({ ...INK, form: 'refill', count: { items: 1, left: 12 } });
  const digest = useDigest(world.store);
  const amounts = async (id: string): Promise<number[]> =>
    (await digest.read())(id).map(({ amount }) => amount);
  expect(await amounts(pad.id)).toEqual([]);
  await act(pad.id, { act: 'use', amount: 3 });
  const second = await act(pad.id, { act: 'use', amount: 4 });
  expect(await amounts(pad.id)).toEqual([3, 4]);
  await act(pad.id, { act: 'refill', fromId: bottle.id });
  expect(await amounts(bottle.id)).toHaveLength(1);
  const { change } = second.body as { change: { id: string } };
  const undone = await world.http.post(`/api/changes/${change.id}/undo`).send({}).expect(200);
  expect(await amounts(pad.id)).toEqual([3]);
  const { change: back } = undone.body as { change: { id: string } };
  await world.http.post(`/api/changes/${back.id}/undo`).send({}).expect(200);
  expect((await amounts(pad.id)).sort()).toEqual([3, 4]);
});

test('doubles and a full rack are told; two records of one thing are one row', async () => {
  const rack = await world.rack(rackOf(1, 2));
  const first = await world.add({ ...INK, code: '77' });
  const second = await world.add({ ...INK, code: '77' });
  await world.put(first.id, { unitId: rack.id, cell: 0 });
  await world.put(second.id, { unitId: rack.id, cell: 1 });
  const { doubles, room } = await gaps();
  expect(doubles).toMatchObject([{ why: 'same', supplyIds: [first.id, second.id] }]);
  expect(room).toMatchObject([{ unitId: rack.id, filled: 2, of: 2, full: null }]);
});
