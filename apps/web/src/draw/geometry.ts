import { holdsOf, bodyOf, type Box } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import type { Contents } from '../api/contents';

/** Outside size of a unit as drawn by itself, or as it is built, µm. */
export const unitSize = ({ model }: Pick<UnitView, 'model'>, asBuilt = false): { w: number; h: number } =>
  model ? holdsOf(model).outside(asBuilt) : { w: 0, h: 0 };

/** Where each cell is drawn, or each thing where they lie loose; µm from the unit's top left corner. */
export function boxesOf(
  { model }: Pick<UnitView, 'model'>,
  contents: Contents,
  asBuilt = false,
): readonly Box[] {
  if (!model) return [];
  const holds = holdsOf(model);
  const bodies = holds.shares
    ? contents.flatMap((each) => (each ? [bodyOf(each.supply, each.lot).all] : []))
    : [];
  return holds.boxes(bodies, asBuilt);
}

/** One scale for racks, px per µm: the widest with cells fills the width there is; a longer shelf or rod is drawn smaller. */
export function wallScale(units: readonly Pick<UnitView, 'model'>[], widthPx: number): number {
  const racks = units.filter(({ model }) => model?.model === 'grid');
  const measured = racks.length > 0 ? racks : units;
  return widthPx / Math.max(1000, ...measured.map((unit) => unitSize(unit).w));
}

/** Spreads units over columns, each going to the column that is shortest so far. */
export function intoColumns(units: readonly UnitView[], columns: number, headUm: number): UnitView[][] {
  const filled = Array.from({ length: columns }, (): { height: number; units: UnitView[] } => ({
    height: 0,
    units: [],
  }));
  for (const unit of units) {
    const shortest = filled.reduce((best, column) => (column.height < best.height ? column : best));
    shortest.units.push(unit);
    shortest.height += unitSize(unit).h + headUm;
  }
  return filled.map((column) => column.units);
}

/** The slot one step away in a direction, or the same one at the edge. Things that lie loose follow one another. */
export function stepSlot(
  { model }: Pick<UnitView, 'model'>,
  contents: Contents,
  slot: number,
  key: string,
): number {
  const columns = model?.model === 'grid' ? model.columnsUm.length : Math.max(1, contents.length);
  const last = Math.max(0, contents.length - 1);
  const column = slot % columns;
  switch (key) {
    case 'ArrowLeft':
      return column > 0 ? slot - 1 : slot;
    case 'ArrowRight':
      return column < columns - 1 && slot < last ? slot + 1 : slot;
    case 'ArrowUp':
      return slot >= columns ? slot - columns : slot;
    case 'ArrowDown':
      return slot + columns <= last ? slot + columns : slot;
    default:
      return slot;
  }
}
