import fc from 'fast-check';
import { formsOfKind } from '../kinds/registry';
import { suits } from './mayLive';
import { cellSorts } from './misfit';
import { areNeighbours, cellsBefore, evenGrid } from './models/grid';
import { FILLINGS, type GridModel } from './models/gridSchema';
import { holdsOf, type Model } from './models/models';
import { modelSchema } from './models/modelSchema';
import { findTemplate, UNIT_TEMPLATES } from './templates';
import { GRIDS } from './templates/grids';
import { testUnit } from './test/testUnit';
import { freeLabel, mayStandIn, movedBehind, unitLettered } from './tree';
import { addressIn, endOf, isOnWall, pathTo, placesIn, roomIn } from './unit';

const CELL = { widthUm: 10_000, heightUm: 10_000, depthUm: 10_000 };
const box = {
  model: 'loose',
  widthUm: 300_000,
  heightUm: 100_000,
  depthUm: 300_000,
  fillPercent: 70,
} as const;

test('addresses count rows from the top and columns from the left; a drawer has its letter', () => {
  const unit = { label: 'B', model: evenGrid(2, 5, CELL) };
  expect([0, 4, 5, 8].map((cell) => addressIn(unit, cell))).toEqual(['B1·01', 'B1·05', 'B2·01', 'B2·04']);
  expect(addressIn({ label: 'K', model: box }, null)).toBe('K');
});

const lengths = fc.array(fc.integer({ min: 1000, max: 90_000 }), { minLength: 1, maxLength: 9 });
const grids = fc
  .record({
    columnsUm: lengths,
    rowsUm: lengths,
    wallUm: fc.nat(5000),
    frontUm: fc.nat(40_000),
    filling: fc.constantFrom(...FILLINGS),
    layers: fc.integer({ min: 1, max: 4 }),
  })
  .map(({ layers, ...given }): GridModel => ({
    model: 'grid',
    depthUm: 50_000,
    skipColumns: [],
    ...given,
    ...(layers > 1 ? { layers } : {}),
  }));

test('cells of any grid, equal or not, have addresses and boxes of their own, inside the unit, each filled once', () => {
  fc.assert(
    fc.property(grids, (model) => {
      const holds = holdsOf(model);
      const { w, h } = holds.outside();
      const boxes = holds.boxes([]);
      expect(boxes).toHaveLength(holds.cells);
      const outside = boxes.filter((a) => a.x < 0 || a.y < 0 || a.x + a.w > w || a.y + a.h > h);
      const overlapping = boxes.filter((a, i) =>
        boxes.some(
          (b, j) => j > i && a.x + a.w > b.x && b.x + b.w > a.x && a.y + a.h > b.y && b.y + b.h > a.y,
        ),
      );
      expect([outside, overlapping]).toEqual([[], []]);
      const addresses = boxes.map((_, cell) => holds.address('A', cell));
      expect(new Set(addresses).size).toBe(holds.cells);
      expect([...holds.order].sort((a, b) => a - b)).toEqual(boxes.map((_, cell) => cell));
      expect(modelSchema.parse(model)).toEqual(model);
    }),
    { numRuns: 60 },
  );
});

test('what stands behind is named by its turn, follows what stands before it, and waits for it', () => {
  const model: GridModel = { ...evenGrid(2, 3, CELL), layers: 3 };
  const holds = holdsOf(model);
  expect([holds.cells, holds.order.slice(0, 4)]).toEqual([18, [0, 6, 12, 1]]);
  expect([4, 10, 16].map((cell) => holds.address('B', cell))).toEqual(['B2·02', 'B2·02·2', 'B2·02·3']);
  expect(cellsBefore(model, 16)).toEqual([10, 4]);
  expect([areNeighbours(model, 4, 10), areNeighbours(model, 4, 16)]).toEqual([true, false]);
});

test('cells are filled row by row, column by column or as a snake, and skipped columns stay out', () => {
  const order = (more: Partial<GridModel>) => holdsOf({ ...evenGrid(2, 3, CELL), ...more }).order;
  expect(order({})).toEqual([0, 1, 2, 3, 4, 5]);
  expect(order({ filling: 'columns' })).toEqual([0, 3, 1, 4, 2, 5]);
  expect(order({ filling: 'snake' })).toEqual([0, 1, 2, 5, 4, 3]);
  expect(order({ filling: 'snake', skipColumns: [2] })).toEqual([0, 2, 5, 3]);
});

test('what lies loose is drawn inside the box, to scale while it goes in, smaller when there is too much', () => {
  const thing = { widthUm: 98_000, heightUm: 20_000, depthUm: 66_000 };
  const drawn = (n: number) => holdsOf(box).boxes(Array.from({ length: n }, () => thing));
  expect(drawn(4)[0]).toMatchObject({ w: 98_000, h: 20_000 });
  for (const n of [1, 15, 200]) {
    const { w, h } = holdsOf(box).outside();
    expect(drawn(n)).toHaveLength(n);
    expect(drawn(n).every((b) => b.x >= 0 && b.y >= 0 && b.x + b.w <= w && b.y + b.h <= h)).toBe(true);
  }
  expect(drawn(200)[0]!.w).toBeLessThan(98_000);
});

test('sizes that are no sizes are refused with a sentence', () => {
  const refused = (model: unknown): string | undefined =>
    modelSchema.safeParse(model).error?.issues[0]?.message;
  expect(refused({ ...evenGrid(1, 1, CELL), rowsUm: [] })).toBe('At least one row.');
  expect(refused({ ...evenGrid(1, 1, CELL), depthUm: 1.5 })).toBe(
    'The depth must be a measure, such as 35 mm.',
  );
  expect(refused({ ...box, fillPercent: 0 })).toMatch(/tenth/);
  expect(refused({ model: 'heap' })).toBe(
    'A place holds things in cells, side by side, on one another or loose.',
  );
});

test('a unit knows its room, its path and what an open place of it looks like', () => {
  const unit = testUnit({ rules: { kinds: ['ribbon'], cap: 4 } });
  expect([placesIn(unit), roomIn(unit), endOf(unit)]).toEqual([6, 4, 'ring']);
  const skipping: Model = { ...evenGrid(2, 3, CELL), skipColumns: [1] };
  expect(roomIn(testUnit({ model: skipping }))).toBe(4);
  expect([placesIn({ model: box }), roomIn(testUnit({ model: box }))]).toEqual([1, null]);
  expect(
    [{}, { standing: 'worn' as const }, { standing: 'spare' as const }].map((facts) => isOnWall({ facts })),
  ).toEqual([true, true, false]);
  const [room, tower, drawer] = [
    testUnit({ id: 'room' }),
    testUnit({ id: 't', parentId: 'room' }),
    testUnit({ id: 'd', parentId: 't' }),
  ];
  const byId = new Map([room, tower, drawer].map((each) => [each.id, each]));
  expect(pathTo(drawer, byId).map(({ id }) => id)).toEqual(['room', 't', 'd']);
});

test.each(UNIT_TEMPLATES)('a $name takes some form of every kind it is made for', (template) => {
  expect(findTemplate(template.id)).toBe(template);
  const unit = testUnit({
    model: template.model,
    rules: { kinds: [...template.holds] },
    facts: { template: template.id, ...template.facts },
  });
  expect(endOf(unit)).toBe(template.end);
  const [cell = null] = cellSorts(unit);
  for (const kind of template.holds) {
    const made = formsOfKind(kind).filter(({ keptIn }) => keptIn.includes(template.id));
    const lot = { id: 'l', as: 'whole', items: 1, left: 1, spot: null } as const;
    const fit = (form: string) => suits({ supply: { id: 's', kind, form, facts: {} }, lot }, { unit, cell });
    // The first racks are what forms are kept in; others are for whom they suit.
    if (GRIDS.includes(template)) expect(made.length).toBeGreaterThan(0);
    for (const { id } of made) expect(fit(id)).toBeNull();
    expect(formsOfKind(kind).some(({ id }) => fit(id) === null)).toBe(true);
  }
});

test('a unit gets the first free letter, stands in what is there and not in itself, and moves behind any other', () => {
  const units = ['A', 'B', 'D'].map((label) => testUnit({ id: label, label, parentId: 'room' }));
  expect([freeLabel(units), freeLabel(units, 'A'), freeLabel([])]).toEqual(['C', 'A', 'A']);
  const many = [...Array(702).keys()].map((n) => testUnit({ id: String(n), label: `${n}` }));
  const lettered = many.reduce(
    (done, unit) => [...done, { ...unit, label: freeLabel(done) ?? '' }],
    [units[0]!],
  );
  expect(lettered.map(({ label }) => label)).toEqual(expect.arrayContaining(['Z', 'AA', 'ZY']));
  expect(freeLabel(lettered)).toBeNull();
  expect([unitLettered(units, 'B')?.id, unitLettered(units, 'B', 'B')]).toEqual(['B', undefined]);
  const nested = [
    ...units,
    testUnit({ id: 'E', label: 'E', parentId: 'B' }),
    testUnit({ id: 'room', sort: 'room' }),
  ];
  expect(mayStandIn('B', 'E', nested)).toBe('in_itself');
  expect(mayStandIn('A', 'E', nested)).toBeNull();
  expect([mayStandIn('A', 'hand', nested), mayStandIn('A', 'Q', nested)]).toEqual([
    'no_such_unit',
    'no_such_unit',
  ]);
  const order = (after: string | null): string | undefined =>
    movedBehind(units, units[1]!, after)
      ?.map(({ id }) => id)
      .join('');
  expect([order(null), order('D'), order('A'), order('Q')]).toEqual(['BAD', 'ADB', 'ABD', undefined]);
});
