import { sag, wantsBrace } from './beam';
import { fitCount } from './fitCount';
import { getIn } from './getIn';
import { gridIn } from './cells';
import { loadOn } from './load';
import { openingPlan } from './openingPlan';
import { comesOff, rodFit } from './rod';
import { runCount } from './run';
import { stackCount } from './stack';

/** Cases a tape measure settles, in mm. */
const MM = 1000;
const size = (w: number, h: number, d: number) => ({ widthUm: w * MM, heightUm: h * MM, depthUm: d * MM });

test('a pad in a slot: how many, what is free, how far it sticks out to be grabbed', () => {
  const answer = fitCount(size(98, 20, 66), size(102, 22, 60), { sticksOut: 0.25 });
  expect(answer).toMatchObject({
    count: 1,
    turn: 'as it stands',
    clearUm: size(4, 2, -6),
    sticksOutUm: 6 * MM,
    behind: 0,
  });
  // Behind a door nothing may stick out: the axis that refuses, and by how much.
  expect(fitCount(size(98, 20, 66), size(102, 22, 60)).refusals).toEqual([
    { code: 'too_deep', needUm: 66 * MM, haveUm: 60 * MM },
  ]);
});

test('mini pads in a drawer: turned for the most, hidden ones told, a layer on another only where that is wanted', () => {
  const pad = size(45, 18, 45);
  const drawer = size(280, 60, 330);
  expect(fitCount(pad, drawer)).toMatchObject({ count: 42, across: 6, deep: 7, high: 1, behind: 36 });
  expect(fitCount(pad, drawer, { layers: true }).count).toBe(126);
  expect(fitCount(pad, drawer, { turns: 'any' })).toMatchObject({ count: 108, across: 6, deep: 18 });
});

test('sizes that are none are refused in a sentence', () => {
  expect(() => fitCount(size(0, 1, 1), size(1, 1, 1))).toThrow(
    'The thing: widthUm must be more than nothing, not 0.',
  );
  expect(() => fitCount(size(1, 1, 1), size(NaN, 1, 1))).toThrow(/The space: widthUm/);
  expect(() => fitCount(size(1, 1, 1), size(1, 1, 1), { sticksOut: 2 })).toThrow(/share from 0 to 1/);
  expect(() => fitCount(size(1, 1, 1), size(1, 1, 1), { turns: [] })).toThrow(/At least one way round/);
  expect(() => runCount([{ alongUm: -1 }], 10)).toThrow(/alongUm/);
});

test('a rack for bottles from its outside, walls counted', () => {
  expect(gridIn(size(330, 130, 165), size(36, 122, 36), 3 * MM)).toEqual({
    rows: 1,
    columns: 8,
    layers: 4,
    leftUm: size(15, 2, 6),
  });
});

test('a pile in a tray, with how sure it is', () => {
  const { value, low, high } = stackCount({ thicknessUm: 300 }, 60 * MM, { fingerUm: 15 * MM });
  expect([value, low, high]).toEqual([150, 134, 165]);
});

test('spools on a rod: the bore, the wall behind, the length, and what comes off for one', () => {
  const spool = (width: number, outer: number, bore?: number) => ({
    widthUm: width * MM,
    outerUm: outer * MM,
    ...(bore === undefined ? {} : { boreUm: bore * MM }),
  });
  const rod = { lengthUm: 100 * MM, diameterUm: 12 * MM, projectionUm: 45 * MM };
  const answer = rodFit(
    [spool(30, 70, 20), spool(30, 95), spool(40, 60, 12), spool(40, 60), spool(40, 60)],
    rod,
  );
  expect(answer).toEqual({
    count: 2,
    leftUm: 30 * MM,
    projectionNeededUm: 52_500,
    refused: [
      { index: 1, refusal: { code: 'meets_wall', needUm: 52_500, haveUm: 45 * MM } },
      { index: 2, refusal: { code: 'bore_too_small', needUm: 13 * MM, haveUm: 12 * MM } },
      { index: 4, refusal: { code: 'rod_full', needUm: 40 * MM, haveUm: 30 * MM } },
    ],
  });
  expect(comesOff(1, 5, 'both')).toEqual([0]);
  expect(comesOff(3, 5, 'both')).toEqual([4]);
  expect(comesOff(3, 5, 'left')).toEqual([0, 1, 2]);
  expect(() => comesOff(5, 5, 'left')).toThrow(/no spool 5/);
});

test('a long rod sags by the book: a steel rod of 12 mm over a metre with four kilograms', () => {
  // I = π 12⁴ / 64 = 1017.88 mm⁴; 5 · 39.227 N · 10⁹ mm³ / (384 · 210000 MPa · I) = 2.389 mm.
  const answer = sag({ section: { shape: 'rod', diameterUm: 12 * MM }, material: 'steel' }, 1000 * MM, 4e6);
  expect(answer.value / MM).toBeCloseTo(2.389, 2);
  expect(answer.low).toBeLessThan(answer.value);
  expect(wantsBrace(answer, 1000 * MM)).toBe(false);
  const braced = sag({ section: { shape: 'rod', diameterUm: 12 * MM }, material: 'steel' }, 500 * MM, 2e6);
  expect(braced.value * 16).toBeCloseTo(answer.value, 0);
  const wood = sag({ section: { shape: 'rod', diameterUm: 12 * MM }, material: 'hardwood' }, 1000 * MM, 4e6);
  expect(wantsBrace(wood, 1000 * MM)).toBe(true);
  // A tube that is all wall is a rod; a board bends as its thickness cubed.
  const tube = { shape: 'tube', diameterUm: 12 * MM, wallUm: 6 * MM } as const;
  expect(sag({ section: tube, material: 'steel' }, 1000 * MM, 4e6).value).toBeCloseTo(answer.value, 6);
  const board = (thick: number) => ({ shape: 'board', widthUm: 200 * MM, thicknessUm: thick * MM }) as const;
  const [thin, thick] = [board(9), board(18)].map((section) =>
    sag({ section, material: 'plywood' }, 800 * MM, 10e6),
  );
  expect(thin!.value / thick!.value).toBeCloseTo(8, 6);
});

test('loads: what is borne, what is too much, and a limit nobody knows is asked for', () => {
  expect(loadOn([2e6, 3e6], 8e6)).toEqual({ state: 'borne', massMg: 5e6, mayMg: 8e6, leftMg: 3e6 });
  expect(loadOn([5e6, 4e6], 8e6)).toMatchObject({ state: 'overloaded', overMg: 1e6 });
  expect(loadOn([5e6])).toEqual({ state: 'ask', massMg: 5e6 });
});

test('a tray that fits a cupboard goes in only through an opening it passes', () => {
  const tray = size(320, 40, 420);
  const cupboard = size(330, 300, 430);
  const front = { side: 'front', widthUm: 300 * MM, heightUm: 300 * MM } as const;
  const flank = { side: 'left or right', widthUm: 425 * MM, heightUm: 280 * MM } as const;
  expect(getIn(tray, cupboard, [front])).toEqual({
    ok: false,
    because: 'no_way_in',
    refusals: [{ code: 'too_wide', needUm: 320 * MM, haveUm: 300 * MM }],
  });
  expect(getIn(tray, cupboard, [front, flank])).toMatchObject({ ok: true, through: flank });
  expect(getIn(size(340, 40, 420), cupboard, [flank])).toMatchObject({ ok: false, because: 'too_large' });
});

test('units in a cube: two layers of racks and what is left above, beside and behind', () => {
  const plan = openingPlan(
    [
      { size: size(160, 160, 330), price: 1400 },
      { size: size(330, 90, 300), price: 2200 },
      { size: size(400, 90, 300), price: 100 },
    ],
    size(335, 335, 380),
  );
  expect(plan.take).toEqual([4, 0, 0]);
  expect(plan.layers.map(({ units }) => units)).toEqual([
    [0, 0],
    [0, 0],
  ]);
  expect(plan.leftUm).toEqual({ heightUm: 15 * MM, depthUm: 50 * MM });
  expect(plan).toMatchObject({ price: 5600, tooLarge: [2], best: true });
});
