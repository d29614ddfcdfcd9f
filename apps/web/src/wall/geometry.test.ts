import { UNIT_TEMPLATES, type UnitTemplate } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { frontBoxesMm, intoColumns, slotBoxMm, stepSlot, unitSizeMm, wallScale } from './geometry';

const view = (template: UnitTemplate): UnitView => ({
  ...template,
  version: 1,
  letter: 'A',
  facts: {},
  template: template.id,
  holds: [...template.holds],
});
const units = UNIT_TEMPLATES.map(view);

test.each(units)('slots of a $name lie inside it, without overlapping each other or its front', (unit) => {
  const size = unitSizeMm(unit);
  const boxes = Array.from({ length: unit.rows * unit.columns }, (_, i) => slotBoxMm(unit, i));
  const all = [...boxes, ...frontBoxesMm(unit)];
  for (const { x, y, w, h } of all) {
    expect(x).toBeGreaterThanOrEqual(0);
    expect(x + w).toBeLessThanOrEqual(size.w + 1e-9);
    expect(y + h).toBeLessThanOrEqual(size.h + 1e-9);
  }
  boxes.forEach((p, i) =>
    all.slice(i + 1).forEach((q) => {
      const apart = p.x + p.w <= q.x || q.x + q.w <= p.x || p.y + p.h <= q.y || q.y + q.h <= p.y;
      expect(apart).toBe(true);
    }),
  );
});

test('one scale for the whole wall: the widest unit fills the width', () => {
  const scale = wallScale(units, 358);
  const widths = units.map((unit) => unitSizeMm(unit).w * scale);
  expect(Math.max(...widths)).toBeCloseTo(358, 6);
  expect(wallScale([], 358)).toBe(358);
});

test('every unit stands in one column, and columns are about as long as each other', () => {
  const columns = intoColumns(units, 2, 40);
  expect(
    columns
      .flat()
      .map(({ id }) => id)
      .sort(),
  ).toEqual(units.map(({ id }) => id).sort());
  expect(columns.every((column) => column.length > 0)).toBe(true);
});

test('arrow keys step inside the unit and stop at its edges', () => {
  const unit = { rows: 2, columns: 3 };
  expect(
    ['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp', 'x'].map((key) => stepSlot(unit, 0, key)),
  ).toEqual([1, 3, 0, 0, 0]);
  expect(['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp'].map((key) => stepSlot(unit, 5, key))).toEqual([
    5, 5, 4, 2,
  ]);
});
