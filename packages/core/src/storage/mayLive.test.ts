import fc from 'fast-check';
import { fitInSpace } from '../fit/inSpace';
import { turned, turnsFor } from '../fit/turns';
import { isRefusal, mayLive, type Lodger, type RoomNow } from './mayLive';
import { misfits } from './misfit';
import { evenGrid } from './models/grid';
import type { Model } from './models/models';
import { testUnit } from './test/testUnit';

const MM = 1000;
const size = (w: number, h: number, d: number) => ({ widthUm: w * MM, heightUm: h * MM, depthUm: d * MM });
const lodger = (
  id: string,
  more: Partial<Lodger['supply']> = {},
  lot: Partial<Lodger['lot']> = {},
): Lodger => ({
  supply: { id, kind: 'ink', form: 'full-pad', facts: {}, ...more },
  lot: { id: `${id}-lot`, as: 'whole', items: 1, left: 60, spot: null, ...lot },
});
const rack = (more = {}) => testUnit({ model: evenGrid(2, 3, size(102, 22, 70)), ...more });
const EMPTY: RoomNow = { livingIn: () => [] };
const living = (...things: [Lodger, number | null][]): RoomNow => ({
  livingIn: (unitId) =>
    things.map(([thing, cell]) => ({ ...thing, lot: { ...thing.lot, spot: { unitId, cell, rank: 0 } } })),
});
const code = (answer: ReturnType<typeof mayLive>): string =>
  answer === null ? 'yes' : isRefusal(answer) ? answer.code : answer.map((each) => each.code).join();

test('kind, standing, the spot, size, what is there and the limit each have a say, with measured values', () => {
  const pad = lodger('p');
  const ask = (unit = rack(), cell: number | null = 0, room = EMPTY, thing = pad) =>
    mayLive(thing, { unit, cell }, room);
  expect(ask()).toBeNull();
  expect(code(ask(rack(), 6))).toBe('no_such_spot');
  expect(code(ask(rack(), null))).toBe('no_such_spot');
  expect(code(ask(rack({ facts: { standing: 'spare' } })))).toBe('off_wall');
  expect(code(ask(rack({ rules: { kinds: ['marker'] } })))).toBe('wrong_kind');
  expect(code(ask(testUnit({ sort: 'piece', model: null })))).toBe('no_such_spot');
  const wide = lodger('w', { form: 'wide-pad' });
  expect(ask(rack(), 0, EMPTY, wide)).toEqual({ code: 'too_wide', needUm: 132 * MM, haveUm: 102 * MM });
  const other = lodger('o');
  expect(ask(rack(), 0, living([other, 0]))).toEqual({ code: 'taken', by: 'o' });
  expect(ask(rack(), 1, living([other, 0]))).toBeNull();
  const limited = rack({ rules: { kinds: ['ink'], cap: 1 } });
  expect(ask(limited, 1, living([other, 0]))).toEqual({ code: 'limit_reached', have: 1, of: 1 });
  // What lives there already is counted already.
  const here = lodger('p', {}, { spot: { unitId: limited.id } });
  expect(ask(limited, 1, living([other, 0], [here, 2]), here)).toBeNull();
});

test('thickness by count, fullness and what a place is kept for warn and do not refuse', () => {
  const file = testUnit({ rules: { kinds: ['cardstock'] }, model: evenGrid(1, 4, size(10, 310, 310)) });
  const card = lodger('c', { kind: 'cardstock', form: 'sheet-12' }, { items: 60, left: 60 });
  expect(mayLive(card, { unit: file, cell: 0 }, EMPTY)).toEqual([
    { code: 'too_thick', needUm: 60 * 270, haveUm: 10 * MM },
  ]);
  const box: Model = { model: 'loose', ...size(120, 50, 80), fillPercent: 50 };
  const drawer = testUnit({ model: box });
  const ask = (n: number) =>
    mayLive(
      lodger('p'),
      { unit: drawer, cell: null },
      living(...Array.from({ length: n }, (_, i): [Lodger, null] => [lodger(`p${i}`), null])),
    );
  expect(ask(0)).toBeNull();
  expect(ask(1)).toEqual([{ code: 'too_full', haveUl: 2 * 98 * 20 * 66, ofUl: 240_000 }]);
  const room: RoomNow = { ...EMPTY, keptFor: () => new Set(['q']), homeOf: () => 'elsewhere' };
  expect(code(mayLive(lodger('p'), { unit: rack(), cell: 0 }, room))).toBe('kept_for_others');
  expect(code(mayLive(lodger('q'), { unit: rack(), cell: 0 }, room))).toBe('belongs_elsewhere');
});

test('a rack of unequal rows takes in one what it refuses in another; the hand takes everything', () => {
  const uneven = rack({ model: { ...evenGrid(2, 1, size(102, 22, 70)), rowsUm: [15 * MM, 22 * MM] } });
  const pad = lodger('p');
  expect(mayLive(pad, { unit: uneven, cell: 0 }, EMPTY)).toEqual({
    code: 'too_high',
    needUm: 20 * MM,
    haveUm: 15 * MM,
  });
  expect(mayLive(pad, { unit: uneven, cell: 1 }, EMPTY)).toBeNull();
  expect(
    mayLive(pad, { unit: testUnit({ id: 'hand', sort: 'hand', model: null }), cell: null }, EMPTY),
  ).toBeNull();
});

test.each([
  ['exactly as large', size(100, 22, 60), null],
  ['sticking out a quarter', size(98, 20, 80), null],
  ['a hair too wide', size(100.5, 20, 60), { code: 'too_wide', needUm: 100_500, haveUm: 100_000 }],
  ['too high', size(98, 23, 60), { code: 'too_high', needUm: 23_000, haveUm: 22_000 }],
  ['too deep to hold', size(98, 20, 120), { code: 'too_deep', needUm: 90_000, haveUm: 60_000 }],
] as const)('%s', (_, thing, answer) => expect(fitInSpace(thing, size(100, 22, 60))).toEqual(answer));

test('a closed front lets nothing stick out; what wants no particular way may lie on its side', () => {
  expect(fitInSpace(size(10, 10, 80), size(20, 20, 60), { openFront: false })?.code).toBe('too_deep');
  expect(turnsFor('flat')).toHaveLength(2);
  expect(new Set(turnsFor().map((turn) => JSON.stringify(turned(size(1, 2, 3), turn)))).size).toBe(6);
});

test('what fits still fits when it is smaller or the space larger', () => {
  const any = fc.tuple(
    fc.integer({ min: 1, max: 300 }),
    fc.integer({ min: 1, max: 300 }),
    fc.integer({ min: 1, max: 300 }),
  );
  fc.assert(
    fc.property(any, any, fc.nat(50), ([w, h, d], [W, H, D], by) => {
      fc.pre(fitInSpace(size(w, h, d), size(W, H, D)) === null);
      expect(fitInSpace(size(w, h, d), size(W + by, H + by, D + by))).toBeNull();
    }),
  );
});

test('a thing that fits no rack of its kind is told with the rack it nearly fits; kinds without racks are not asked', () => {
  const units = [20, 30].map((high) =>
    testUnit({ id: `u${high}`, model: evenGrid(1, 1, size(100, high, 70)) }),
  );
  const tall = lodger('tall', { facts: { size: size(50, 33, 20) } });
  const things = [lodger('fits'), tall, lodger('lace', { kind: 'ribbon', form: 'hank' })];
  expect(misfits(things, (each) => each, units)).toEqual([
    { item: tall, refusal: { code: 'too_high', needUm: 33_000, haveUm: 30_000 } },
  ]);
});

test('what leaks, stains or sheds is no company for what suffers from it: beside it in cells, anywhere where things lie loose', () => {
  const kinds = ['ink', 'ribbon', 'companion'] as const;
  const box = testUnit({
    model: { model: 'loose', widthUm: 400 * MM, heightUm: 200 * MM, depthUm: 400 * MM, fillPercent: 90 },
    rules: { kinds: [...kinds] },
  });
  const ribbon = lodger('r', { kind: 'ribbon', form: 'spool' }, { left: 9_000_000 });
  const bottle = lodger('b', { form: 'refill' });
  const answer = mayLive(ribbon, { unit: box, cell: null }, living([bottle, null]));
  expect(answer).toEqual([{ code: 'bad_company', by: 'b', trait: 'leaks', suffers: 'thing' }]);
  expect(mayLive(bottle, { unit: box, cell: null }, living([ribbon, null]))).toMatchObject([
    { suffers: 'other' },
  ]);
  const grid = testUnit({ model: evenGrid(3, 3, size(102, 90, 120)), rules: { kinds: [...kinds] } });
  const at = (cell: number): string => code(mayLive(ribbon, { unit: grid, cell }, living([bottle, 4])));
  expect([1, 3, 5, 7].map(at)).toEqual(Array(4).fill('bad_company'));
  expect([0, 2, 6, 8].map(at)).toEqual(Array(4).fill('yes'));
  expect(
    code(
      mayLive(
        lodger('r2', { kind: 'ribbon', form: 'spool' }),
        { unit: box, cell: null },
        living([ribbon, null]),
      ),
    ),
  ).toBe('yes');
});
