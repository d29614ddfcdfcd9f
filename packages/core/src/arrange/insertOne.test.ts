import fc from 'fast-check';
import type { ColouredItem } from './order';
import { insertOne, type Insertion } from './insertOne';
import { rainbowOrder } from './rainbow';
import { numbersFrom } from './smooth/numbers';
import { spreadRoom } from './spreadRoom';

const RED = ['#f2b6b6', '#e88a8a', '#d85d5d', '#b3262b', '#7c1519', '#4a0d10'];
const BLUE = ['#b9d3f0', '#8ab4e6', '#4f86cf', '#1f5fb0', '#173f7a'];
const item = (hex: string, id = hex): ColouredItem => ({
  id,
  hex,
  // Pale reds are pinks to some.
  family: BLUE.includes(hex) ? 'blue' : 'red',
});
type Run = (ColouredItem | null)[];

/** Carries an insertion out; fails where something goes where something is. */
function carriedOut(run: Run, thing: ColouredItem, { spot, shifts }: Insertion): Run {
  const row = [...run];
  for (const { from, to } of shifts) {
    expect(row[to]).toBeNull();
    expect(row[from]).not.toBeNull();
    row[to] = row[from] ?? null;
    row[from] = null;
  }
  expect(row[spot]).toBeNull();
  row[spot] = thing;
  return row;
}
const things = (run: Run): ColouredItem[] => run.flatMap((each) => each ?? []);

/** The fewest things that must move over so that the thing can stand in order, by trying which stay. */
function fewestMoved(run: Run, thing: ColouredItem): number {
  const ordered = rainbowOrder([...things(run), thing]);
  const at = new Map(run.flatMap((each, i) => (each ? [[each.id, i] as const] : [])));
  const all = things(run);
  let most = 0;
  for (let chosen = 0; chosen < 1 << all.length; chosen++) {
    const staying = new Set(all.filter((_, i) => chosen & (1 << i)).map(({ id }) => id));
    if (staying.size <= most) continue;
    // Those that stay keep their spots; between them there must be as many spots as there are others.
    let [last, waiting, fits] = [-1, 0, true];
    for (const { id } of [...ordered, { id: '' }]) {
      if (id !== '' && !staying.has(id)) {
        waiting++;
        continue;
      }
      const next = id === '' ? run.length : (at.get(id) ?? 0);
      if (next - last - 1 < waiting) fits = false;
      [last, waiting] = [next, 0];
    }
    if (fits) most = staying.size;
  }
  return all.length - most;
}

test('in order afterwards, with the fewest things moved over', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 7 }),
      fc.integer({ min: 1, max: 4 }),
      fc.nat(),
      (count, open, seed) => {
        const number = numbersFrom(seed);
        const colours = [...RED, ...BLUE];
        const drawn = Array.from(
          { length: count + 1 },
          () => colours.splice(number() % colours.length, 1)[0] ?? '#000',
        );
        const [thing, ...others] = drawn.map((hex) => item(hex));
        if (!thing) return;
        const run: Run = [...rainbowOrder(others)];
        for (let i = 0; i < open; i++) run.splice(number() % (run.length + 1), 0, null);
        const insertion = insertOne(run, thing);
        const after = carriedOut(run, thing, insertion);
        expect(things(after)).toEqual(rainbowOrder([...others, thing]));
        expect(insertion.shifts.length).toBe(fewestMoved(run, thing));
      },
    ),
    { numRuns: 1000 },
  );
});

test('where two places off will do, nothing moves while an open spot is that near', () => {
  const run: Run = [null, ...RED.slice(0, 5).map((hex) => item(hex)), null];
  const thing = item('#e07070', 'new');
  expect(insertOne(run, thing)).toEqual({
    spot: 2,
    shifts: [
      { from: 1, to: 0 },
      { from: 2, to: 1 },
    ],
  });
  expect(insertOne(run, thing, { tolerance: 2 })).toEqual({ spot: 0, shifts: [] });
  expect(insertOne(run, thing, { tolerance: 1 }).shifts).toHaveLength(2);
});

test('of two ways that shift as much, room is taken from the family that grows more slowly', () => {
  const run: Run = [null, item(RED[3] ?? ''), item(BLUE[2] ?? ''), null];
  const blue = item(BLUE[0] ?? '', 'new');
  expect(insertOne(run, blue, { rates: { red: 1, blue: 9 } }).spot).toBe(1);
  expect(insertOne(run, blue, { rates: { red: 9, blue: 1 } }).spot).toBe(2);
});

test('a full run says so', () => {
  expect(() => insertOne([item(RED[0] ?? '')], item(RED[1] ?? ''))).toThrow(/run is full/);
});

test('open spots stand inside families by how fast they grow, never all at the end', () => {
  const run = rainbowOrder([...RED, ...BLUE].map((hex) => item(hex)));
  const row = spreadRoom(run, 20, { red: 1, blue: 2 });
  expect(row).toHaveLength(20);
  expect(things(row)).toEqual(run);
  const firstBlue = row.findIndex((each) => each?.hex === BLUE[0]);
  const openBefore = row.slice(0, firstBlue).filter((each) => each === null).length;
  expect(openBefore).toBeGreaterThanOrEqual(3);
  expect(openBefore).toBeLessThanOrEqual(4);
  // Never two open ones where a thing could stand between them.
  expect(row.slice(1).filter((each, i) => each === null && row[i] === null).length).toBeLessThanOrEqual(1);
  expect(spreadRoom([], 2, {})).toEqual([null, null]);
  expect(() => spreadRoom(run, 3, {})).toThrow('11 things need as many spots; there are 3.');
  expect(() => spreadRoom(run, 20, { red: -1 })).toThrow('The rate of red is -1');
});
