import { pocketsFor } from './pocket';
import { readySizes } from './readySizes';
import { isFullStrip, isWorthKeeping, nearScraps, toCut, type Cuttable } from './toCut';

const cm = (width: number, height: number) => ({ widthUm: width * 10_000, heightUm: height * 10_000 });
const lot = (
  id: string,
  as: 'whole' | 'pack' | 'base' | 'scrap',
  count: number,
  sizeUm: ReturnType<typeof cm> | null = null,
) => ({
  ...{ id, as, sizeUm },
  items: as === 'whole' ? 0 : count,
  left: as === 'whole' ? count : 0,
});
const card = (id: string, hex: string, holdings: Cuttable['holdings'], form = 'sheet-a4'): Cuttable => ({
  ...{ id, hex, holdings, form, kind: 'cardstock', facts: {} },
});

const green = card('green', '#3f8a4e', [
  lot('sheets', 'whole', 6),
  lot('packs', 'pack', 2),
  lot('bases', 'base', 9, cm(10, 15)),
  lot('small', 'scrap', 3, cm(8, 6)),
  lot('strip', 'scrap', 2, cm(3, 29.7)),
  lot('unsaid', 'scrap', 4),
]);

test('sheets and scraps of a known size can be cut; packs, bases and scraps of no size cannot; strips when asked', () => {
  expect(toCut(green, false)).toEqual([
    { id: 'sheets', supplyId: 'green', widthUm: 210_000, heightUm: 297_000, count: 6, scrap: false },
    { id: 'small', supplyId: 'green', ...cm(8, 6), count: 3, scrap: true },
  ]);
  expect(toCut(card('odd', '#3f8a4e', green.holdings, 'scrap'), true)).toEqual([]);
  expect(toCut(green, true).map(({ id }) => id)).toEqual(['sheets', 'small', 'strip']);
});

test('a strip runs along the whole sheet and is narrow', () => {
  const sheet = cm(21, 29.7);
  expect(isFullStrip(cm(29.6, 4), sheet)).toBe(true);
  expect(isFullStrip(cm(29.7, 12), sheet)).toBe(false);
  expect(isFullStrip(cm(25, 4), sheet)).toBe(false);
  expect(isFullStrip(cm(29.7, 4), null)).toBe(false);
});

test('scraps of a colour hardly told apart, sheets of it never', () => {
  const near = card('near', '#408b4f', [lot('n1', 'whole', 5), lot('n2', 'scrap', 1, cm(9, 9))]);
  const far = card('far', '#8a3f4e', [lot('f', 'scrap', 1, cm(9, 9))]);
  expect(nearScraps(green, [green, far, near], false).map(({ id, supplyId }) => [id, supplyId])).toEqual([
    ['n2', 'near'],
  ]);
});

test('ready sizes: a base is two fronts wide, a panel smaller than a mat, a mat smaller than the front', () => {
  for (const units of ['metric', 'inches'] as const) {
    const sizes = readySizes(units);
    const [base, panel, mat, envelope] = sizes;
    expect([base?.what, panel?.what, mat?.what, envelope?.what]).toEqual([
      'base',
      'panel',
      'mat',
      'envelope',
    ]);
    expect(panel?.widthUm).toBeLessThan(mat?.widthUm ?? 0);
    expect(2 * (mat?.widthUm ?? 0)).toBeLessThan(base?.widthUm ?? 0);
    expect(
      sizes.every(({ widthUm, heightUm }) => Number.isInteger(widthUm) && Number.isInteger(heightUm)),
    ).toBe(true);
  }
  expect(readySizes('inches')[0]).toMatchObject({ widthUm: 8.5 * 25_400, heightUm: 5.5 * 25_400 });
  expect(readySizes('inches')[3]?.widthUm).toBe(7.5 * 25_400);
  expect(readySizes('metric')[1]).toMatchObject({ widthUm: 95_000, heightUm: 138_000 });
});

test('kept by the shorter side', () => {
  expect(isWorthKeeping(cm(2, 20), 25_000)).toBe(false);
  expect(isWorthKeeping(cm(3, 20), 25_000)).toBe(true);
});

test('a scrap goes where those of its card lie, else those of its family, and never to the bench', () => {
  const spot = (unitId: string, cell: number | null = null) => ({ unitId, cell, rank: 0 });
  const scraps = (id: string, group: string, at: ReturnType<typeof spot>, items = 1) => ({
    ...{ id, group, kind: 'cardstock' },
    holdings: [{ as: 'scrap', items, spot: at }],
  });
  const all = [
    scraps('a', 'green', spot('pocket', 3), 2),
    scraps('b', 'green', spot('hand'), 9),
    scraps('c', 'red', spot('bin'), 50),
  ];
  const isPlace = (unitId: string): boolean => unitId !== 'hand';
  const at = (id: string, group: string) =>
    pocketsFor({ id, kind: 'cardstock', group, holdings: [] }, all, isPlace).map(({ unitId }) => unitId);
  expect(at('new', 'green')).toEqual(['pocket', 'bin']);
  expect(at('c', 'green')).toEqual(['bin', 'pocket']);
  expect(at('new', 'blue')).toEqual(['bin', 'pocket']);
  // Remnants do not go among card.
  expect(pocketsFor({ id: 'r', kind: 'ribbon', group: 'green', holdings: [] }, all, isPlace)).toEqual([]);
});
