import { supply } from '../test/harness';
import { countingWays } from './countingWays';

const ways = (...given: Parameters<typeof countingWays>) => countingWays(...given).map(({ name }) => name);
const way = (name: string, ...given: Parameters<typeof countingWays>) => {
  const found = countingWays(...given).find((each) => each.name === name);
  if (!found) throw new Error(`no way “${name}”`);
  return found;
};
const card = (attributes: Record<string, string | number | { cgsm: number; basis: null }> = {}) =>
  supply({ kind: 'cardstock', form: 'sheet-letter', facts: { attributes } });
const heavy = card({ weight: { cgsm: 21_600, basis: null }, tenMass: 130_000 });

test('each kind offers the ways that its facts allow', () => {
  expect(ways(supply(), 'metric')).toEqual([]);
  expect(ways(card(), 'metric')).toEqual(['Weigh ten, then all']);
  expect(ways(heavy, 'metric')).toEqual(['Stack height', 'Weigh the pile', 'Weigh ten, then all']);
  expect(ways(supply({ kind: 'ribbon', form: 'spool' }), 'metric')).toEqual(['Wound diameter', 'Weigh it']);
  expect(ways(supply({ kind: 'ribbon', form: 'card-wound' }), 'metric')).toEqual([
    'Turns on a card',
    'Weigh it',
  ]);
  expect(ways(supply({ kind: 'marker', form: 'alcohol-dual' }), 'metric')).toEqual(['Weigh it']);
  expect(ways(supply({ kind: 'marker', form: 'pencil' }), 'metric')).toEqual([]);
  expect(ways(supply({ kind: 'ink', form: 'refill' }), 'metric')).toEqual(['Weigh it']);
  expect(ways(supply({ kind: 'sticker', form: 'sheet' }), 'metric')).toEqual([]);
});

test('card: fifty sheets by height, by mass and by ten weighed ones', () => {
  expect(way('Stack height', heavy, 'metric').work({ height: 13_500 })?.left).toBe(50);
  expect(way('Weigh the pile', heavy, 'metric').work({ mass: 651_000 })?.left).toBe(50);
  const ten = way('Weigh ten, then all', heavy, 'metric');
  expect(ten.inputs[0]?.start).toBe('130 g');
  expect(ten.work({ ten: 130_000, mass: 650_000 })).toMatchObject({
    left: 50,
    words: expect.stringMatching(/^about 50 sheets \(\d+–\d+\)$/),
  });
  expect(ten.work({ ten: 0, mass: 650_000 })).toBeNull();
});

test('ribbon: a spool by its diameter, its material’s thickness assumed until measured', () => {
  const spool = supply({
    kind: 'ribbon',
    form: 'spool',
    facts: { attributes: { material: 'velvet', spoolCore: 25_000 } },
  });
  const wound = way('Wound diameter', spool, 'metric');
  expect(wound.inputs.map(({ start }) => start)).toEqual(['', '25 mm', '0.9 mm']);
  const answer = wound.work({ outer: 56_000, core: 25_000, thickness: 900 });
  expect(answer?.left).toBe(Math.round((Math.PI * (56_000 ** 2 - 25_000 ** 2)) / 3600));
  expect(answer?.words).toMatch(/^about 2\.19 m \(1\.\d+ m–2\.\d+ m\)$/);
  expect(wound.work({ outer: 20_000, core: 25_000, thickness: 900 })).toBeNull();
  expect(way('Weigh it', spool, 'inches').work({ now: 30_000, empty: 10_000, metre: 4_000 })?.words).toMatch(
    /yd/,
  );
});

test('a marker on a scale says what is left, and what may be added', () => {
  const marker = supply({
    kind: 'marker',
    form: 'alcohol-dual',
    stock: { ...supply().stock, items: 2, left: 70 },
  });
  const answer = way('Weigh it', marker, 'metric').work({ now: 11_000, empty: 10_000, full: 12_000 });
  expect(answer).toMatchObject({
    words: expect.stringMatching(/^50% full \(\d+–\d+%\), about 1\.2 ml left/),
    note: expect.stringMatching(/^Up to 1\.\d ml may be added/),
    // One full marker beside the half empty one.
    left: 60,
  });
  expect(way('Weigh it', marker, 'metric').work({ now: 11_000, empty: 12_000, full: 12_000 })).toBeNull();
});
