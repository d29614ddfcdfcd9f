import type { UnitView } from '@red-shelf/contract';
import type { Contents } from '../../api/contents';
import { isLoose } from '../../api/contents';
import { boxesOf, unitSize } from '../../draw/geometry';
import type { SlotChoice } from '../../draw/UnitBlock';

/**
 * The place under a point of the screen, px: the drawing that is there says which unit it is of and how it is drawn, its size on the
 * screen how large. Between things that lie loose it is the place behind the last.
 */
export function pointedAt(
  x: number,
  y: number,
  units: readonly UnitView[],
  contents: ReadonlyMap<string, Contents>,
): SlotChoice | null {
  const drawing = document
    .elementsFromPoint(x, y)
    .flatMap((element) => element.closest<HTMLElement>('[data-drawing]') ?? [])[0];
  const unit = units.find(({ id }) => id === drawing?.dataset.drawing);
  if (!drawing || !unit) return null;
  const asBuilt = drawing.dataset.built === 'yes';
  const slots = contents.get(unit.id) ?? [];
  const { left, top, width } = drawing.getBoundingClientRect();
  const umAPx = unitSize(unit, asBuilt).w / width;
  const [atX, atY] = [(x - left) * umAPx, (y - top) * umAPx];
  const slot = boxesOf(unit, slots, asBuilt).findIndex(
    (box) => atX >= box.x && atX < box.x + box.w && atY >= box.y && atY < box.y + box.h,
  );
  if (slot >= 0) return { unitId: unit.id, slot };
  return isLoose(unit) ? { unitId: unit.id, slot: slots.length } : null;
}
