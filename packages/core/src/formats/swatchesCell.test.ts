import fc from 'fast-check';
import { GROUNDS, MADE, TAKEN } from '../stash/swatchSchema';
import { readSwatches, writeSwatches } from './swatchesCell';

const swatch = fc.record(
  {
    hex: fc.stringMatching(/^#[0-9a-f]{6}$/),
    made: fc.constantFrom(...MADE),
    ground: fc.constantFrom(...GROUNDS),
    taken: fc.constantFrom(...TAKEN),
    on: fc.constantFrom('2026-05-01', '1999-12-31'),
    spread: fc.integer({ min: 0, max: 400 }).map((tenths) => tenths / 10),
  },
  { requiredKeys: ['hex', 'made', 'ground', 'taken'] },
);
const swatches = fc
  .array(swatch, { maxLength: 5 })
  .map((all) => all.map((each, i) => ({ ...each, id: `w${i + 1}` })));

test('swatches in a cell of a list are read back as they were, with the one that decides', () => {
  fc.assert(
    fc.property(swatches, fc.nat(9), (all, turn) => {
      const trueSwatch = all[turn]?.id;
      const facts = { swatches: all, ...(trueSwatch ? { trueSwatch } : {}) };
      expect(readSwatches(writeSwatches(facts))).toEqual(facts);
    }),
  );
});

test('one swatch that cannot be read leaves none: half a cell would be lost without a word', () => {
  const good = writeSwatches({
    swatches: [{ id: 'w1', hex: '#4c9a52', made: MADE[0], ground: GROUNDS[0], taken: TAKEN[0] }],
  });
  expect(readSwatches(good)?.swatches).toHaveLength(1);
  for (const broken of ['#4c9a5 x', `${good}; green`, good.replace('#', ''), `${good}, on Sunday`])
    expect(readSwatches(broken)).toBeNull();
  expect(readSwatches('')).toEqual({ swatches: [] });
});
