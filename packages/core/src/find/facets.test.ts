import fc from 'fast-check';
import { FAMILIES, groupOf, hasColour, type Family } from '../colour/families';
import { familyOf } from '../colour/family';
import { FACETS } from './facets';
import type { SearchSubject } from './subject';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const state = fc.constantFrom('ok' as const, 'low' as const, 'out' as const);
const subject = (family: fc.Arbitrary<Family> | null = null): fc.Arbitrary<SearchSubject> =>
  fc
    .record({
      hex,
      family: family ?? fc.constant(null),
      state,
      uses: fc.nat(3),
      addresses: fc.array(fc.constantFrom('A1·01', 'K'), { maxLength: 2 }),
      width: fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined }),
      opened: fc.boolean(),
    })
    .map(({ hex: colour, family: said, state: stock, uses, addresses, width, opened }) => {
      const found = said ?? familyOf(colour).family;
      return {
        id: 'one',
        number: 1,
        kind: 'ribbon',
        form: 'spool',
        name: 'One',
        code: '',
        maker: '',
        range: '',
        note: '',
        hex: colour,
        finish: 'matte',
        family: found,
        group: groupOf(found),
        addresses,
        stock: { state: stock, uses, used: uses, lastUsedAt: null },
        facts: {
          ...(width === undefined ? {} : { attributes: { width: width * 1000 } }),
          ...(opened ? { openedOn: '2026-02-01' } : {}),
        },
      } satisfies SearchSubject;
    });
const is = (word: string, thing: SearchSubject): boolean => {
  const facet = FACETS.get(word);
  if (!facet) throw new Error(`${word} is no word for anything`);
  return facet(thing);
};

test('a thing is found by its own family’s word, and by no other family’s', () => {
  const words = FAMILIES.filter((family) => FACETS.has(family));
  expect(words.length).toBeGreaterThanOrEqual(12);
  fc.assert(
    fc.property(subject(fc.constantFrom(...words)), (thing) => {
      expect(words.filter((word) => is(word, thing))).toEqual([thing.family]);
    }),
  );
});

test('a second colour is found as the first one is', () => {
  fc.assert(
    fc.property(subject(), hex, (thing, other) => {
      const { family } = familyOf(other);
      if (!FACETS.has(family)) return;
      expect(is(family, { ...thing, facts: { ...thing.facts, otherHexes: [other] } })).toBe(true);
    }),
  );
});

test('what has a colour is pale, medium or dark, one of the three; what has none is none of them', () => {
  fc.assert(
    fc.property(subject(), (thing) => {
      const three = ['pale', 'medium', 'dark'].filter((word) => is(word, thing));
      expect(three).toHaveLength(hasColour(thing) ? 1 : 0);
      expect(is('vivid', thing) && is('muted', thing)).toBe(false);
    }),
  );
});

test('a narrower word finds nothing that its wider words do not', () => {
  const narrower: readonly [string, readonly string[]][] = [
    ['navy', ['blue', 'dark']],
    ['beige', ['pale']],
    ['maroon', ['dark']],
    ['unopened', ['unused']],
  ];
  fc.assert(
    fc.property(subject(), (thing) => {
      for (const [word, wider] of narrower)
        if (is(word, thing)) expect(wider.filter((each) => !is(each, thing))).toEqual([]);
    }),
  );
});

test('words that mean the opposite never both hold, and those that leave no third one always do', () => {
  fc.assert(
    fc.property(subject(), (thing) => {
      expect(is('placed', thing)).toBe(!is('unplaced', thing));
      expect(is('swatched', thing)).toBe(!is('unswatched', thing));
      expect(is('opened', thing)).toBe(!is('unopened', thing));
      expect(is('wide', thing) && is('narrow', thing)).toBe(false);
    }),
  );
});

test('a width nobody said is neither wide nor narrow; 25 mm is wide and 10 mm is narrow', () => {
  const [bare] = fc.sample(subject(), { numRuns: 1, seed: 1 });
  const of = (width?: number) => ({
    ...bare!,
    facts: width === undefined ? {} : { attributes: { width: width * 1000 } },
  });
  const said = (width?: number) => ['wide', 'narrow'].filter((word) => is(word, of(width)));
  expect([said(), said(25), said(24), said(10), said(11)]).toEqual([[], ['wide'], [], ['narrow'], []]);
});
