import fc from 'fast-check';
import { testUnit } from './test/testUnit';
import { isTallAndFree, marksIn, pathTo, staysAt, withSpotStaying, type Unit } from './unit';
import type { UnitFacts } from './unitFacts';

const byId = (units: readonly Unit[]) => new Map(units.map((unit) => [unit.id, unit]));
const facts: fc.Arbitrary<UnitFacts> = fc.record(
  {
    marks: fc.uniqueArray(fc.constantFrom('sun' as const, 'damp' as const, 'children' as const)),
    pose: fc.record({ xUm: fc.constant(0), yUm: fc.constant(0), upUm: fc.constantFrom(0, 500_000, 900_000) }),
    fixedTo: fc.constantFrom('wall' as const, 'nothing' as const),
    outsideUm: fc
      .constantFrom(400_000, 1_800_000)
      .map((heightUm) => ({ widthUm: 300_000, heightUm, depthUm: 300_000 })),
  } as never,
  { requiredKeys: [] },
);
/** Units that stand in one another, or in nothing, or even in a circle. */
const room = fc
  .array(fc.tuple(fc.option(fc.nat(7), { freq: 5 }), facts), { minLength: 1, maxLength: 8 })
  .map((drawn) =>
    drawn.map(([parent, more], i) =>
      testUnit({ id: `u${i}`, parentId: parent === null ? null : `u${parent}`, facts: more }),
    ),
  );

test('a path leads from the outermost to the unit, each in the one before it, and ends in every room', () => {
  fc.assert(
    fc.property(room, (units) => {
      for (const unit of units) {
        const path = pathTo(unit, byId(units));
        expect(path.at(-1)).toBe(unit);
        expect(new Set(path.map(({ id }) => id)).size).toBe(path.length);
        path.slice(1).forEach((each, i) => expect(each.parentId).toBe(path[i]?.id));
        const [outermost] = path;
        const beyond = units.find(({ id }) => id === outermost?.parentId);
        expect(beyond === undefined || path.includes(beyond)).toBe(true);
      }
    }),
  );
});

test('what is said of a unit holds in everything that stands in it', () => {
  fc.assert(
    fc.property(room, (units) => {
      for (const unit of units) {
        const path = pathTo(unit, byId(units));
        const marks = marksIn(unit, byId(units));
        for (const each of path)
          for (const mark of each.facts.marks ?? []) expect(marks.has(mark)).toBe(true);
        expect(marks.has('loose')).toBe(path.some((each) => isTallAndFree(each.facts)));
        const up = path.reduce((sum, each) => sum + (each.facts.pose?.upUm ?? 0), 0);
        expect(marks.has('high')).toBe(up >= 1_300_000);
      }
    }),
  );
});

test('furniture is tall and free only where both were said', () => {
  const outside = (heightUm: number) => ({ widthUm: 1, heightUm, depthUm: 1 });
  const said = [
    { fixedTo: 'nothing' as const, outsideUm: outside(1_800_000) },
    { fixedTo: 'nothing' as const, outsideUm: outside(400_000) },
    { fixedTo: 'wall' as const, outsideUm: outside(1_800_000) },
    { outsideUm: outside(1_800_000) },
    { fixedTo: 'nothing' as const },
  ];
  expect(said.map((each) => isTallAndFree(each as UnitFacts))).toEqual([true, false, false, false, false]);
});

test('a spot that is to stay stays, alone, until that is taken back, and then nothing is left of it', () => {
  const cells = fc.uniqueArray(fc.nat(5), { minLength: 1 });
  fc.assert(
    fc.property(cells, (chosen) => {
      const rack = testUnit();
      const staying = chosen.reduce<Unit>(
        (unit, cell) => ({ ...unit, facts: withSpotStaying(unit, cell, true) }),
        rack,
      );
      for (let cell = 0; cell < 6; cell++) expect(staysAt(staying, cell)).toBe(chosen.includes(cell));
      const again = { ...staying, facts: withSpotStaying(staying, chosen[0] ?? 0, true) };
      expect(again.facts.spotsStay).toHaveLength(chosen.length);
      const freed = chosen.reduce<Unit>(
        (unit, cell) => ({ ...unit, facts: withSpotStaying(unit, cell, false) }),
        staying,
      );
      expect(freed.facts).toEqual(rack.facts);
    }),
  );
  expect(staysAt(testUnit({ facts: { stays: true } }), 3)).toBe(true);
  expect(withSpotStaying(testUnit({ model: null }), 3, true)).toEqual({});
});
