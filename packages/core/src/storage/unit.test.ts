import fc from 'fast-check';
import { formsOfKind } from '../kinds/registry';
import { findTemplate, UNIT_TEMPLATES } from './templates';
import { fitInSlot, slotAddress, slotCount } from './unit';

test('addresses count rows from the top and columns from the left', () => {
  const unit = { letter: 'B', columns: 5 };
  expect([0, 4, 5, 8].map((index) => slotAddress(unit, index))).toEqual(['B1·01', 'B1·05', 'B2·01', 'B2·04']);
});

test('no two slots of a unit share an address', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 99 }), (rows, columns) => {
      const count = slotCount({ rows, columns });
      const addresses = Array.from({ length: count }, (_, i) => slotAddress({ letter: 'A', columns }, i));
      expect(new Set(addresses).size).toBe(count);
    }),
    { numRuns: 30 },
  );
});

const slot = { widthMm: 100, heightMm: 22, depthMm: 60 };

test.each([
  ['exactly as large', { widthMm: 100, heightMm: 22, depthMm: 60 }, null],
  ['sticking out a quarter', { widthMm: 98, heightMm: 20, depthMm: 80 }, null],
  [
    'a hair too wide',
    { widthMm: 100.5, heightMm: 20, depthMm: 60 },
    { code: 'too_wide', needMm: 100.5, haveMm: 100 },
  ],
  ['too high', { widthMm: 98, heightMm: 23, depthMm: 60 }, { code: 'too_high', needMm: 23, haveMm: 22 }],
  [
    'too deep to hold',
    { widthMm: 98, heightMm: 20, depthMm: 120 },
    { code: 'too_deep', needMm: 90, haveMm: 60 },
  ],
] as const)('%s', (_, thing, answer) => expect(fitInSlot(thing, slot)).toEqual(answer));

test('what fits still fits when it is smaller or the slot larger', () => {
  const size = fc.record({
    widthMm: fc.integer({ min: 1, max: 300 }),
    heightMm: fc.integer({ min: 1, max: 300 }),
    depthMm: fc.integer({ min: 1, max: 300 }),
  });
  const grown = ({ widthMm, heightMm, depthMm }: typeof slot, by: number): typeof slot => ({
    widthMm: widthMm + by,
    heightMm: heightMm + by,
    depthMm: depthMm + by,
  });
  fc.assert(
    fc.property(size, size, fc.nat(50), (thing, room, by) => {
      fc.pre(fitInSlot(thing, room) === null);
      expect(fitInSlot(thing, grown(room, by))).toBeNull();
    }),
  );
});

test.each(UNIT_TEMPLATES)('a $name is made for some form of every kind it holds', (template) => {
  expect(findTemplate(template.id)).toBe(template);
  expect(template.frontMm).toBeLessThan(template.slot.heightMm);
  for (const kind of template.holds) {
    const made = formsOfKind(kind).filter(({ keptIn }) => keptIn.includes(template.id));
    expect(made.length).toBeGreaterThan(0);
    for (const { envelope } of made) expect(fitInSlot(envelope, template.slot)).toBeNull();
  }
});
