import type { PlaceSpot } from '@red-shelf/core';
import { inReturn, placesBack, placesFor } from '../arrange/plan/placeFor';
import type { Step } from '../arrange/plan/step';
import type { Stash } from '../api/queries';

const spot = (unitId: string, rank: number): PlaceSpot => ({ unitId, cell: null, rank });
const step = (id: string, from: PlaceSpot, to: PlaceSpot): Step =>
  ({ thing: { lot: { id } }, from, to }) as unknown as Step;

test('what is carried over together is set down in the order of the place, and goes back in the order it came from', () => {
  // Five stand on a shelf; three of them go into another row, between two that are there.
  const [a, b, c] = ['a', 'b', 'c'].map((id, i) => step(id, spot('shelf', 2 * i + 1), spot('row', i + 1)));
  const go = [c!, a!, b!];
  const target = new Map([
    ...go.map(({ thing, to }) => [thing.lot.id, to] as const),
    ['first', spot('row', 0)],
    ['last', spot('row', 9)],
  ]);
  const now = new Map([
    ...go.map(({ thing, from }) => [thing.lot.id, from] as const),
    ['first', spot('row', 0)],
    ['last', spot('row', 1)],
  ]);
  const placed = placesFor(go, target, now, new Set(['a', 'b', 'c']));
  // c before the last, a before c that is there by then, b between them.
  expect(placed.map((place) => place?.before)).toEqual(['last', 'c', 'c']);
  const stash = {
    all: [{ holdings: [0, 2, 4].map((rank) => ({ id: `stays${rank}`, spot: spot('shelf', rank) })) }],
  } as unknown as Stash;
  const back = inReturn(go);
  expect(back.map(({ thing }) => thing.lot.id)).toEqual(['c', 'b', 'a']);
  expect(placesBack(back, stash).map((place) => place?.before)).toEqual([undefined, 'stays4', 'stays2']);
});
