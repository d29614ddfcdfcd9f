import fc from 'fast-check';
import { afterOne, type Drawn } from './useBitByBit';

const sizes = fc.dictionary(fc.constantFrom('a', 'b', 'c', 'd'), fc.integer({ min: 1, max: 60 }));
const mapOf = (record: Record<string, number>): Map<string, number> => new Map(Object.entries(record));

test('whatever was drawn, step by step it becomes what is wanted, never more at once than a step, and then stays', () => {
  fc.assert(
    fc.property(sizes, sizes, fc.integer({ min: 1, max: 24 }), (before, wanted, step) => {
      let drawn: Drawn = mapOf(before);
      for (let i = 0; i < 300; i++) {
        const next = afterOne(drawn, mapOf(wanted), step);
        if (next === drawn) break;
        for (const [id, size] of next) {
          const most = size === Infinity ? (wanted[id] ?? 0) : size;
          expect(most - (drawn.get(id) ?? 0)).toBeLessThanOrEqual(step);
        }
        drawn = next;
      }
      expect([...drawn.keys()].sort()).toEqual(Object.keys(wanted).sort());
      for (const [id, size] of Object.entries(wanted)) expect(drawn.get(id)).toBeGreaterThanOrEqual(size);
      expect(afterOne(drawn, mapOf(wanted), step)).toBe(drawn);
    }),
  );
});

test('what is wanted first is drawn whole before the next begins', () => {
  const wanted = mapOf({ near: 30, far: 30 });
  const one = afterOne(new Map(), wanted, 24);
  const two = afterOne(one, wanted, 24);
  expect([[...one], [...two], [...afterOne(two, wanted, 24)]]).toEqual([
    [['near', 24]],
    [['near', Infinity]],
    [
      ['near', Infinity],
      ['far', 24],
    ],
  ]);
});

test('what is whole stays whole when something comes to it', () => {
  const whole = afterOne(new Map(), mapOf({ rail: 3 }), 24);
  expect(afterOne(whole, mapOf({ rail: 40 }), 24)).toBe(whole);
});
