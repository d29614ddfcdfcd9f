import type { UnitView } from '@red-shelf/contract';

/** Millimetres of a front panel that are drawn; the rest of it would only be grey. */
const FRONT_SHOWN_MM = 20;

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** Height of a slot that can be seen over the unit's front, mm. */
const visibleHeight = (unit: UnitView): number => Math.max(10, unit.slot.heightMm - unit.frontMm);

/** The drawn front panel of each row, mm. */
const frontHeight = (unit: UnitView): number => (unit.frontMm > 0 ? FRONT_SHOWN_MM : 0);

/** Outside size of a unit as drawn, mm. */
export function unitSizeMm(unit: UnitView): { w: number; h: number } {
  const row = visibleHeight(unit) + frontHeight(unit) + unit.wallMm;
  return {
    w: unit.columns * (unit.slot.widthMm + unit.wallMm) + unit.wallMm,
    h: unit.rows * row + unit.wallMm,
  };
}

/** The visible part of a slot, mm from the unit's top left corner. */
export function slotBoxMm(unit: UnitView, index: number): Box {
  const row = Math.floor(index / unit.columns);
  const column = index % unit.columns;
  return {
    x: unit.wallMm + column * (unit.slot.widthMm + unit.wallMm),
    y: unit.wallMm + row * (visibleHeight(unit) + frontHeight(unit) + unit.wallMm),
    w: unit.slot.widthMm,
    h: visibleHeight(unit),
  };
}

/** Front panels, one a row, mm; none for open racks. */
export function frontBoxesMm(unit: UnitView): Box[] {
  if (frontHeight(unit) === 0) return [];
  const { w } = unitSizeMm(unit);
  return Array.from({ length: unit.rows }, (_, row) => {
    const box = slotBoxMm(unit, row * unit.columns);
    return { x: 0, y: box.y + box.h, w, h: frontHeight(unit) + unit.wallMm };
  });
}

/** One scale for the whole wall, px per mm: the widest unit fills the width there is. */
export function wallScale(units: readonly UnitView[], widthPx: number): number {
  const widest = Math.max(1, ...units.map((unit) => unitSizeMm(unit).w));
  return widthPx / widest;
}

/** Spreads units over columns, each going to the column that is shortest so far. */
export function intoColumns(units: readonly UnitView[], columns: number, headMm: number): UnitView[][] {
  const filled = Array.from({ length: columns }, (): { height: number; units: UnitView[] } => ({
    height: 0,
    units: [],
  }));
  for (const unit of units) {
    const shortest = filled.reduce((best, column) => (column.height < best.height ? column : best));
    shortest.units.push(unit);
    shortest.height += unitSizeMm(unit).h + headMm;
  }
  return filled.map((column) => column.units);
}

/** The slot one step away in a direction, or the same one at the edge. */
export function stepSlot(unit: Pick<UnitView, 'rows' | 'columns'>, slot: number, key: string): number {
  const column = slot % unit.columns;
  const last = unit.rows * unit.columns - 1;
  switch (key) {
    case 'ArrowLeft':
      return column > 0 ? slot - 1 : slot;
    case 'ArrowRight':
      return column < unit.columns - 1 ? slot + 1 : slot;
    case 'ArrowUp':
      return slot >= unit.columns ? slot - unit.columns : slot;
    case 'ArrowDown':
      return slot + unit.columns <= last ? slot + unit.columns : slot;
    default:
      return slot;
  }
}
