import fc from 'fast-check';
import { isRefusal, mayLive, type Lodger, type RoomNow } from './mayLive';
import { holdsOf, type Model } from './models/models';
import { modelSchema } from './models/modelSchema';
import { testUnit } from './test/testUnit';
import { UNIT_TEMPLATES } from './templates';

/** Places that things share by length or by height. */

const MM = 1000;
const size = (w: number, h: number, d: number) => ({ widthUm: w * MM, heightUm: h * MM, depthUm: d * MM });
const run = (
  how: 'stand' | 'file' | 'hooks' | 'rail',
  l: number,
  h: number,
  d: number,
  fingerUm = 0,
): Model => ({
  model: 'run',
  how,
  lengthUm: l * MM,
  heightUm: h * MM,
  depthUm: d * MM,
  lipUm: 0,
  fingerUm,
});
const rod = (l: number, across: number, thick: number): Model => ({
  ...(run('stand', l, across, across) as Extract<Model, { model: 'run' }>),
  how: 'rod',
  rodUm: thick * MM,
});
const stack = (w: number, h: number, d: number, fingerUm = 0): Model => ({
  model: 'stack',
  ...size(w, h, d),
  fingerUm,
});

const thing = (id: string, sides: ReturnType<typeof size>, more: Partial<Lodger['supply']> = {}): Lodger => ({
  supply: { id, kind: 'companion', form: 'other', facts: { size: sides }, ...more },
  lot: { id: `${id}-lot`, as: 'whole', items: 1, left: 1, spot: null },
});
const spool = (id: string, outer: number, width: number, bore?: number): Lodger =>
  thing(id, size(outer, outer, width), {
    kind: 'ribbon',
    form: 'spool',
    facts: { size: size(outer, outer, width), attributes: bore === undefined ? {} : { bore: bore * MM } },
  });
const ask = (model: Model, one: Lodger, there: readonly Lodger[] = []) => {
  const unit = testUnit({ model, rules: { kinds: ['companion', 'ribbon', 'cardstock'] } });
  const room: RoomNow = {
    livingIn: () =>
      there.map((each, rank) => ({
        ...each,
        lot: { ...each.lot, spot: { unitId: unit.id, cell: null, rank } },
      })),
  };
  return mayLive(one, { unit, cell: null }, room);
};

test('a run takes what its length takes, by the exact sum, and says by how much the next one is too much', () => {
  const shelf = run('stand', 100, 60, 40);
  const there = [thing('a', size(40, 30, 30)), thing('b', size(35, 30, 30))];
  expect(ask(shelf, thing('c', size(25, 30, 30)), there)).toBeNull();
  expect(ask(shelf, thing('c', size(26, 30, 30)), there)).toEqual({
    code: 'run_full',
    needUm: 26 * MM,
    haveUm: 25 * MM,
  });
  expect(ask(run('stand', 100, 60, 40, 5 * MM), thing('c', size(25, 30, 30)), there)).toMatchObject({
    code: 'run_full',
    haveUm: 20 * MM,
  });
  expect(ask(shelf, thing('d', size(20, 70, 30)))).toEqual({
    code: 'too_high',
    needUm: 70 * MM,
    haveUm: 60 * MM,
  });
});

test('what is filed shows an edge and takes its thickness', () => {
  const card = thing('c', size(300, 300, 8));
  expect(ask(run('file', 20, 320, 320), card, [thing('e', size(8, 300, 300))])).toBeNull();
  expect(ask(run('file', 15, 320, 320), card, [thing('e', size(8, 300, 300))])).toMatchObject({
    code: 'run_full',
  });
});

test('a rod takes what has a hole it goes through and room to turn', () => {
  const pole = rod(100, 110, 12);
  expect(ask(pole, spool('a', 100, 30, 20))).toBeNull();
  expect(ask(pole, spool('a', 100, 30))).toBeNull();
  expect(ask(pole, spool('a', 100, 30, 12))).toEqual({
    code: 'bore_too_small',
    needUm: 13 * MM,
    haveUm: 12 * MM,
  });
  expect(ask(pole, spool('a', 120, 30, 20))).toMatchObject({ code: 'too_high' });
  expect(ask(pole, thing('x', size(20, 20, 20)))).toEqual({ code: 'no_hole' });
  expect(ask(pole, spool('a', 100, 41, 20), [spool('b', 100, 60)])).toEqual({
    code: 'run_full',
    needUm: 41 * MM,
    haveUm: 40 * MM,
  });
});

test('a stack takes what its height takes: flat things lie on their large side', () => {
  const tray = stack(320, 20, 320, 5 * MM);
  const card = (id: string, thick: number) => thing(id, size(thick, 300, 300));
  expect(ask(tray, card('a', 6), [card('b', 9)])).toBeNull();
  expect(ask(tray, card('a', 7), [card('b', 9)])).toEqual({
    code: 'stack_full',
    needUm: 7 * MM,
    haveUm: 6 * MM,
  });
  expect(isRefusal(ask(tray, thing('x', size(50, 40, 60))))).toBe(true);
});

test('every model draws as many things as are in it, inside itself', () => {
  const models = UNIT_TEMPLATES.map(({ model }) => model).filter(({ model }) => model !== 'grid');
  const sides = fc.tuple(...[1, 2, 3].map(() => fc.integer({ min: 1, max: 400 })));
  fc.assert(
    fc.property(fc.constantFrom(...models), fc.array(sides, { maxLength: 40 }), (model, given) => {
      const holds = holdsOf(model);
      const boxes = holds.boxes(given.map(([w = 1, h = 1, d = 1]) => size(w, h, d)));
      expect(boxes).toHaveLength(given.length);
      const { w, h } = holds.outside();
      for (const box of [...boxes, ...holds.fronts(), ...holds.behind]) {
        expect(box.x).toBeGreaterThanOrEqual(0);
        expect(box.y).toBeGreaterThanOrEqual(-1);
        expect(box.x + box.w).toBeLessThanOrEqual(w + 1);
        expect(box.y + box.h).toBeLessThanOrEqual(h + 1);
      }
    }),
    { numRuns: 400, seed: 11 },
  );
});

test('templates are sound, and what is no place is refused in a sentence', () => {
  for (const { model } of UNIT_TEMPLATES) expect(modelSchema.safeParse(model).success).toBe(true);
  const why = (model: object) => modelSchema.safeParse(model).error?.issues[0]?.message;
  const pole = { model: 'run', how: 'rod', lengthUm: 400_000, heightUm: 100_000, depthUm: 100_000 };
  expect(why(pole)).toBe('Say how thick the rod is; only a rod is asked.');
  expect(why({ ...pole, how: 'stand', rodUm: 12_000 })).toBe(
    'Say how thick the rod is; only a rod is asked.',
  );
  expect(why({ ...pole, how: 'fly' })).toBe('Things stand, hang on a rod or hooks, or are filed.');
  expect(why({ ...pole, rodUm: 12_000, fingerUm: 400_000 })).toBe(
    'The finger room must leave some of the length.',
  );
  expect(why({ model: 'stack', ...size(300, 40, 300), fingerUm: 40_000 })).toMatch(
    /leave some of the height/,
  );
  expect(why({ model: 'stack', ...size(300, 1, 300) })).toBe('The height must be at least 5 mm.');
});
