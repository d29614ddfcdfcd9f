import fc from 'fast-check';
import { testUnit } from '../test/testUnit';
import { marksIn, type Unit } from '../unit';
import { unitFactsSchema, type UnitFacts } from '../unitFacts';
import { reachesIn, reachSwaps } from './reach';
import { sceneOf } from './scene';
import { gapFills } from './gap';
import { wayTo } from './way';

const MM = 1000;
const piece = (id: string, facts: UnitFacts = {}, parentId = 'room'): Unit =>
  testUnit({ id, name: id, sort: 'piece', model: null, parentId, facts });
const box = (id: string, parentId = 'room', facts: UnitFacts = {}): Unit =>
  testUnit({
    id,
    name: id,
    parentId,
    facts,
    model: { model: 'loose', widthUm: 300 * MM, heightUm: 100 * MM, depthUm: 300 * MM, fillPercent: 70 },
  });
const size = (widthMm: number, heightMm: number): UnitFacts => ({
  outsideUm: { widthUm: widthMm * MM, heightUm: heightMm * MM, depthUm: 400 * MM },
});
const at = (units: readonly Unit[], id: string) =>
  sceneOf(units).standing.find(({ unit }) => unit.id === id)?.box;

test('what was measured stands where it was measured, from the floor up', () => {
  const units = [
    piece('tower', { ...size(400, 800), pose: { alongUm: 500 * MM } }),
    box('tray', 'tower', { pose: { alongUm: 20 * MM, upUm: 300 * MM } }),
  ];
  expect(sceneOf(units).h).toBe(2100 * MM);
  expect(at(units, 'tower')).toEqual({ x: 500 * MM, y: 1300 * MM, w: 400 * MM, h: 800 * MM });
  expect(at(units, 'tray')).toMatchObject({ x: 520 * MM, y: (2100 - 300 - 108) * MM });
});

test('a box put down along a shelf stands on what is there; what has only a height comes behind what is as high', () => {
  const units = [
    piece('desk', { ...size(1200, 750), pose: { alongUm: 0 } }),
    box('on it', 'room', { pose: { alongUm: 100 * MM } }),
    box('beside', 'room', { pose: { upUm: 780 * MM } }),
  ];
  expect(at(units, 'on it')).toMatchObject({ y: (2100 - 750 - 108) * MM });
  expect(at(units, 'beside')?.x).toBeGreaterThanOrEqual(408 * MM);
});

test('walls stand side by side; what is put away is not drawn, and what stands in it is drawn where that stood', () => {
  const units = [
    piece('shelf', { ...size(900, 1800), pose: { wall: 'window' } }),
    piece('cart', size(400, 800)),
    box('spare', 'cart', { standing: 'spare' }),
    box('within', 'spare'),
  ];
  const scene = sceneOf(units);
  expect(scene.walls.map(({ name }) => name)).toEqual(['window', '']);
  expect(scene.standing.map(({ unit }) => unit.id)).toEqual(['shelf', 'cart', 'within']);
  expect(scene.standing.at(-1)?.level).toBe(1);
});

test('units nobody measured never stand on one another, inside a piece or on the wall', () => {
  const sizes = fc.array(
    fc.record({ w: fc.integer({ min: 50, max: 900 }), h: fc.integer({ min: 30, max: 700 }) }),
    { minLength: 1, maxLength: 14 },
  );
  fc.assert(
    fc.property(sizes, fc.boolean(), (list, within) => {
      const units = [
        piece('p', {}),
        ...list.map(({ w, h }, i) => box(`u${i}`, within ? 'p' : 'room', size(w, h))),
      ];
      const boxes = sceneOf(units).standing.filter(({ unit }) => unit.id !== 'p');
      expect(boxes).toHaveLength(list.length);
      for (const [i, a] of boxes.entries())
        for (const b of boxes.slice(i + 1)) {
          const apart =
            a.box.x + a.box.w <= b.box.x ||
            b.box.x + b.box.w <= a.box.x ||
            a.box.y + a.box.h <= b.box.y ||
            b.box.y + b.box.h <= a.box.y;
          expect(apart).toBe(true);
        }
      for (const { box: each } of boxes) expect(each.y + each.h).toBeLessThanOrEqual(sceneOf(units).h);
    }),
    { numRuns: 200 },
  );
});

test('the way: which one counted from above, what is opened, what lies upon it', () => {
  const units = [
    piece('Tower', size(400, 900)),
    ...['Inks', 'Ribbons', 'Papers'].map((name, i) =>
      box(name, 'Tower', { opens: 'pulled out', pose: { alongUm: 0, upUm: (2 - i) * 300 * MM } }),
    ),
    box('Lower layer', 'Papers', { pose: { alongUm: 0, upUm: 0 } }),
    box('Upper layer', 'Papers', { covers: true, pose: { alongUm: 0, upUm: 50 * MM } }),
  ];
  const way = (name: string) => {
    const unit = units.find(({ id }) => id === name);
    return unit ? wayTo(unit, units) : [];
  };
  expect(way('Lower layer')).toEqual([
    { do: 'go to', name: 'Tower', nth: 1, of: 1 },
    { do: 'go to', name: 'Papers', nth: 3, of: 3 },
    { do: 'open', how: 'pulled out', name: 'Papers' },
    { do: 'go to', name: 'Lower layer', nth: 2, of: 2 },
    { do: 'lift', name: 'Upper layer' },
  ]);
  // What lies on top is taken as it is; what lies in the drawer itself is under it.
  expect(way('Upper layer').filter((step) => step.do === 'lift')).toEqual([]);
  expect(way('Papers').at(-1)).toEqual({ do: 'lift', name: 'Upper layer' });
});

test('what hangs above the shoulder is high without being told so', () => {
  const units = [
    piece('Shelf', { ...size(900, 300), pose: { alongUm: 0, upUm: 1200 * MM } }),
    box('Low', 'Shelf'),
    box('High', 'Shelf', { pose: { alongUm: 0, upUm: 150 * MM } }),
  ];
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const high = (id: string): boolean => {
    const unit = byId.get(id);
    return unit !== undefined && marksIn(unit, byId).has('high');
  };
  expect([high('Low'), high('High')]).toEqual([false, true]);
});

test('a place is measured from the floor and the wall, and not in dreams', () => {
  const read = (pose: object) => unitFactsSchema.safeParse({ pose }).success;
  expect(read({ wall: 'window', alongUm: 0, upUm: 1_900_000 })).toBe(true);
  expect(read({ alongUm: -1 })).toBe(false);
  expect(read({ upUm: 21_000_000 })).toBe(false);
});

test('a gap: what is spare first, then sorts made for a kind by how well they fill it, never more than goes in', () => {
  const gap = { widthUm: 620 * MM, heightUm: 300 * MM, depthUm: 330 * MM };
  const fills = gapFills(gap, [box('spare one'), box('too long', 'room', size(900, 100))], 'ink');
  expect(fills[0]?.take.map(({ unit, spare, count }) => [unit.id, spare, count])).toEqual([
    ['spare one', true, 1],
  ]);
  const shares = fills.slice(1).map(({ plan }) => plan.usedShare);
  expect(shares).toEqual([...shares].sort((p, q) => q - p));
  for (const { take, plan } of fills) {
    expect(plan.usedShare).toBeLessThanOrEqual(1);
    for (const { unit } of take) expect(unit.rules.kinds).toContain('ink');
    const high = plan.layers.reduce((sum, { heightUm }) => sum + heightUm, 0);
    expect(high).toBeLessThanOrEqual(gap.heightUm);
  }
  expect(gapFills({ widthUm: 9 * MM, heightUm: 9 * MM, depthUm: 9 * MM }, [], null)).toEqual([]);
});

const ROOM = [
  piece('desk', { ...size(1200, 740), seat: true, pose: { alongUm: 0 } }),
  box('on the desk', 'room', { pose: { alongUm: 300 * MM, upUm: 740 * MM } }),
  box('high', 'room', { pose: { alongUm: 300 * MM, upUm: 1700 * MM } }),
  box('in a drawer', 'room', { opens: 'pulled out', pose: { alongUm: 1300 * MM, upUm: 700 * MM } }),
  box('across', 'room', { pose: { alongUm: 5000 * MM, upUm: 700 * MM } }),
  box('said', 'room', { reach: 'near', pose: { alongUm: 6000 * MM, upUm: 0 } }),
];

test('reach: distance from the seat, height and what is opened first make a place less at hand; what a person says counts', () => {
  const reaches = reachesIn(ROOM);
  const of = (id: string) => reaches.get(id);
  expect(['on the desk', 'high', 'in a drawer', 'across', 'said'].map((id) => of(id)?.reach)).toEqual([
    'near',
    'mid',
    'mid',
    'far',
    'near',
  ]);
  expect(of('high')).toMatchObject({ band: 'high', awayUm: 0, steps: 0 });
  expect(of('in a drawer')).toMatchObject({ band: 'easy', steps: 1 });
});

test('swaps: only ones that can be made both ways, the busiest first, nothing twice', () => {
  const lot = (id: string, unitId: string, uses: number, highMm = 20) => {
    const unit = ROOM.find((each) => each.id === unitId) ?? box('none');
    return {
      supply: {
        id,
        kind: 'ink' as const,
        form: 'full-pad',
        facts: { size: { widthUm: 90 * MM, heightUm: highMm * MM, depthUm: 60 * MM } },
      },
      lot: { id, as: 'whole' as const, items: 1, left: 1, spot: { unitId, cell: null, rank: 0 } },
      unit: { ...unit, rules: { kinds: ['ink' as const] } },
      cell: null,
      uses,
    };
  };
  const things = [
    lot('busy', 'across', 40),
    lot('busier', 'across', 60),
    lot('too large', 'across', 90, 400),
    lot('idle', 'on the desk', 0),
    lot('used', 'on the desk', 25),
  ];
  const room = { livingIn: (id: string) => things.filter(({ unit }) => unit.id === id) };
  const swaps = reachSwaps(things, reachesIn(ROOM), room);
  expect(swaps.map(({ busy, idle }) => [busy.lot.id, idle.lot.id])).toEqual([['busier', 'idle']]);
});
