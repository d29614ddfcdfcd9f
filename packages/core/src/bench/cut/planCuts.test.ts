import { numbersFrom } from '../../arrange/smooth/numbers';
import { fillOne } from './fillOne';
import { CM, everyWay, figuresOf } from './everyWay';
import { planCuts } from './planCuts';
import { OLIVEIRA_FERREIRA, WANG } from './published';
import { Work } from './exact';
import type { CutPlan, CutSheet, CuttingStock, Part, WantedPanel } from './types';

const panel = (id: string, w: number, h: number, count = 1, mayTurn = true): WantedPanel => ({
  ...{ id, widthUm: w * CM, heightUm: h * CM, count, mayTurn },
});
const sheet = (id: string, w: number, h: number, scrap: boolean, count = 1): CuttingStock => ({
  ...{ id, widthUm: w * CM, heightUm: h * CM, count, scrap },
});
const isSame = (a: Part, b: Part): boolean =>
  a.x === b.x && a.y === b.y && a.widthUm === b.widthUm && a.heightUm === b.heightUm;

/** Makes the cuts one after another: each goes through a part that is there, and what is there at the end are panels and remains. */
function carryOut(
  { cuts, panels, remains }: CutSheet,
  stock: CuttingStock,
  kerf: number,
  trimmer: number,
): void {
  let parts: Part[] = [{ x: 0, y: 0, widthUm: stock.widthUm, heightUm: stock.heightUm }];
  for (const cut of cuts) {
    const part = parts.find((each) => isSame(each, cut));
    expect(part).toBeDefined();
    const { x, y, widthUm, heightUm, way, atUm } = cut;
    expect(way === 'down' ? heightUm : widthUm).toBeLessThanOrEqual(trimmer);
    expect(atUm).toBeLessThan(way === 'down' ? widthUm : heightUm);
    parts = parts.filter((each) => each !== part);
    const over = (way === 'down' ? widthUm : heightUm) - atUm - kerf;
    if (way === 'down')
      parts.push({ x, y, widthUm: atUm, heightUm }, { x: x + atUm + kerf, y, widthUm: over, heightUm });
    else parts.push({ x, y, widthUm, heightUm: atUm }, { x, y: y + atUm + kerf, widthUm, heightUm: over });
    parts = parts.filter((each) => each.widthUm > 0 && each.heightUm > 0);
  }
  for (const made of [...panels, ...remains]) {
    const part = parts.find((each) => isSame(each, made));
    expect(part).toBeDefined();
    parts = parts.filter((each) => each !== part);
  }
  expect(parts).toEqual([]);
}

function carryOutAll(
  plan: CutPlan,
  panels: readonly WantedPanel[],
  stock: readonly CuttingStock[],
  kerf = 0,
  trimmer = Infinity,
) {
  const left = new Map(stock.map(({ id, count }) => [id, count]));
  for (const used of plan.used) {
    const of = stock.find(({ id }) => id === used.stockId) as CuttingStock;
    left.set(of.id, (left.get(of.id) ?? 0) - 1);
    carryOut(used, of, kerf, trimmer);
  }
  expect(Math.min(...left.values())).toBeGreaterThanOrEqual(0);
  for (const { id, widthUm, heightUm, count, mayTurn } of panels) {
    const made = plan.used.flatMap((each) => each.panels.filter((one) => one.id === id));
    const unmade = plan.unmade.find((one) => one.id === id)?.count ?? 0;
    expect(made.length + unmade).toBe(count);
    for (const one of made) {
      expect(mayTurn !== false || !one.turned).toBe(true);
      expect([one.widthUm, one.heightUm]).toEqual(one.turned ? [heightUm, widthUm] : [widthUm, heightUm]);
    }
  }
  expect(plan.cuts).toBe(plan.used.reduce((sum, { cuts }) => sum + cuts.length, 0));
}

test.each([
  { kerf: 0, trimmer: Infinity, cases: 24 },
  { kerf: 1, trimmer: Infinity, cases: 10 },
  { kerf: 0, trimmer: 5, cases: 10 },
])(
  'equals the best of every way on small tasks: kerf $kerf, trimmer $trimmer',
  ({ kerf, trimmer, cases }) => {
    const random = numbersFrom(7 + kerf);
    const upTo = (n: number): number => 1 + (random() % n);
    for (let i = 0; i < cases; i++) {
      const panels = Array.from({ length: upTo(3) }, (_, k) =>
        panel(`p${k}`, upTo(5), upTo(5), upTo(2), upTo(3) > 1),
      ).slice(0, 3);
      const stock = [
        sheet('a', upTo(7), upTo(7), true),
        sheet('b', upTo(6), upTo(6), true),
        sheet('c', 5 + upTo(3), 4 + upTo(3), false, upTo(2)),
      ];
      const plan = planCuts(panels, stock, { kerfUm: kerf * CM, trimmerUm: trimmer * CM, budgetMs: 5000 });
      carryOutAll(plan, panels, stock, kerf * CM, trimmer * CM);
      expect(plan.provenBest).toBe(true);
      const [mine, best] = [figuresOf(plan, panels, stock), everyWay(panels, stock, kerf, trimmer)];
      for (const k of [0, 1, 2, 3]) expect(mine[k]).toBeCloseTo(best[k] ?? NaN, 6);
    }
  },
);

test('the smallest scrap that does, then a sheet', () => {
  const stock = [sheet('big', 30, 30, false, 9), sheet('large', 20, 15, true), sheet('small', 12, 9, true)];
  expect(planCuts([panel('a', 10, 8)], stock).used.map(({ stockId }) => stockId)).toEqual(['small']);
  expect(planCuts([panel('a', 14, 8)], stock).used.map(({ stockId }) => stockId)).toEqual(['large']);
  const plan = planCuts([panel('a', 25, 8)], stock);
  expect(plan.used.map(({ stockId }) => stockId)).toEqual(['big']);
  expect(plan.newSheets).toBe(1);
});

test('grain: a panel that may not be turned stays as it is, and is unmade where it does not lie', () => {
  const stock = [sheet('a', 10, 20, true)];
  expect(planCuts([panel('p', 15, 5, 1, false)], stock).unmade).toEqual([{ id: 'p', count: 1 }]);
  expect(planCuts([panel('p', 15, 5)], stock).used[0]?.panels[0]?.turned).toBe(true);
});

test.each([
  ['a size that is none', [panel('p', 0, 5)], [], {}, 'The panel p needs a width and a height'],
  ['half a panel', [panel('p', 1, 5, 0.5)], [], {}, 'Of the panel p there must be a whole number'],
  ['a name used twice', [panel('p', 1, 5), panel('p', 2, 5)], [], {}, 'are called p'],
  ['a sheet of no size', [], [sheet('s', 5, NaN, true)], {}, 'The sheet s needs a width'],
  ['too many', [panel('p', 1, 5, 2001)], [], {}, 'At most 2000 panels'],
  ['a blade of no width', [panel('p', 1, 5)], [], { kerfUm: NaN }, 'kerfUm must be a number'],
])('%s is refused with a sentence', (_, panels, stock, options, sentence) => {
  expect(() => planCuts(panels, stock, options)).toThrow(sentence);
});

test('nothing wanted, and nothing to cut from', () => {
  expect(planCuts([], [sheet('a', 5, 5, true)])).toMatchObject({
    used: [],
    cuts: 0,
    unmade: [],
    provenBest: true,
  });
  expect(planCuts([panel('p', 1, 1, 3)], []).unmade).toEqual([{ id: 'p', count: 3 }]);
});

// Christofides & Whitlock (1977), Operations Research 25, instances 1 and 2: width, height, at most, value.
const CHRISTOFIDES_WHITLOCK = [
  {
    sheet: { w: 15, h: 10 },
    best: 244,
    panels: [
      [8, 4, 2, 66],
      [3, 7, 1, 35],
      [8, 2, 3, 24],
      [3, 4, 5, 17],
      [3, 3, 2, 11],
      [3, 2, 2, 8],
      [2, 1, 1, 2],
    ],
  },
  {
    sheet: { w: 40, h: 70 },
    best: 2892,
    panels: [
      [21, 22, 1, 582],
      [31, 13, 1, 403],
      [9, 35, 3, 315],
      [9, 24, 3, 216],
      [30, 7, 2, 210],
      [11, 13, 3, 143],
      [10, 14, 3, 140],
      [14, 8, 3, 110],
      [12, 8, 3, 94],
      [13, 7, 3, 90],
    ],
  },
] as const;

test.each(CHRISTOFIDES_WHITLOCK)(
  'one sheet filled for the most value: $best',
  ({ sheet: size, best, panels }) => {
    const sorts = panels.map(([w, h, count]) => ({ ...{ w, h, count }, mayTurn: false, ids: [] }));
    const values = new Map(sorts.map((sort, i) => [sort, panels[i]?.[3] ?? 0]));
    const found = fillOne(
      sorts,
      size,
      (sort) => values.get(sort as (typeof sorts)[number]) ?? 0,
      new Work(1e6),
    );
    expect(found).toMatchObject({ value: best, proven: true });
  },
);

test.each([WANG, OLIVEIRA_FERREIRA])(
  'where there is not enough for all, the most area that can be made: $name',
  ({ panels: list, best }) => {
    const panels = list.map(([w, h, count], i) => panel(`p${i}`, w, h, count, false));
    const stock = [sheet('s', 70, 40, false)];
    const plan = planCuts(panels, stock);
    carryOutAll(plan, panels, stock);
    const made = plan.used
      .flatMap((one) => one.panels)
      .reduce((sum, { widthUm, heightUm }) => sum + (widthUm / CM) * (heightUm / CM), 0);
    expect(made).toBe(best);
  },
);

test('forty panels from sixty scraps and sheets of two sizes: all made, and said not to be proven best', () => {
  const random = numbersFrom(3);
  const mm = (from: number, to: number): number => (from + (random() % (to - from))) / 10;
  const panels = Array.from({ length: 40 }, (_, i) => panel(`p${i}`, mm(40, 140), mm(40, 140)));
  const stock = [
    ...Array.from({ length: 60 }, (_, i) => sheet(`s${i}`, mm(50, 200), mm(50, 200), true)),
    sheet('letter', 21.59, 27.94, false, 30),
    sheet('twelve', 30.48, 30.48, false, 30),
  ];
  const plan = planCuts(panels, stock, { kerfUm: 500, trimmerUm: 330_000 });
  carryOutAll(plan, panels, stock, 500, 330_000);
  expect(plan.unmade).toEqual([]);
  expect(plan.provenBest).toBe(false);
  expect(planCuts(panels, stock, { kerfUm: 500, trimmerUm: 330_000 })).toEqual(plan);
});
