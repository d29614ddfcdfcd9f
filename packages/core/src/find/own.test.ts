import fc from 'fast-check';
import { sayDifference } from '../colour/sayDifference';
import { readBarcode, withCheckDigit } from './barcode';
import { isTooMany, sparesOf } from '../stock/spares';
import { familyOf } from '../colour/family';
import { soCalled, nearColours, nearestElse, ownIt, type Owned } from './ownIt';

const owned = (name: string, more: Partial<Owned> = {}): Owned => ({
  id: name,
  kind: 'ink',
  name,
  maker: 'Hollin & Quay',
  range: 'Towpath',
  code: '',
  hex: '#888888',
  stock: { items: 1, left: 60 },
  facts: {},
  ...more,
});
const STASH = [
  owned('Marsh Lantern', { number: 42, code: '418', hex: '#6f8f3a', facts: { barcode: '4006381333931' } }),
  owned('Lantern Marsh Moss', { hex: '#2e3b20' }),
  owned('Fern Gate', {
    hex: '#4c9a52',
    facts: { swatches: [{ id: 's', hex: '#3468b0', made: 'blended', ground: 'kraft', taken: 'typed' }] },
  }),
];
const said = (question: string) =>
  ownIt(question, STASH).map(({ item, reason }) => `${item.name}: ${reason.sort}`);

test.each([
  ['marsh lantern', ['Marsh Lantern: exact']],
  ['418', ['Marsh Lantern: exact']],
  ['4006381333931', ['Marsh Lantern: exact']],
  ['Towpath Fern Gate', ['Fern Gate: exact']],
  ['No. 42', ['Marsh Lantern: exact']],
  ['lantern', ['Marsh Lantern: near name', 'Lantern Marsh Moss: near name']],
  ['marsh lantren', ['Marsh Lantern: near name']],
  ['#6f8f3b', ['Marsh Lantern: near colour']],
  ['Quince', []],
  ['', []],
])('do I own “%s”?', (question, expected) => expect(said(question)).toEqual(expected));

test('a colour is compared like with like when the manner is asked', () => {
  const [answer] = ownIt('#3468b1', STASH, { made: 'blended', ground: 'kraft' });
  expect(answer?.item.name).toBe('Fern Gate');
  expect(ownIt('#3468b1', STASH)).toEqual([]);
});

test('no kind crowds out another near a colour, and a kind with nothing near shows its nearest', () => {
  const many = (kind: string, hexes: readonly string[]) =>
    hexes.map((hex, i) => owned(`${kind} ${i}`, { kind, hex }));
  const greens = ['#4c9a52', '#4d9b53', '#4e9c54', '#4f9d55', '#509e56', '#519f57'];
  const pile = [
    ...many('ink', greens),
    ...many('marker', ['#4c9a5a', '#2244aa']),
    ...many('ribbon', ['#2244aa', '#70c078']),
  ];
  const names = (answers: readonly { item: Owned }[]) => answers.map(({ item }) => item.name);
  expect(names(nearColours('#4c9a52', pile))).toEqual(['ink 0', 'ink 1', 'ink 2', 'ink 3', 'marker 0']);
  expect(nearColours('#4c9a52', many('ink', greens))).toHaveLength(6);
  expect(names(nearestElse('#4c9a52', pile))).toEqual(['ribbon 1']);
  expect(nearestElse('#4c9a52', pile)[0]?.reason).toMatchObject({ difference: { step: 'far' } });
});

test.each([
  ['#4c9a52', '#4c9a53', /could not tell/],
  ['#4c9a52', '#53a159', /^a shade lighter/],
  ['#4c9a52', '#2c6a32', /^clearly darker/],
  ['#808080', '#7a7a7a', /^a (shade|little) darker$/],
  ['#b03040', '#b03070', /pinker/],
])('%s beside %s', (a, b, words) => expect(sayDifference(a, b).words).toMatch(words));

test('more than the spares that are meant is a double; packs and rolls count whole, unopened packs too', () => {
  const stock = { items: 1, left: 40 };
  const pad = { kind: 'ink', form: 'full-pad', facts: {}, stock } as const;
  expect(sparesOf(pad)).toEqual({ have: 1, meant: 1, double: true });
  expect(sparesOf({ ...pad, facts: { spares: 1 } }).double).toBe(false);
  expect(sparesOf({ ...pad, stock: { items: 0, left: 0 } }).double).toBe(false);
  expect([isTooMany(pad), isTooMany({ ...pad, stock: { items: 2, left: 80 } })]).toEqual([false, true]);
  const ribbon = {
    kind: 'ribbon',
    form: 'spool',
    facts: { spares: 1 },
    stock: { items: 1, left: 27_000_000 },
  } as const;
  expect(sparesOf(ribbon)).toEqual({ have: 3, meant: 2, double: true });
  expect([isTooMany(ribbon), isTooMany({ ...ribbon, facts: {} })]).toEqual([true, false]);
  const card = {
    kind: 'cardstock',
    form: 'sheet-12',
    stock: { items: 12, left: 12, parts: { pack: 2 } },
  } as const;
  expect(sparesOf({ ...card, facts: { attributes: { perPack: 25 }, spares: 2 } })).toEqual({
    have: 3,
    meant: 3,
    double: true,
  });
});

test('a barcode with one wrong digit is a misreading', () => {
  expect(readBarcode('4006381333931')).toEqual({ ok: true, code: '4006381333931' });
  expect(readBarcode('hello')).toEqual({ ok: false, code: 'not_a_barcode' });
  fc.assert(
    fc.property(
      fc.stringMatching(/^\d{12}$/),
      fc.nat(12),
      fc.integer({ min: 1, max: 9 }),
      (digits, at, by) => {
        const code = withCheckDigit(digits);
        expect(readBarcode(code)).toEqual({ ok: true, code });
        const wrong = [...code].map((d, i) => (i === at ? String((Number(d) + by) % 10) : d)).join('');
        expect(readBarcode(wrong).ok).toBe(false);
      },
    ),
  );
});

test('where something has no swatch made as asked, its plain colour is compared, and that is said', () => {
  const manner = { made: 'stamped', ground: 'kraft' } as const;
  const swatch = { id: 'w', hex: '#4c9a52', taken: 'reader', ...manner } as const;
  const like = owned('a', { hex: '#000000', facts: { swatches: [swatch] } });
  const plain = owned('b', { hex: '#4c9a53' });
  const reasons = ownIt('#4c9a52', [like, plain], manner).map(({ item, reason }) => [
    item.id,
    reason.sort === 'near colour' && reason.plain,
  ]);
  expect(reasons).toEqual([
    ['a', undefined],
    ['b', true],
  ]);
});

test('a plain phrase means the family and the lightness people mean by it; other words are no phrase', () => {
  const thing = (id: string, hex: string, left = 10) => ({
    ...owned(id, { hex, stock: { items: 1, left } }),
    family: familyOf(hex).family,
  });
  const pile = [
    thing('gone', '#b0dca8', 0),
    thing('pale', '#b6e0ae'),
    thing('dark', '#1f5a2a'),
    thing('pink', '#f6c5d0'),
  ];
  const ids = (question: string) => soCalled(question, pile)?.map(({ item }) => item.id);
  expect(ids('pale green')).toEqual(['pale', 'gone']);
  expect(ids('Dark Greens')).toEqual(['dark']);
  expect(ids('light pink')).toEqual(['pink']);
  expect(ids('pale blue')).toEqual([]);
  expect([ids('green ribbon'), ids('fern'), ids('')]).toEqual([undefined, undefined, undefined]);
});
