import { evenGrid } from '../storage/models/grid';
import { testUnit } from '../storage/test/testUnit';
import { allocate } from './place/allocate';
import { zonesOf } from './place/zones';
import { numbersFrom } from './smooth/numbers';
import { oneMore, type Settled } from './oneMore';
import { rainbowOrder } from './rainbow';

const EMPTY = { livingIn: () => [] };
const pad = (id: string, hex: string, more: Partial<Settled> = {}): Settled => ({
  id,
  hex,
  supply: { id, kind: 'ink', form: 'full-pad', facts: {} },
  lot: { id, as: 'whole', items: 1, left: 90, spot: null },
  ...more,
});
const CELL = { widthUm: 102_000, heightUm: 22_000, depthUm: 70_000 };
const rack = (columns: number) => testUnit({ id: 'A', model: evenGrid(1, columns, CELL) });
const GREENS = ['#d5f0d5', '#a8d8a8', '#70b070', '#4c9a52', '#205020'];

test('it goes between its likes with the fewest moved over, or stands near with none moved', () => {
  const [a, b, c, d] = GREENS.map((hex, i) => pad(`g${i}`, hex));
  const between = pad('new', '#8cc48c');
  // Right where it belongs there is room.
  expect(oneMore(between, rack(5), [a!, b!, null, c!, d!], EMPTY)).toEqual({
    ...{ cell: 2, before: null, over: [], near: null },
  });
  const found = oneMore(between, rack(6), [a!, b!, c!, d!, null, null], EMPTY);
  expect(found?.cell).toBe(2);
  expect(found?.over.map(({ thing: { id }, from, to }) => `${id} ${from}${to}`)).toEqual(['g3 34', 'g2 23']);
  expect(found?.near).toEqual({ cell: 4 });
  // What is to stay is passed over.
  const stays = oneMore(between, rack(6), [a!, b!, c!, { ...d!, stays: true }, null, null], EMPTY);
  expect(stays?.over.map(({ thing: { id }, from, to }) => `${id} ${from}${to}`)).toEqual(['g2 24']);
  expect(oneMore(between, rack(4), [a!, b!, c!, d!], EMPTY)).toBeNull();
});

test('where things share a length it is set before the next one of the order', () => {
  const shelf = testUnit({
    id: 'S',
    model: {
      model: 'run',
      how: 'stand',
      lengthUm: 900_000,
      heightUm: 300_000,
      depthUm: 300_000,
      lipUm: 0,
      fingerUm: 0,
    },
  });
  const [a, b, c] = GREENS.map((hex, i) => pad(`g${i}`, hex));
  const before = (hex: string) => oneMore(pad('new', hex), shelf, [a!, b!, c!], EMPTY)?.before?.id ?? 'last';
  expect(before('#8cc48c')).toBe('g2');
  expect(before('#103810')).toBe('last');
  expect(before('#e0f7dc')).toBe('g0');
});

test('in the smoothest order it stands where the way from one to the next grows least', () => {
  const row = [GREENS[3]!, GREENS[0]!, GREENS[4]!].map((hex, i) => pad(`g${i}`, hex));
  const slots = [...row.flatMap((each) => [null, each]), null];
  const at = (order?: 'smooth') =>
    oneMore(pad('new', '#b8e0b8'), rack(7), slots, EMPTY, order ? { order } : {})?.cell;
  // By lightness alone as good as any place is before the darker one at the beginning.
  expect(at()).toBe(0);
  expect([2, 4]).toContain(at('smooth'));
});

test('adding one pad to a rack in order and arranging again moves what inserting it moves, no more', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const number = numbersFrom(seed);
    const hex = (): string => `#${(number() >>> 8).toString(16).padStart(6, '0')}`;
    const things = Array.from({ length: 30 }, (_, i) => pad(`p${String(i).padStart(2, '0')}`, hex()));
    const unit = rack(36);
    const path = [{ id: 'A', cells: 36, zones: zonesOf<Settled>(unit.model!, new Set()), takes: () => null }];
    const { spots } = allocate(rainbowOrder(things), path);
    const slots = Array<Settled | null>(36).fill(null);
    const stood = things.map((thing) => {
      const { cell } = spots.get(thing.id)!;
      const each = { ...thing, spot: { unitId: 'A', cell, rank: 0 } };
      slots[cell ?? 0] = each;
      return each;
    });
    const added = pad('new', hex());
    const moves = oneMore(added, unit, slots, EMPTY)!.over.length;
    const again = allocate(rainbowOrder([...stood, added]), path).spots;
    const moved = stood.filter(({ id, spot }) => again.get(id)?.cell !== spot.cell).length;
    expect(moved).toBe(moves);
  }
});
