import { arrangePreview, type ArrangePreview } from '@red-shelf/contract';
import { colourDifference } from '@red-shelf/core';
import { makeWorld, rackOf, type World } from './world';

let world: World;
beforeEach(async () => (world = await makeWorld()));
afterEach(() => world.close());

const preview = async (body: object): Promise<ArrangePreview> =>
  arrangePreview.parse((await world.http.post('/api/arrange/preview').send(body).expect(200)).body);

test('a rack as a picture goes round what stays in it, keeps room among the colours, and stays near today', async () => {
  const { model } = rackOf(4, 6);
  if (model?.model !== 'grid') throw new Error('A rack has cells');
  // The last column is too narrow for a pad.
  const rack = await world.rack({ model: { ...model, columnsUm: [...model.columnsUm.slice(0, 5), 20_000] } });
  const hexes = Array.from(
    { length: 14 },
    (_, i) => `#${((i * 2654435761 + 40) >>> 8).toString(16).padStart(6, '0').slice(-6)}`,
  );
  const ids: string[] = [];
  for (const [i, hex] of hexes.entries()) ids.push((await world.add({ name: `Pad ${i}`, hex })).id);
  for (const [i, id] of ids.entries()) await world.put(id, { unitId: rack.id, cell: i + Math.floor(i / 5) });
  await world.http
    .post('/api/supplies/batch')
    .send({ supplies: [await world.supply(ids[7]!)], set: { stays: true } })
    .expect(200);
  const body = { kinds: ['ink'], unitIds: [rack.id] };
  const picture = { scheme: { familyOrder: [], lightness: 'light-first', picture: true } };
  const { before, after, held, leftOver, token } = await preview({ ...body, ...picture });
  expect(after.figures.beside).toBeLessThan(before.figures.beside!);
  const row = after.units[0]!.slots;
  expect(leftOver).toEqual([]);
  expect(row[8]).toBe(ids[7]);
  expect(row.flatMap((id, cell) => (id && cell % 6 === 5 ? [cell] : []))).toEqual([]);
  const steps = (slots: readonly (string | null)[]): number => {
    const hexOf = (id: string | null | undefined): string | undefined => hexes[ids.indexOf(id ?? '')];
    const found = slots.flatMap((id, cell) =>
      [cell % 6 < 5 ? slots[cell + 1] : null, slots[cell + 6]].flatMap((other) => {
        const [a, b] = [hexOf(id), hexOf(other)];
        return a && b ? [colourDifference(a, b)] : [];
      }),
    );
    return found.reduce((sum, step) => sum + step, 0) / found.length;
  };
  const inARow = await preview(body);
  expect(steps(row)).toBeLessThan(0.9 * steps(inARow.after.units[0]!.slots));
  // Open spots are inside, each said to be whose it is.
  expect(held.map(({ slot }) => row[slot])).toEqual(held.map(() => null));
  const near = await preview({ ...body, ...picture, near: 1 });
  expect(near.after.figures.beside).toBeGreaterThanOrEqual(after.figures.beside!);
  expect(near.lifts).toBeLessThan(near.nearer.find((stop) => stop.near === 0)!.lifts);
  await world.http
    .post('/api/arrange/apply')
    .send({ ...body, ...picture, token })
    .expect(200);
  const again = await preview({ ...body, ...picture });
  expect(again.lifts).toBe(0);
  expect(again.nearer).toHaveLength(1);
}, 120_000);
