import { numbersFrom } from '../smooth/numbers';
import { rainbowOrder } from '../rainbow';
import { allocate } from './allocate';
import { cutsFor } from './cuts';
import { hasRoom, type PathUnit, type Placing } from './zones';

const MM = 1000;
interface Thick extends Placing {
  readonly hex: string;
  readonly thickUm: number;
}
/** A shelf, a pile or a box: what things share there. */
const shared = (id: string, freeUm: number, room = Infinity): PathUnit<Thick> => ({
  id,
  cells: 0,
  zones: [{ cell: null, open: [], room, shared: { free: freeUm, sizeOf: ({ thickUm }) => thickUm } }],
  takes: () => null,
});
const rack = (id: string, cells: number): PathUnit<Thick> => ({
  id,
  cells,
  zones: [{ cell: 0, open: [...Array(cells).keys()], room: cells }],
  takes: ({ thickUm }) => (thickUm > 20 * MM ? { code: 'too_wide', needUm: thickUm, haveUm: 20 * MM } : null),
});
const HEXES = ['#c23b42', '#e6842e', '#f2cd3a', '#4c9a52', '#3468b0', '#7d4f9e'];
const drawn = (count: number, seed: number): Thick[] => {
  const number = numbersFrom(seed);
  return Array.from({ length: count }, (_, i) => ({
    id: `t${String(i).padStart(3, '0')}`,
    hex: HEXES[number() % HEXES.length]!,
    thickUm: (4 + (number() % 30)) * MM,
  }));
};

test('cells and what shares a length, a height or a box are filled in one path; nothing is overfilled or lost', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const items = rainbowOrder(drawn(40, seed));
    const path = [rack('A', 9), shared('B', 200 * MM), rack('C', 6), shared('D', 300 * MM, 12)];
    const { units, spots, leftOver } = allocate(items, path);
    const placed = units.flatMap(({ slots }) => slots.flatMap((slot) => slot ?? []));
    expect([...placed, ...leftOver.map(({ item }) => item)].map(({ id }) => id).sort()).toEqual(
      items.map(({ id }) => id).sort(),
    );
    const long = (at: number): number =>
      units[at]!.slots.reduce((sum, slot) => sum + (slot?.thickUm ?? 0), 0);
    expect(long(1)).toBeLessThanOrEqual(200 * MM);
    expect(long(3)).toBeLessThanOrEqual(300 * MM);
    expect(units[3]!.slots.length).toBeLessThanOrEqual(12);
    // What stays out goes in nowhere.
    for (const { item } of leftOver)
      for (const [u, unit] of path.entries())
        if (unit.takes(item, 0) === null)
          expect(
            hasRoom(
              unit.zones[0]!,
              units[u]!.slots.flatMap((slot) => slot ?? []),
              item,
            ),
          ).toBe(false);
    // Each stands in its order wherever things share.
    for (const { slots } of [units[1]!, units[3]!])
      expect(slots.map((slot) => items.indexOf(slot!))).toEqual(
        slots.map((slot) => items.indexOf(slot!)).sort((p, q) => p - q),
      );
    expect([...spots.values()].filter(({ cell }) => cell === null).length).toBe(
      units[1]!.slots.length + units[3]!.slots.length,
    );
  }
});

test('a family is not cut where another cut is as good, and where it goes on is said', () => {
  const of = (hex: string, count: number, from: number): Thick[] =>
    Array.from({ length: count }, (_, i) => ({ id: `${hex}${from + i}`, hex, thickUm: 5 * MM }));
  const items = rainbowOrder([...of('#c23b42', 9, 0), ...of('#3468b0', 11, 0), ...of('#7d4f9e', 20, 0)]);
  const whole = allocate(items, [rack('A', 24), rack('B', 24)]);
  expect(whole.continues).toEqual([]);
  expect(whole.units.map(({ slots }) => slots.filter(Boolean).length)).toEqual([20, 20]);
  const split = allocate(items, [rack('A', 14), rack('B', 14), rack('C', 14)]);
  expect(split.leftOver).toEqual([]);
  expect(split.continues.map(({ from, to }) => `${from}${to}`)).toContain('BC');
});

test('cuts cost no more than any other way to cut, all tried', () => {
  for (let seed = 1; seed <= 80; seed++) {
    const number = numbersFrom(seed);
    const groups = Array.from({ length: 14 }, () => String(number() % 4)).sort();
    const things = groups.map((group, i) => ({ item: i, group, zone: (number() % 4) - 1 }));
    const zones = [6, 7, 5].map((room) => ({ cell: 0, open: [], room }));
    const cost = (counts: readonly number[]): number => {
      let [at, sum] = [0, 0];
      counts.forEach((count, z) => {
        for (let i = at; i < at + count; i++) if (things[i]!.zone !== z) sum++;
        sum += 200 * (count / zones[z]!.room - 14 / 18) ** 2;
        at += count;
        if (at > 0 && at < 14 && groups[at] === groups[at - 1]) sum += 12;
      });
      return sum;
    };
    let least = Infinity;
    for (let a = 0; a <= 6; a++)
      for (let b = 0; b <= 7; b++)
        if (14 - a - b >= 0 && 14 - a - b <= 5) least = Math.min(least, cost([a, b, 14 - a - b]));
    const found = cutsFor(things, zones)!;
    expect(found.reduce((sum, count) => sum + count, 0)).toBe(14);
    // It looks only where a cut makes sense, and comes within a lift or two of the least.
    expect(cost(found)).toBeLessThanOrEqual(least + 2.5);
  }
});

test('nearer to today fewer things are lifted, and groups stand in order all the same', () => {
  const number = numbersFrom(3);
  const groupOf = ({ id }: Thick): string => id.charAt(0);
  const ordered = Array.from({ length: 48 }, (_, i): Thick => ({
    id: `${'abcdef'.charAt(i / 8)}${i}`,
    hex: '#c23b42',
    thickUm: 5 * MM,
  }));
  // Groups stand in order, their things in none.
  const mixed = ordered
    .map((item, i) => ({ item, key: Math.floor(i / 8) * 1000 + (number() % 1000) }))
    .sort((p, q) => p.key - q.key);
  const cellOf = new Map(mixed.map(({ item: { id } }, cell) => [id, cell]));
  const stood = ordered.map((item) => ({ ...item, spot: { unitId: 'A', cell: cellOf.get(item.id) ?? 0 } }));
  const lifted = (near: number): number => {
    const { spots, units } = allocate(stood, [rack('A', 56)], { near, groupOf });
    const groups = units[0]!.slots.flatMap((slot) => (slot ? groupOf(slot) : []));
    expect(groups.filter((group, i) => group !== groups[i - 1]).join('')).toBe('abcdef');
    return [...spots].filter(([id, { cell }]) => cellOf.get(id) !== cell).length;
  };
  const [none, some, all] = [lifted(0), lifted(0.5), lifted(1)];
  expect(none).toBeGreaterThan(20);
  expect(some).toBeLessThan(none);
  expect(all).toBe(0);
});

test('an id that is there twice is refused', () => {
  const [one] = drawn(1, 1);
  expect(() => allocate([one!, one!], [rack('A', 3)])).toThrow('there twice');
});

test('groups begin in a row of their own, or in a unit of their own, where there is room for that', () => {
  const of = (hex: string, count: number): Thick[] =>
    Array.from({ length: count }, (_, i) => ({ id: `${hex}${i}`, hex, thickUm: 5 * MM }));
  const items = rainbowOrder([...of('#c23b42', 5), ...of('#3468b0', 3), ...of('#7d4f9e', 2)]);
  const inRows = (rows: number): PathUnit<Thick> => ({
    ...rack('A', 4 * rows),
    zones: [
      {
        ...rack('A', 4 * rows).zones[0]!,
        lines: Array.from({ length: 4 * rows }, (_, i) => Math.floor(i / 4)),
      },
    ],
  });
  const firsts = (rows: number): number[] => {
    const { slots } = allocate(items, [inRows(rows)], { begin: 'line' }).units[0]!;
    return ['#c23b42', '#3468b0', '#7d4f9e'].map((hex) => slots.findIndex((slot) => slot?.hex === hex));
  };
  // Five need two rows; spare ones go where most comes.
  expect(firsts(4).map((cell) => Math.floor(cell / 4))).toEqual([0, 2, 3]);
  expect(firsts(6).map((cell) => Math.floor(cell / 4))).toEqual([0, 3, 5]);
  // With too few rows they stand one behind another all the same.
  expect(firsts(3).every((cell) => cell >= 0)).toBe(true);
  const units = [rack('A', 8), rack('B', 8), rack('C', 8)];
  const apart = allocate(items, units, { begin: 'unit' }).units.map(({ slots }) =>
    [...new Set(slots.flatMap((slot) => slot?.hex ?? []))].join(),
  );
  expect(apart).toEqual(['#c23b42', '#3468b0', '#7d4f9e']);
});

test('a thing goes into the narrowest cells that take it, as long as there is room', () => {
  const unit = (id: string, cells: number, volumeUl: number, most: number): PathUnit<Thick> => ({
    ...rack(id, cells),
    zones: [{ ...rack(id, cells).zones[0]!, volumeUl }],
    takes: ({ thickUm }) =>
      thickUm > most * MM ? { code: 'too_wide', needUm: thickUm, haveUm: most * MM } : null,
  });
  const thin = Array.from({ length: 8 }, (_, i) => ({ id: `n${i}`, hex: '#c23b42', thickUm: 5 * MM }));
  const wide = Array.from({ length: 6 }, (_, i) => ({ id: `w${i}`, hex: '#c23b42', thickUm: 15 * MM }));
  const counts = (narrow: number): number[] =>
    allocate([...thin, ...wide], [unit('W', 20, 300, 20), unit('N', narrow, 100, 8)]).units.map(
      ({ slots }) => slots.filter((slot) => slot?.id.startsWith('n')).length,
    );
  expect(counts(10)).toEqual([0, 8]);
  // Too few of them: the rest goes into wide ones.
  expect(counts(4)[0]).toBeGreaterThan(3);
});

test('what takes the too much of a unit is filled last, beside its own run, and as many find a place as without it', () => {
  const row = HEXES.flatMap((hex, h) =>
    Array.from({ length: 3 }, (_, i) => ({ id: `t${h}${i}`, hex, thickUm: 10 * MM })),
  );
  const colours = (unit: { readonly slots: readonly (Thick | null)[] } | undefined): string[] =>
    (unit?.slots ?? []).flatMap((slot) => (slot ? [slot.hex] : []));
  const over = (id: string, overflowOf: string, cells: number): PathUnit<Thick> => ({
    ...rack(id, cells),
    overflowOf,
  });
  // Two runs of eight for eighteen: one of each run's neighbours goes into its own overflow.
  const path = [rack('A', 8), over('AO', 'A', 5), rack('B', 8), over('BO', 'B', 5)];
  const roomy = allocate(row.slice(0, 14), path);
  expect([colours(roomy.units[1]), colours(roomy.units[3])]).toEqual([[], []]);
  const { units, leftOver, continues } = allocate(row, path);
  expect(leftOver).toEqual([]);
  const inA = new Set(colours(units[0]));
  const inB = new Set(colours(units[2]));
  expect(colours(units[1]).every((hex) => inA.has(hex))).toBe(true);
  expect(colours(units[3]).every((hex) => inB.has(hex))).toBe(true);
  expect(
    continues.filter(({ to }) => to === 'AO' || to === 'BO').every(({ from, to }) => to === `${from}O`),
  ).toBe(true);
  // Too much for its own overflow finds room in another's.
  const tight = [rack('A', 8), over('AO', 'A', 0), rack('B', 8), over('BO', 'B', 5)];
  expect(allocate(row, tight).leftOver).toEqual([]);
  for (let seed = 1; seed <= 20; seed++) {
    const items = rainbowOrder(drawn(30, seed));
    const linked = [
      rack('A', 9),
      over('AO', 'A', 4),
      shared('B', 200 * MM),
      { ...shared('BO', 60 * MM), overflowOf: 'B' },
    ];
    const found = allocate(items, linked);
    const ids = found.units.flatMap(({ slots }) => slots.flatMap((slot) => slot?.id ?? []));
    expect([...ids, ...found.leftOver.map(({ item }) => item.id)].sort()).toEqual(
      items.map(({ id }) => id).sort(),
    );
    expect(new Set([...found.spots.keys()]).size).toBe(ids.length);
  }
});
