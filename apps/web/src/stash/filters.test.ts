import { supply } from '../test/harness';
import { filterCount, filtersOf, paramsOf, passes as passesIn, type Filters } from './filters';

const where = ({ holdings: [main] }: ReturnType<typeof supply>) => (main?.spot ? 'B2·02' : null);
const passes = (thing: ReturnType<typeof supply>, filters: Filters) => passesIn(thing, filters, where);

test('the address says the filters and gives them back', () => {
  const filters = filtersOf({
    q: 'pale',
    kind: 'ribbon',
    family: 'green',
    status: 'trial',
    tag: 'x',
    asks: 'low.unused',
  });
  expect(filtersOf(paramsOf(filters))).toEqual(filters);
  expect(filterCount(filters)).toBe(5);
  expect(filtersOf({ kind: 'spoon', asks: 'nonsense', family: ['red', 'blue'] })).toMatchObject({
    kind: null,
    asks: [],
    family: 'red',
  });
});

test('filters combine; standings are asked for one at a time', () => {
  const gone = supply({ facts: { status: 'gone' } });
  expect(passes(gone, filtersOf({ status: 'retired' }))).toBe(false);
  expect(passes(gone, filtersOf({ status: 'gone' }))).toBe(true);
  const ink = supply({ facts: { tags: ['wet'] } });
  expect(passes(ink, filtersOf({ kind: 'ink', tag: 'wet', asks: 'unswatched' }))).toBe(true);
  expect(passes(ink, filtersOf({ kind: 'ink', tag: 'wet', asks: 'unswatched.unused' }))).toBe(false);
  expect(passes(ink, filtersOf({ family: 'red' }))).toBe(false);
  expect(passes(ink, filtersOf({ asks: 'unplaced' }))).toBe(false);
  expect(passes(supply({ place: null }), filtersOf({ asks: 'unplaced' }))).toBe(true);
});

test('families that are not settled are those the app would ask about, until somebody says', () => {
  const asks = (more: object) => passes(supply(more), filtersOf({ asks: 'unsure' }));
  // Between brown and green.
  const between = { hex: '#6f6a52', finish: 'matte' as const };
  expect(asks({ ...between, familyOverride: null })).toBe(true);
  expect(asks({ ...between, familyOverride: 'brown', familyReason: 'between brown and green' })).toBe(false);
  expect(asks({ hex: '#c00000', familyOverride: null })).toBe(false);
});
