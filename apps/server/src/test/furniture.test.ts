import type { UnitView, WallView } from '@red-shelf/contract';
import { evenGrid } from '@red-shelf/core';
import { makeWorld, type World } from './world';

let world: World;
beforeEach(async () => (world = await makeWorld()));
afterEach(() => world.close());

const edit = ({ id, version, name, model, rules }: UnitView, more: object) =>
  world.http.put(`/api/units/${id}`).send({ version, name, model, rules, ...more });
const wall = async (): Promise<UnitView[]> =>
  ((await world.http.get('/api/wall').expect(200)).body as WallView).units;

test('furniture has no letter and no sizes of its own; what stands in it moves out when it goes, and comes back with undo', async () => {
  const facts = {
    outsideUm: { widthUm: 900_000, heightUm: 1_800_000, depthUm: 300_000 },
    pose: { alongUm: 0 },
    fixedTo: 'wall',
  };
  const said = { sort: 'piece', name: 'Shelves', model: null, rules: { kinds: ['ink'] }, facts };
  const piece = (await world.http.post('/api/units').send(said).expect(200)).body as { unit: UnitView };
  expect(piece.unit).toMatchObject({ sort: 'piece', label: '', facts });
  // A second one without a letter is no double.
  await world.http
    .post('/api/units')
    .send({ ...said, name: 'Cart' })
    .expect(200);
  const model = evenGrid(1, 2, { widthUm: 90_000, heightUm: 22_000, depthUm: 70_000 });
  const no = await world.http
    .post('/api/units')
    .send({ ...said, model })
    .expect(422);
  expect((no.body as { title: string }).title).toBe(
    'A piece holds units; put a unit into it that holds the things.',
  );
  await world.http
    .post('/api/units')
    .send({ ...said, sort: 'unit' })
    .expect(422);
  const inside = await world.rack({ parentId: piece.unit.id, facts: { pose: { upUm: 400_000 } } });
  expect(inside.facts.pose).toEqual({ upUm: 400_000 });
  const parentOf = async (): Promise<string | null | undefined> =>
    (await wall()).find(({ id }) => id === inside.id)?.parentId;
  const gone = await world.http
    .post(`/api/units/${piece.unit.id}/remove`)
    .send({ version: piece.unit.version })
    .expect(200);
  expect(await parentOf()).toBe('room');
  const { change } = gone.body as { change: { id: string } };
  await world.http.post(`/api/changes/${change.id}/undo`).send({}).expect(200);
  expect(await parentOf()).toBe(piece.unit.id);
  const tall = { ...facts, outsideUm: { ...facts.outsideUm, heightUm: 1 } };
  await edit(piece.unit, { facts: tall }).expect(422);
});
