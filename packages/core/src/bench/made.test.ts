import { cutAlready, madeFor } from './made';

const piece = (name: string, form: string, left = 1, facts: object = {}, note = '') => ({
  ...{ name, form, note, facts, stock: { left } },
});

test('what was made for a job like it is found by a word of its own; whole pieces before begun ones', () => {
  const things = [
    piece('Coloured otters', 'half-made', 4, { tags: ['River'] }),
    piece('River birthday fronts', 'made', 6),
    piece('River fronts, gone', 'made', 0),
    piece('River stamp', 'stamp'),
    piece('Tags', 'made', 2, { attributes: { theme: 'rivér' } }),
    piece('Snow', 'made', 2, {}, 'for winter'),
  ];
  expect(madeFor('The river cards', things).map(({ name }) => name)).toEqual([
    'River birthday fronts',
    'Tags',
    'Coloured otters',
  ]);
  expect(madeFor('of 12', things)).toEqual([]);
  // Words every job has say nothing, and neither does a part of another word.
  expect(
    madeFor('cards for the other', [piece('Cards for the otter', 'made'), piece('Another', 'made')]),
  ).toEqual([]);
  expect(madeFor('An otter', things).map(({ name }) => name)).toEqual(['Coloured otters']);
  expect(madeFor('', things)).toEqual([]);
});

test('bases of the size that is wanted are cut already, turned only where they may be', () => {
  const base = (items: number, widthUm: number, heightUm: number, as: 'base' | 'scrap' = 'base') => ({
    ...{ as, items, sizeUm: { widthUm, heightUm } },
  });
  const lots = [
    base(3, 140_000, 108_000),
    base(2, 108_200, 140_000),
    base(9, 140_000, 100_000),
    base(7, 140_000, 108_000, 'scrap'),
    { as: 'base' as const, items: 5, sizeUm: null },
  ];
  expect(cutAlready({ widthUm: 140_000, heightUm: 108_000 }, lots)).toBe(5);
  expect(cutAlready({ widthUm: 140_000, heightUm: 108_000, mayTurn: false }, lots)).toBe(3);
});
