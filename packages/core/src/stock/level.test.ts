import fc from 'fast-check';
import { formOf } from '../kinds/registry';
import { leftInAll } from './leftInAll';
import { LEVELS, levelOf, sayLeft, usesAtLevel, type Level } from './level';

const uses = fc.integer({ min: 20, max: 400 });
const level = fc.constantFrom(...LEVELS);

test('the level a person says is the level the app says back, of one thing and of several', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), level, uses, (items, said, usesPerFill) => {
      const left = usesAtLevel(items, said, usesPerFill);
      // One of several that is empty is one less, and the one before it is full.
      const shown: Level = said === 'empty' && items > 1 ? 'full' : said;
      expect(levelOf({ items, left }, usesPerFill)).toBe(shown);
      expect(left).toBeGreaterThanOrEqual(0);
      expect(left).toBeLessThanOrEqual(items * usesPerFill);
    }),
  );
});

test('what is fuller is never said to be emptier', () => {
  const rank = (said: Level): number => LEVELS.indexOf(said);
  fc.assert(
    fc.property(uses, fc.nat(400), fc.nat(400), (usesPerFill, p, q) => {
      const [less, more] = [p, q].map((each) => Math.min(each, usesPerFill)).sort((a, b) => a - b);
      const of = (left: number) => rank(levelOf({ items: 1, left }, usesPerFill));
      expect(of(more ?? 0)).toBeLessThanOrEqual(of(less ?? 0));
    }),
  );
});

test('on a shelf label stands what is left in the words of its form', () => {
  const say = (kind: 'ink' | 'cardstock' | 'ribbon', form: string, items: number, left: number) =>
    sayLeft({ items, left }, formOf(kind, form));
  const { usesPerFill = 1 } = formOf('ink', 'full-pad');
  expect(say('ink', 'full-pad', 2, Math.round(1.5 * usesPerFill))).toBe('2 · half');
  expect(say('ink', 'full-pad', 0, 0)).toBe('out');
  expect(say('cardstock', 'sheet-12', 0, 1)).toBe('1 sheet');
  expect(say('ribbon', 'spool', 1, 2_400_000)).toBe('2.4 m');
});

test('packs that are closed count with what is loose', () => {
  fc.assert(
    fc.property(fc.nat(200), fc.nat(9), fc.integer({ min: 1, max: 100 }), (left, packs, perPack) => {
      const facts = { attributes: { perPack } };
      expect(leftInAll({ facts, stock: { left, parts: { base: 3, scrap: 1, pack: packs } } })).toBe(
        left + packs * perPack,
      );
      expect(leftInAll({ facts, stock: { left } })).toBe(left);
    }),
  );
});
