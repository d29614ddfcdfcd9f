import { UNIT_TEMPLATES, evenGrid } from '@red-shelf/core';
import { living, supply, unit } from '../test/harness';
import { boxesOf, intoColumns, stepSlot, unitSize, wallScale } from './geometry';

const units = UNIT_TEMPLATES.map(({ id, model }) => unit({ id, model }));
const box = unit({
  model: { model: 'loose', widthUm: 200_000, heightUm: 90_000, depthUm: 90_000, fillPercent: 70 },
});

test('one scale for racks: the widest with cells fills the width', () => {
  const scale = wallScale(units, 358);
  const racks = units.filter(({ model }) => model?.model === 'grid');
  expect(Math.max(...racks.map((each) => unitSize(each).w * scale))).toBeCloseTo(358, 6);
  expect(wallScale([], 358)).toBe(0.358);
});

test('a rack draws its cells whatever is in them, a box one shape for each thing', () => {
  expect(boxesOf(unit(), [])).toHaveLength(6);
  const things = [supply({ id: 'a' }), supply({ id: 'b' })].map(living);
  expect([boxesOf(box, []), boxesOf(box, things)].map(({ length }) => length)).toEqual([0, 2]);
});

test('every unit stands in one column, and columns are about as long as each other', () => {
  const columns = intoColumns(units, 2, 40_000);
  expect(
    columns
      .flat()
      .map(({ id }) => id)
      .sort(),
  ).toEqual(units.map(({ id }) => id).sort());
  expect(columns.every((column) => column.length > 0)).toBe(true);
});

test('arrow keys step inside the unit and stop at its edges; in a box one thing follows another', () => {
  const rack = unit({ model: evenGrid(2, 3, { widthUm: 1000, heightUm: 1000, depthUm: 1000 }) });
  const cells = Array<null>(6).fill(null);
  const from = (slot: number) => (key: string) => stepSlot(rack, cells, slot, key);
  expect(['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp', 'x'].map(from(0))).toEqual([1, 3, 0, 0, 0]);
  expect(['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp'].map(from(5))).toEqual([5, 5, 4, 2]);
  expect(['ArrowRight', 'ArrowLeft', 'ArrowDown'].map((key) => stepSlot(box, [null, null], 0, key))).toEqual([
    1, 0, 0,
  ]);
});
