import fc from 'fast-check';
import { isRefusal, mayLive, type Lodger } from '../../storage/mayLive';
import { evenGrid } from '../../storage/models/grid';
import type { Model } from '../../storage/models/models';
import { testUnit } from '../../storage/test/testUnit';
import { sharedRoom } from './sharedRoom';

const MM = 1000;
const size = (w: number, h: number, d: number) => ({ widthUm: w * MM, heightUm: h * MM, depthUm: d * MM });
const shelf = (long: number): Model => ({
  model: 'run',
  how: 'stand',
  lengthUm: long * MM,
  heightUm: 300 * MM,
  depthUm: 200 * MM,
  lipUm: 0,
  fingerUm: 0,
});
const thing = (id: string, wide: number, unitId: string | null): Lodger => ({
  supply: { id, kind: 'companion', form: 'other', facts: { size: size(wide, 20, 30) } },
  lot: { id, as: 'whole', items: 1, left: 1, spot: unitId === null ? null : { unitId } },
});
const byLot = (things: readonly Lodger[]) => new Map(things.map((each) => [each.lot.id, each]));

test('a length is free as far as nothing takes it; cells and heaps are never asked', () => {
  const heap: Model = { model: 'loose', ...size(100, 100, 100), fillPercent: 50 };
  const units = [
    { id: 'shelf', model: shelf(300) },
    { id: 'rack', model: evenGrid(1, 3, size(102, 22, 70)) },
    { id: 'heap', model: heap },
    { id: 'piece', model: null },
  ];
  const room = sharedRoom(
    units,
    byLot([thing('a', 40, 'shelf'), thing('b', 60, null), thing('c', 60, 'rack')]),
  );
  const taken = room.sizeIn('a', 'shelf');
  expect(taken).toBeGreaterThan(0);
  expect(room.freeIn('shelf')).toBe(300 * MM - taken);
  expect(['rack', 'heap', 'piece', 'none'].map((id) => room.freeIn(id))).toEqual([null, null, null, null]);
  expect([room.sizeIn('b', 'rack'), room.sizeIn('nobody', 'shelf')]).toEqual([0, 0]);
});

test('what is free and what a thing takes say the same as whether it may live there', () => {
  const widths = fc.array(fc.integer({ min: 5, max: 200 }), { maxLength: 8 });
  fc.assert(
    fc.property(
      widths,
      fc.integer({ min: 5, max: 200 }),
      fc.integer({ min: 200, max: 600 }),
      (there, next, long) => {
        const unit = testUnit({ id: 'shelf', model: shelf(long), rules: { kinds: ['companion'] } });
        const things = there.map((wide, i) => thing(`t${i}`, wide, 'shelf'));
        const one = thing('next', next, null);
        const room = sharedRoom([unit], byLot([...things, one]));
        const free = room.freeIn('shelf') ?? NaN;
        const living = things.map((each, rank) => ({
          ...each,
          lot: { ...each.lot, spot: { unitId: 'shelf', cell: null, rank } },
        }));
        const answer = mayLive(one, { unit, cell: null }, { livingIn: () => living });
        const full = isRefusal(answer) && answer.code === 'run_full';
        if (!isRefusal(answer) || full) expect(room.sizeIn('next', 'shelf') > free).toBe(full);
        expect(things.reduce((sum, { lot }) => sum + room.sizeIn(lot.id, 'shelf'), free)).toBe(long * MM);
      },
    ),
  );
});
