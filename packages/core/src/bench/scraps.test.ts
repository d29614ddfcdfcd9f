import { clearing, piecesFrom, remainsOf, scrapClass, scrapsFor, scrapsIn } from './scraps';

const CM = 10_000;
const size = (w: number, h: number) => ({ widthUm: w * CM, heightUm: h * CM });
const lot = (id: string, w: number, h: number, items = 1) => ({
  ...{ id, items, left: 0, as: 'scrap' as const, spot: null, sizeUm: size(w, h) },
});
const card = (id: string, hex: string, ...holdings: ReturnType<typeof lot>[]) => ({
  ...{ id, hex, holdings, kind: 'cardstock' as const, form: 'sheet-12', facts: {} },
});
const limits = {
  ...{ keepFromUm: 25_000, smallToUm: 8 * CM, cardToUm: 15 * CM },
  ...{ shortToUm: 30 * CM, middleToUm: 60 * CM },
};

test('the smallest scrap that does comes first, turned where it must be, of the colour wanted', () => {
  const green = card('green', '#2f7d3b', lot('a', 20, 15), lot('b', 6, 9), lot('c', 5, 5));
  const red = card('red', '#b01020', lot('d', 9, 6));
  const unsaid = card('x', '#b01020', { ...lot('e', 1, 1, 4), sizeUm: null as never });
  const { sized, unsized } = scrapsIn([green, red, unsaid]);
  expect([...unsized]).toEqual([['cardstock', 4]]);
  const ids = (hex: string | null) => scrapsFor(size(8, 5), hex, sized).map((each) => each.lot.id);
  expect(ids(null)).toEqual(['b', 'd', 'a']);
  expect(ids('#2f7d3b')).toEqual(['b', 'a']);
  expect(ids('#0000ff')).toEqual([]);
});

test('scraps are sorted by what they are good for; strips of full length are their own class', () => {
  const of = card('s', '#888888');
  const classOf = (w: number, h: number) =>
    scrapClass({ supply: of, lot: lot('l', w, h), sizeUm: size(w, h) }, limits);
  expect([classOf(2, 20), classOf(30.5, 4), classOf(7, 20), classOf(12, 9), classOf(16, 20)]).toEqual([
    'sliver',
    'strip',
    'small',
    'card',
    'large',
  ]);
});

test('a pocket that overflows says what could be cut from it, and what is too small to keep', () => {
  expect(piecesFrom(size(20, 15), size(10, 7))).toBe(4);
  expect(piecesFrom(size(7, 20), size(10, 7))).toBe(2);
  const { sized } = scrapsIn([
    card('g', '#2f7d3b', lot('a', 20, 15, 2), lot('b', 11, 8, 3), lot('c', 2, 9, 5)),
  ]);
  const base = { ...size(10, 7), name: 'small base' };
  expect(clearing(sized, [base, { ...size(25, 20), name: 'too large' }], 25_000)).toEqual({
    slivers: 5,
    cuts: [{ size: base, pieces: 11, from: 5 }],
  });
});

test('a remnant is as wide as its ribbon, and told by its length; of a begun sheet a share is left', () => {
  const ribbon = { ...card('r', '#b01020'), kind: 'ribbon' as const, form: 'spool' };
  const narrow = { ...ribbon, facts: { attributes: { width: 9_000 } } };
  expect(remainsOf(narrow, { lengthUm: 40 * CM })).toEqual({ widthUm: 9_000, heightUm: 40 * CM });
  expect(remainsOf(ribbon, { lengthUm: 40 * CM }).widthUm).toBe(16_000);
  const classOf = (cm: number) =>
    scrapClass({ supply: ribbon, lot: lot('l', 1, cm), sizeUm: size(1, cm) }, limits);
  expect([classOf(20), classOf(45), classOf(90)]).toEqual(['short', 'middle', 'long']);
  const stickers = { ...ribbon, kind: 'sticker' as const, form: 'sheet' };
  const said = { ...stickers, facts: { attributes: { sheetWidth: 10 * CM, sheetHeight: 16 * CM } } };
  expect(remainsOf(said, { share: 0.25 })).toEqual(size(10, 4));
  expect(remainsOf(stickers, { share: 0.5 })).toEqual({ widthUm: 95_000, heightUm: 65_000 });
});
