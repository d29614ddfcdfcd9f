import type { PlaceSpot } from '@red-shelf/core';
import fc from 'fast-check';
import { planBody, planOf, spotsOf } from './plan';

const spot: fc.Arbitrary<PlaceSpot | null> = fc.option(
  fc.record({
    unitId: fc.constantFrom('rack-a', 'rack-b', 'drawer', 'hand'),
    cell: fc.option(fc.nat(500)),
    rank: fc.nat(40),
  }),
);
const moves = fc.uniqueArray(fc.record({ lotId: fc.uuid(), from: spot, to: spot }), {
  minLength: 1,
  maxLength: 30,
  selector: ({ lotId }) => lotId,
});

test('a plan that was kept leads every lot from where it stood to where it goes', () => {
  fc.assert(
    fc.property(moves, (all) => {
      const kept = planBody.parse(JSON.parse(JSON.stringify(planOf('Inks by colour', all))));
      expect(spotsOf(kept, 'from')).toEqual(new Map(all.map(({ lotId, from }) => [lotId, from])));
      expect(spotsOf(kept, 'to')).toEqual(new Map(all.map(({ lotId, to }) => [lotId, to])));
    }),
  );
});

test('each unit is named once, and none that nothing stands in or goes to', () => {
  fc.assert(
    fc.property(moves, (all) => {
      const { units } = planOf('Inks by colour', all);
      const spoken = all.flatMap(({ from, to }) => [from, to]).flatMap((each) => (each ? [each.unitId] : []));
      expect([...units].sort()).toEqual([...new Set(spoken)].sort());
    }),
  );
});

test('a plan with nothing to move, or with no name, is no plan, and says why', () => {
  const said = (plan: unknown) => planBody.safeParse(plan).error?.issues.map(({ message }) => message);
  expect(said(planOf('Inks', []))).toEqual(['There is nothing to move.']);
  expect(said(planOf('  ', [{ lotId: 'a', from: null, to: null }]))).toEqual(['The name is missing.']);
});
