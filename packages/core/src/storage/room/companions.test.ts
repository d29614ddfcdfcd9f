import { evenGrid } from '../models/grid';
import { testUnit } from '../test/testUnit';
import { companionsApart } from './companions';

const MM = 1000;
const rack = (id: string, columns: number, parentId = 'room', widthMm = 100) =>
  testUnit({
    id,
    parentId,
    model: evenGrid(1, columns, { widthUm: widthMm * MM, heightUm: 30 * MM, depthUm: 80 * MM }),
    rules: { kinds: ['ink'] },
  });
const tower = testUnit({ id: 'tower', sort: 'piece', model: null });
const units = [tower, rack('full', 1), rack('left', 1, 'tower'), rack('right', 1, 'tower'), rack('roomy', 3)];
const unitOf = (id: string) => units.find((unit) => unit.id === id) ?? tower;
const lot = (id: string, unitId: string, widthMm = 90) => ({
  supply: {
    id,
    kind: 'ink' as const,
    form: 'full-pad',
    facts: { size: { widthUm: widthMm * MM, heightUm: 20 * MM, depthUm: widthMm * MM } },
  },
  lot: { id, as: 'whole' as const, items: 1, left: 1, spot: { unitId, cell: 0, rank: 0 } },
  unit: unitOf(unitId),
});
const ask = (things: ReturnType<typeof lot>[], pairs: Record<string, string>) =>
  companionsApart(
    things,
    ({ lot: { id } }) => things.filter((other) => pairs[id] === other.lot.id || pairs[other.lot.id] === id),
    units,
    { livingIn: (id) => things.filter(({ unit }) => unit.id === id) },
  ).map(({ thing, companion, both }) => [thing.lot.id, companion.lot.id, both?.id ?? null]);

test('two that belong together and live in different pieces are named once, with a place that takes both', () => {
  expect(ask([lot('pad', 'full'), lot('refill', 'left')], { pad: 'refill' })).toEqual([
    ['pad', 'refill', 'roomy'],
  ]);
});

test('in one piece they are together; where nothing takes both that is said', () => {
  expect(ask([lot('pad', 'left'), lot('refill', 'right')], { pad: 'refill' })).toEqual([]);
  expect(ask([lot('pad', 'full'), lot('wide', 'left', 120)], { pad: 'wide' })).toEqual([
    ['pad', 'wide', null],
  ]);
});
