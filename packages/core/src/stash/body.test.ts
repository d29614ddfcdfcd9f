import { bodyOf } from './body';

const MM = 1000;

test('the outside that was typed counts first, then the kind’s own answers, then what such things usually measure', () => {
  const spool = (facts: object) => bodyOf({ kind: 'ribbon', form: 'spool', facts });
  expect(spool({})).toMatchObject({ from: 'usual', one: { widthUm: 56 * MM } });
  const wide = { attributes: { spoolOuter: 95 * MM, width: 38 * MM } };
  expect(spool(wide)).toMatchObject({
    from: 'answers',
    one: { widthUm: 95 * MM, heightUm: 95 * MM, depthUm: 41 * MM },
  });
  const size = { widthUm: 60 * MM, heightUm: 61 * MM, depthUm: 30 * MM };
  expect(spool({ ...wide, size })).toMatchObject({ from: 'measured', one: size });
  const sheet = { attributes: { sheetWidth: 120 * MM, sheetHeight: 170 * MM } };
  expect(bodyOf({ kind: 'sticker', form: 'sheet', facts: sheet }).one).toMatchObject({
    widthUm: 120 * MM,
    heightUm: 170 * MM,
  });
  // Eight times the contents is twice the bottle.
  const { one: usual } = bodyOf({ kind: 'ink', form: 'refill', facts: {} });
  const { one: big } = bodyOf({ kind: 'ink', form: 'refill', facts: { attributes: { volume: 96_000 } } });
  expect(big.heightUm).toBe(2 * usual.heightUm);
});

test('thickness and mass follow the count, card by its weight', () => {
  const card = {
    kind: 'cardstock',
    form: 'sheet-12',
    facts: { attributes: { weight: { cgsm: 30_000, basis: null } } },
  } as const;
  const pile = bodyOf(card, { as: 'whole', items: 40, left: 40 });
  expect(pile.all.widthUm).toBe(40 * 375);
  expect(pile.one.widthUm).toBe(1000);
  expect(pile.massMg).toBe(40 * 20_000);
  const pads = bodyOf(
    { kind: 'ink', form: 'full-pad', facts: { massMg: 50_000 } },
    { as: 'whole', items: 2, left: 90 },
  );
  expect(pads).toMatchObject({ one: { heightUm: 20 * MM }, all: { heightUm: 40 * MM }, massMg: 100_000 });
  expect(bodyOf(card, { as: 'pack', items: 2 }).all.widthUm).toBe(2 * 25 * 375);
  // A packet of gems is as large with ten in it as with a hundred.
  const gems = (left: number) =>
    bodyOf({ kind: 'companion', form: 'gems', facts: {} }, { as: 'whole', items: left, left });
  expect(gems(100).all).toEqual(gems(10).all);
});

test('a spool weighs as much as a spool while anything is on it', () => {
  const spool = (items: number, left: number) =>
    bodyOf({ kind: 'ribbon', form: 'spool', facts: {} }, { as: 'whole', items, left }).massMg;
  expect(spool(0, 3_000_000)).toBe(35_000);
  expect(spool(1, 3_000_000)).toBe(35_000);
  expect(spool(0, 0)).toBe(0);
});

test('a scrap or a base is as large as it was cut, and stands as its sheet stood', () => {
  const sizeUm = { widthUm: 70 * MM, heightUm: 50 * MM };
  const scrap = bodyOf({ kind: 'cardstock', form: 'sheet-12', facts: {} }, { as: 'scrap', items: 3, sizeUm });
  expect(scrap.one).toMatchObject({ heightUm: 50 * MM, depthUm: 70 * MM });
  expect(scrap.from).toBe('answers');
});
