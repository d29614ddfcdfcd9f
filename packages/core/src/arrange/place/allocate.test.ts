import fc from 'fast-check';
import type { Size } from '../../kinds/definition';
import { fitInSpace } from '../../fit/inSpace';
import { evenGrid } from '../../storage/models/grid';
import { holdsOf } from '../../storage/models/models';
import { keyed } from '../order';
import { shelfFigures } from '../figures';
import { rainbowOrder } from '../rainbow';
import { allocate } from './allocate';
import type { AllocateOptions } from './allocation';
import { zonesOf, type PathUnit, type Placing } from './zones';
import { shareOut } from '../spread';

const MM = 1000;
const size = (w: number, h: number, d: number): Size => ({
  widthUm: w * MM,
  heightUm: h * MM,
  depthUm: d * MM,
});
interface Thing extends Placing {
  readonly hex: string;
  readonly kind: string;
  readonly size: Size;
}
const PAD = size(98, 20, 66);
const MINI = size(34, 22, 34);
/** A rack for ink whose cells take what goes in as it stands. */
const unit = (
  id: string,
  rows: number,
  columns: number,
  { cell = size(102, 22, 70), blocked = new Set<number>(), model = evenGrid(rows, columns, cell) } = {},
): PathUnit<Thing> => ({
  id,
  cells: rows * columns,
  zones: zonesOf(model, blocked),
  takes: (thing, at) =>
    thing.kind === 'ink' ? fitInSpace(thing.size, holdsOf(model).space(at)) : { code: 'wrong_kind' },
});
const ink = (id: string, hex: string, more: Partial<Thing> = {}): Thing => ({
  id,
  hex,
  kind: 'ink',
  size: PAD,
  ...more,
});
/** In rainbow order into units. */
const arranged = (
  items: readonly Thing[],
  units: readonly PathUnit<Thing>[],
  more?: AllocateOptions<Thing>,
) => allocate(rainbowOrder(items), units, more);
const REDS = ['#c8464c', '#b3262b', '#8c1c22'].map((hex, i) => ink(`r${i}`, hex));
const BLUES = ['#9cc3ea', '#3468b0'].map((hex, i) => ink(`b${i}`, hex));

test('spare slots stand inside the families, in proportion to their size', () => {
  const { units, held, leftOver } = arranged([...BLUES, ...REDS], [unit('A', 1, 10)]);
  const row = units[0]!.slots.map((slot) => slot?.id ?? '·').join(' ');
  expect(row).toBe('r0 · r1 · r2 · b0 · b1 ·');
  expect([...held.get('A')!]).toEqual([
    [1, 'red'],
    [3, 'red'],
    [5, 'red'],
    [7, 'blue'],
    [9, 'blue'],
  ]);
  expect(leftOver).toEqual([]);
});

test('expected growth outweighs size', () => {
  const { units } = arranged([...BLUES, ...REDS], [unit('A', 1, 9)], {
    growth: new Map([
      ['red', 0],
      ['blue', 5],
    ]),
  });
  expect(units[0]!.slots.map((slot) => slot?.id ?? '·').join(' ')).toBe('r0 r1 r2 · b0 · b1 · ·');
});

test('with too little room the least used stay out, and say why', () => {
  const items = [...REDS, ...BLUES].map((each, i) => ({ ...each, uses: i === 1 ? 0 : 9 }));
  const { leftOver } = arranged(items, [unit('A', 1, 4)]);
  expect(leftOver.map(({ item, reason }) => [item.id, reason.code])).toEqual([['r1', 'no_room']]);
});

test('what does not fit is refused with both measures', () => {
  const wide = ink('w', '#c23b42', { size: size(132, 20, 66) });
  const pen = { ...ink('m', '#c23b42'), kind: 'marker' };
  const { leftOver } = arranged([wide, pen], [unit('A', 1, 4)]);
  expect(leftOver.map(({ reason }) => reason)).toEqual([
    { code: 'wrong_kind' },
    { code: 'too_wide', needUm: 132 * MM, haveUm: 102 * MM },
  ]);
});

test('a slot where something else lives is not touched', () => {
  const { units } = arranged(REDS, [unit('A', 1, 4, { blocked: new Set([1]) })]);
  expect(units[0]!.slots.map((slot) => slot?.id ?? '·').join(' ')).toBe('r0 · r1 r2');
});

test('a rack of unequal rows gives each thing a cell that takes it', () => {
  const model = { ...evenGrid(2, 3, size(102, 22, 70)), rowsUm: [10 * MM, 22 * MM] };
  const thin = REDS.map((each) => ({ ...each, size: size(98, 8, 66) }));
  const { units, leftOver } = arranged([...BLUES, ...thin], [unit('A', 2, 3, { model })]);
  expect(units[0]!.slots.slice(3).filter((slot) => slot?.id.startsWith('b'))).toHaveLength(2);
  expect(units[0]!.slots.flatMap((slot) => slot ?? [])).toHaveLength(5);
  expect(leftOver).toEqual([]);
});

/** The most that can be placed: try every way of giving each thing a unit it fits. Slow and obvious. */
function mostPlaceable(choices: number[][], rooms: number[]): number {
  const [first, ...rest] = choices;
  if (!first) return 0;
  const out = mostPlaceable(rest, rooms);
  return first.reduce((best, u) => {
    if ((rooms[u] ?? 0) === 0) return best;
    const less = rooms.map((room, i) => (i === u ? room - 1 : room));
    return Math.max(best, 1 + mostPlaceable(rest, less));
  }, out);
}

test('as many find a place as possibly can; nothing is lost or placed twice; units read in rainbow order', () => {
  const small = size(36, 24, 40);
  const things = fc.array(
    fc.record({ hex: fc.constantFrom('#c23b42', '#3468b0', '#4c9a52'), mini: fc.boolean() }),
    { maxLength: 7 },
  );
  const rooms = fc.array(fc.record({ columns: fc.integer({ min: 1, max: 4 }), small: fc.boolean() }), {
    minLength: 1,
    maxLength: 3,
  });
  fc.assert(
    fc.property(things, rooms, (given, racks) => {
      const items = given.map(({ hex, mini }, i) => ink(`i${i}`, hex, { size: mini ? MINI : PAD }));
      const units = racks.map((rack, i) => unit(`U${i}`, 1, rack.columns, rack.small ? { cell: small } : {}));
      const { units: filled, leftOver } = arranged(items, units);
      const placed = filled.flatMap(({ slots }) => slots.filter((slot) => slot !== null).map(({ id }) => id));
      expect([...placed, ...leftOver.map(({ item }) => item.id)].sort()).toEqual(
        items.map(({ id }) => id).sort(),
      );
      const choices = given.map(({ mini }) => racks.flatMap((rack, u) => (mini || !rack.small ? [u] : [])));
      expect(placed.length).toBe(
        mostPlaceable(
          choices,
          racks.map(({ columns }) => columns),
        ),
      );
      for (const { slots } of filled) {
        const groups = slots.filter((slot) => slot !== null).map((slot) => keyed(slot).group);
        expect(groups.filter((group, i) => group !== groups[i - 1]).length).toBe(new Set(groups).size);
      }
    }),
    { numRuns: 200 },
  );
});

test('sharing out gives away everything, and something to everyone when there is enough', () => {
  fc.assert(
    fc.property(fc.nat(60), fc.array(fc.nat(20), { minLength: 1, maxLength: 10 }), (total, weights) => {
      const shares = shareOut(total, weights);
      expect(shares.reduce((a, b) => a + b, 0)).toBe(total);
      if (total >= weights.length) expect(Math.min(...shares)).toBeGreaterThanOrEqual(1);
    }),
  );
});

test('figures count breaks and the mean step, inside each unit only', () => {
  const [red, dark, blue] = [keyed(REDS[0]!), keyed(REDS[2]!), keyed(BLUES[1]!)];
  const figures = shelfFigures([[red, null, dark], [blue]]);
  expect(figures).toMatchObject({ breaks: 0 });
  expect(figures.meanStep).toBeGreaterThan(8);
  expect(shelfFigures([[red, blue], [red]]).breaks).toBe(1);
  expect(shelfFigures([[red, blue, dark]])).toMatchObject({ breaks: 2 });
  expect(shelfFigures([[red, blue, dark]], () => 'one')).toMatchObject({ breaks: 0 });
  expect(shelfFigures([[null], []])).toEqual({ breaks: 0, meanStep: null });
});

test('what stays open is shared over all racks of the path, and stays where it is once things stand', () => {
  const items = Array.from({ length: 96 }, (_, i) =>
    ink(`i${String(i).padStart(2, '0')}`, i < 60 ? '#b3262b' : '#3468b0'),
  );
  const racks = [unit('A', 6, 10), unit('B', 6, 10)];
  const { units, held } = arranged(items, racks);
  const open = units.map(({ slots }) => slots.filter((slot) => slot === null).length);
  expect(Math.min(...open)).toBeGreaterThanOrEqual(8);
  const stood = units.flatMap(({ unit: { id }, slots }) =>
    slots.flatMap((slot, cell) => (slot ? [{ ...slot, spot: { unitId: id, cell } }] : [])),
  );
  expect(arranged(stood, racks).held).toEqual(held);
  // One more moves no more than stand between it and the nearest open slot.
  const more = arranged([...stood, ink('i30b', '#b3262b')], racks);
  const before = new Map(stood.map(({ id, spot }) => [id, `${spot.unitId} ${spot.cell}`]));
  const moved = more.units.flatMap(({ unit: { id }, slots }) =>
    slots.filter((slot, cell) => slot && before.has(slot.id) && before.get(slot.id) !== `${id} ${cell}`),
  );
  expect(moved.length).toBeLessThan(60);
});

test('with sizes that go into one rack only, units still fill up together', () => {
  const small = { cell: size(36, 24, 40) };
  const items = [
    ...Array.from({ length: 10 }, (_, i) => ink(`m${i}`, '#b3262b', { size: MINI })),
    ...Array.from({ length: 6 }, (_, i) => ink(`p${i}`, '#3468b0')),
  ];
  const { units, leftOver } = arranged(items, [unit('A', 1, 10), unit('B', 1, 10), unit('C', 1, 10, small)]);
  expect(leftOver).toEqual([]);
  for (const { slots } of units) expect(slots.filter(Boolean).length).toBeLessThan(9);
});
