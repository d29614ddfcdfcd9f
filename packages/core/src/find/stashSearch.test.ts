import fc from 'fast-check';
import { groupOf, type Family } from '../colour/families';
import { fold } from '../text/fold';
import { makeStashSearch } from './stashSearch';
import { searchable, type SearchSubject } from './subject';
import { meant } from './typo';

let number = 0;
const thing = (name: string, more: Partial<SearchSubject> & { family?: Family } = {}) => {
  const family = more.family ?? 'green';
  const subject: SearchSubject = {
    id: name,
    number: ++number,
    kind: 'ink',
    form: 'full-pad',
    name,
    code: '',
    maker: 'Osselwick',
    range: '',
    note: '',
    hex: '#4f9a58',
    finish: 'matte',
    addresses: ['A1·01', 'K'],
    stock: { state: 'ok', uses: 3, used: 3, lastUsedAt: null },
    facts: {},
    ...more,
    family,
    group: groupOf(family),
  };
  return searchable(name, subject);
};
const satin = { attributes: { material: 'satin', width: 38_000 } };
const STASH = [
  thing('Fern Gate', { code: '418' }),
  thing('Pale Fern', {
    hex: '#cfe8d0',
    kind: 'ribbon',
    form: 'spool',
    facts: { attributes: { width: 6_000 } },
  }),
  thing('Barn Door', { family: 'red', hex: '#a02020', kind: 'ribbon', form: 'spool', facts: satin }),
  thing('Red Herring', { addresses: [] }),
  thing('Slate', {
    family: 'grey',
    hex: '#708090',
    stock: { state: 'out', uses: 0, used: 0, lastUsedAt: null },
  }),
  thing('Autumn Plaid', {
    family: 'brown',
    hex: '#7d5a41',
    kind: 'cardstock',
    form: 'sheet-12',
    facts: { otherHexes: ['#3468b0'], tags: ['autumn', 'coffee'], status: 'retired' },
  }),
];
const search = makeStashSearch(STASH);

test.each([
  ['pale green ribbon', ['Pale Fern']],
  ['wide red satin', ['Barn Door']],
  ['narrow ribbons', ['Pale Fern']],
  ['unplaced inks', ['Red Herring']],
  ['418', ['Fern Gate']],
  ['#4f9a59', ['Fern Gate', 'Red Herring']],
  ['red', ['Red Herring', 'Barn Door']],
  ['out of ink', ['Slate']],
  ['blue card', ['Autumn Plaid']],
  ['retired coffee', ['Autumn Plaid']],
  ['a1·01 slate', ['Slate']],
  ['grean ribon', ['Pale Fern']],
  ['slaet', ['Slate']],
  ['zebra', []],
])('“%s” finds %j', (query, expected) => expect(search.find(query)).toEqual(expected));

test('the name itself comes before what merely mentions it', () => {
  const stash = makeStashSearch([thing('Fern Gate'), thing('Fern'), thing('Other', { note: 'like fern' })]);
  expect(stash.find('fern')).toEqual(['Fern', 'Fern Gate', 'Other']);
});

test('an empty query or fillers alone keep everything, in order', () => {
  expect(search.find('  ')).toHaveLength(STASH.length);
  expect(search.find('the')).toHaveLength(STASH.length);
});

test('more words never find more, and every thing is found by its own name', () => {
  const words = fc.constantFrom('green', 'ink', 'pale', 'ribbon', 'fern', '418', 'out', 'autumn');
  fc.assert(
    fc.property(words, words, (one, other) => {
      const both = search.find(`${one} ${other}`);
      for (const found of both) expect(search.find(one)).toContain(found);
    }),
  );
  const names = fc.uniqueArray(fc.stringMatching(/^[A-Z][a-z]{3,8} [A-Z][a-z]{3,8}$/), {
    minLength: 1,
    maxLength: 12,
    selector: fold,
  });
  fc.assert(
    fc.property(names, (all) => {
      const some = makeStashSearch(all.map((name) => thing(name)));
      for (const name of all) expect(some.find(name)[0]).toBe(name);
    }),
  );
});

test('one slip in a word of four letters or more is forgiven', () => {
  const word = fc.stringMatching(/^[a-z]{4,9}$/);
  fc.assert(
    fc.property(word, fc.nat(), fc.stringMatching(/^[a-z]$/), (known, at, letter) => {
      const i = at % known.length;
      const wrong = known.slice(0, i) + letter + known.slice(i + 1);
      expect(meant(wrong, [known])).toEqual([known]);
    }),
  );
});
