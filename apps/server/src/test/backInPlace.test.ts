import type { SupplyView, UnitView } from '@red-shelf/contract';
import { makeWorld, mainOf, type World } from './world';

/** What was taken out of a place goes back to it, also where the place would take nothing more. */

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

const undo = (id: string, status = 200) => world.http.post(`/api/changes/${id}/undo`).send({}).expect(status);
const isIn = async ({ id }: SupplyView): Promise<number | null | undefined> =>
  mainOf(await world.supply(id)).spot?.cell;

/** A rack with two things in it that is for one since. */
async function overfull(): Promise<{ unit: UnitView; a: SupplyView; b: SupplyView }> {
  const unit = await world.rack();
  const [a, b] = [await world.add(), await world.add({ name: 'Reed' })];
  for (const [cell, { id }] of [a, b].entries()) await world.put(id, { unitId: unit.id, cell });
  const rules = { ...unit.rules, cap: 1 };
  const { body } = await world.http
    .put(`/api/units/${unit.id}`)
    .send({ ...unit, rules })
    .expect(200);
  return { unit: (body as { unit: UnitView }).unit, a, b };
}

test('a thing goes back to a rack that holds more than its limit, as it did before', async () => {
  const { b } = await overfull();
  const { body } = await world.put(b.id, null);
  const back = await undo(body.change.id);
  expect([await isIn(b), back.body.kept]).toEqual([1, []]);
  await undo(back.body.change.id);
  expect(await isIn(b)).toBeUndefined();
});

test('once something else came into its place, it stays out', async () => {
  const { unit, a, b } = await overfull();
  const { body } = await world.put(b.id, null);
  await world.put(a.id, null);
  const c = await world.add({ name: 'Clay' });
  await world.put(c.id, { unitId: unit.id, cell: 2 });
  const no = await undo(body.change.id, 409);
  expect(no.body.title).toBe(
    'That cannot be undone any more: the place of Reed is taken, or takes it no longer.',
  );
  expect(await isIn(b)).toBeUndefined();
});

test.each([
  ['the one that leaves', 1],
  ['the one that stays', 0],
])('of two of which %s was let go, the one they become is there, where it stood', async (_, gone) => {
  const unit = await world.rack();
  const two = [await world.add(), await world.add({ name: 'Fern Gates' })];
  const seen = ({ id, version }: SupplyView) => ({ id, version });
  await world.http
    .post(`/api/supplies/${two[gone]!.id}/verdict`)
    .send({ version: 1, verdict: 'let go' })
    .expect(200);
  await world.put(two[1 - gone]!.id, { unitId: unit.id, cell: 2 });
  const [keep, other] = [await world.supply(two[0]!.id), await world.supply(two[1]!.id)];
  const { body } = await world.http
    .post('/api/supplies/merge')
    .send({ keep: seen(keep), other: seen(other) })
    .expect(200);
  expect(body.supply.facts.status).not.toBe('gone');
  const placed = (supply: SupplyView) => supply.holdings.flatMap(({ spot }) => spot?.cell ?? []);
  expect(placed(body.supply as SupplyView)).toEqual([2]);
  const back = await undo(body.change.id);
  const again = await undo(back.body.change.id);
  expect([back.body.kept, again.body.kept]).toEqual([[], []]);
  expect(placed(await world.supply(keep.id))).toEqual([2]);
});
