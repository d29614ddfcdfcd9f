import fc from 'fast-check';
import { groupOf } from '../colour/families';
import { familyOf } from '../colour/family';
import { sayDifference } from '../colour/sayDifference';
import { isTooMany, sparesOf } from '../stock/spares';
import { readBarcode, withCheckDigit } from './barcode';
import { doIOwn } from './doIOwn';
import { nearColours } from './nearColours';
import type { Owned } from './ownAnswer';
import { makeStashSearch } from './stashSearch';
import { searchable } from './subject';

const owned = (name: string, more: Partial<Owned> & { left?: number } = {}): Owned => {
  const { left = 60, ...rest } = more;
  const [hex, finish] = [rest.hex ?? '#888888', rest.finish ?? 'matte'];
  const { family } = familyOf(hex, finish);
  return {
    id: name,
    number: 0,
    kind: 'ink',
    form: 'full-pad',
    name,
    maker: 'Hollin & Quay',
    range: 'Towpath',
    code: '',
    note: '',
    hex,
    finish,
    family,
    group: groupOf(family),
    stock: { items: 1, left, state: 'ok', uses: 0, used: 0, lastUsedAt: null },
    facts: {},
    ...rest,
  };
};
const card = { kind: 'cardstock', form: 'sheet-a4' } as const;
const spool = { kind: 'ribbon', form: 'spool' } as const;
const STASH = [
  owned('Marsh Lantern', { number: 42, code: '418', hex: '#6f8f3a', facts: { barcode: '4006381333931' } }),
  owned('Lantern Marsh Moss', { hex: '#2e3b20' }),
  owned('Fern Gate', {
    hex: '#4c9a52',
    facts: { swatches: [{ id: 's', hex: '#3468b0', made: 'blended', ground: 'kraft', taken: 'typed' }] },
  }),
  owned('Night Ferry', { hex: '#1f2f5f', facts: { attributes: { chemistry: 'dye' } } }),
  owned('Coal Yard', { hex: '#161616', facts: { attributes: { chemistry: 'pigment' } } }),
  owned('Brick Lane', { kind: 'marker', form: 'alcohol-dual', hex: '#b3282d' }),
  owned('Meadow', { ...card, hex: '#4f9a58' }),
  owned('Tinsel', {
    ...card,
    hex: '#d4af37',
    finish: 'glitter',
    facts: { attributes: { paper: 'glitter' } },
  }),
  owned('Pine Rail', { ...spool, hex: '#1f4a2a', facts: { attributes: { width: 15_875 } } }),
  owned('Candles', { kind: 'sticker', form: 'sheet', hex: '#e0c040', facts: { tags: ['birthday'] } }),
  owned('Old Copse', { kind: 'marker', form: 'alcohol-dual', hex: '#3c7a40', left: 0 }),
  owned('Let Go', { hex: '#ff8800', facts: { status: 'gone' } }),
];
const said = (question: string) => {
  const { verdict, answers } = doIOwn(question, STASH);
  return [verdict, ...answers.map(({ item, reason }) => `${item.name}: ${reason.sort}`)];
};

test.each([
  ['green card', 'yes', 'Meadow: words'],
  ['do I have a green card?', 'yes', 'Meadow: words'],
  ['card, green', 'yes', 'Meadow: words'],
  ['navy ink', 'yes', 'Night Ferry: words'],
  ['red marker', 'yes', 'Brick Lane: words'],
  ['dark green ribbon', 'yes', 'Pine Rail: words'],
  ['black pigment ink', 'yes', 'Coal Yard: words'],
  ['gold glitter card', 'yes', 'Tinsel: words'],
  ['birthday stickers', 'yes', 'Candles: words'],
  ['gren card', 'yes', 'Meadow: words'],
  ['5/8 in ribbon', 'yes', 'Pine Rail: words'],
  ['16 mm green ribbon', 'yes', 'Pine Rail: words'],
  ['marsh lantern', 'yes', 'Marsh Lantern: exact'],
  ['ink marsh lantern', 'yes', 'Marsh Lantern: words'],
  ['418', 'yes', 'Marsh Lantern: exact'],
  ['4006381333931', 'yes', 'Marsh Lantern: exact'],
  ['No. 42', 'yes', 'Marsh Lantern: exact'],
  ['Towpath Fern Gate', 'yes', 'Fern Gate: exact'],
  ['lantern', 'not quite', 'Lantern Marsh Moss: near name'],
  ['marsh lantren', 'not quite', 'Marsh Lantern: near name'],
  ['#6f8f3b', 'yes', 'Marsh Lantern: near colour'],
  ['6f8f3b', 'yes', 'Marsh Lantern: near colour'],
  ['#6f8f3b ink', 'yes', 'Marsh Lantern: near colour'],
  // Used up is to be bought again.
  ['green marker', 'not quite', 'Old Copse: words'],
])('do I own “%s”? %s, %s', (question, verdict, first) => {
  expect(said(question).slice(0, 2)).toEqual([verdict, first]);
});

test.each(['Quince', 'zebra ink', '', '  ', 'Let Go'])('do I own “%s”? no', (question) =>
  expect(said(question)).toEqual(['no']),
);

test('no means nothing of that kind is within a clear step, and the nearest of it is shown with its difference', () => {
  const { verdict, answers, nearest } = doIOwn('purple card', STASH);
  expect([verdict, answers]).toEqual(['no', []]);
  expect(nearest.map(({ item }) => item.kind)).toEqual(['cardstock', 'cardstock']);
  expect(nearest[0]?.reason).toMatchObject({ difference: { step: 'far' } });
  // The very colour in another kind is no answer.
  expect(doIOwn('#4c9a52 ribbon', STASH)).toMatchObject({ verdict: 'no', answers: [] });
  // Called otherwise, and near in colour all the same.
  const teal = owned('Sea Wall', { ...card, hex: '#2b8a7a' });
  const near = doIOwn('#2b8f80 card', [...STASH, teal]);
  expect([near.verdict, near.answers[0]?.item.name]).toEqual(['not quite', 'Sea Wall']);
});

test('a name of a colour is asked by its colour, of the kind that was asked for', () => {
  const colourCalled = (name: string) => (name === 'millrace' ? '#1f4a2b' : null);
  expect(doIOwn('millrace ribbon', STASH, { colourCalled })).toMatchObject({ verdict: 'yes' });
  expect(doIOwn('millrace card', STASH, { colourCalled })).toMatchObject({ verdict: 'no' });
  expect(doIOwn('millrace card', STASH, { colourCalled }).nearest).toHaveLength(2);
});

test('unopened packs are owned', () => {
  const stock = { items: 0, left: 0, state: 'ok', uses: 0, used: 0, lastUsedAt: null } as const;
  const closed = owned('Snow', { ...card, hex: '#ffffff', stock: { ...stock, parts: { pack: 2 } } });
  expect(doIOwn('white card', [closed]).verdict).toBe('yes');
  expect(doIOwn('white card', [{ ...closed, stock }]).verdict).toBe('not quite');
});

test('what the search finds is owned, and what is owned in words the search finds', () => {
  const search = makeStashSearch(STASH.map((item) => searchable(item, { ...item, addresses: [] })));
  const words = fc.constantFrom(
    ...'pale dark green red navy black gold glitter birthday satin ink inks marker card ribbon sticker'.split(
      ' ',
    ),
    ...'pigment dye Hollin Towpath Marsh Lantern Fern Meadow wide a4 no.42 418 #4c9a52 quince'.split(' '),
  );
  fc.assert(
    fc.property(fc.array(words, { minLength: 1, maxLength: 4 }), (asked) => {
      const question = asked.join(' ');
      const found = new Set(search.find(question).filter(({ id }) => id !== 'Let Go'));
      const { verdict, answers } = doIOwn(question, STASH);
      if (found.size > 0) expect(verdict).not.toBe('no');
      for (const { item, reason } of answers) if (reason.sort === 'words') expect(found.has(item)).toBe(true);
      // In any order.
      expect(doIOwn([...asked].reverse().join(' '), STASH).verdict).toBe(verdict);
    }),
    { numRuns: 300, examples: [[['green', 'no.42', 'Fern']]] },
  );
});

test('a colour is compared like with like when the manner is asked', () => {
  const manner = { made: 'blended', ground: 'kraft' } as const;
  expect(doIOwn('#3468b1', STASH, { manner }).answers[0]?.item.name).toBe('Fern Gate');
  expect(doIOwn('#3468b1', STASH).answers).toEqual([]);
});

test('no kind crowds out another near a colour, and a kind with nothing near shows its nearest', () => {
  const many = (kind: Owned['kind'], hexes: readonly string[]) =>
    hexes.map((hex, i) => owned(`${kind} ${i}`, { kind, hex }));
  const greens = ['#4c9a52', '#4d9b53', '#4e9c54', '#4f9d55', '#509e56', '#519f57'];
  const pile = [
    ...many('ink', greens),
    ...many('marker', ['#4c9a5a', '#2244aa']),
    ...many('ribbon', ['#2244aa', '#70c078']),
  ];
  const names = (answers: readonly { item: Owned }[]) => answers.map(({ item }) => item.name);
  const { near, further } = nearColours('#4c9a52', pile);
  expect(names(near)).toEqual(['ink 0', 'ink 1', 'ink 2', 'ink 3', 'marker 0']);
  expect(nearColours('#4c9a52', many('ink', greens)).near).toHaveLength(6);
  expect(names(further)).toEqual(['ribbon 1']);
  expect(further[0]?.reason).toMatchObject({ difference: { step: 'far' } });
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
  const reasons = doIOwn('#4c9a52', [like, plain], { manner }).answers.map(({ item, reason }) => [
    item.id,
    reason.sort === 'near colour' && reason.plain,
  ]);
  expect(reasons).toEqual([
    ['a', undefined],
    ['b', true],
  ]);
});
