import { hasColour } from '../colour/families';
import { ciede2000 } from '../colour/lab';
import type { Keyed } from './order';

/** How well a shelf reads, in numbers a person can compare before and after. */
export interface ShelfFigures {
  /** Times the group changes between one occupied slot and the next. */
  readonly breaks: number;
  /** Mean CIEDE2000 between one occupied slot and the next; null below two things. */
  readonly meanStep: number | null;
}

/**
 * Figures of shelves given as rows of slots in the order they are filled, one list per unit; null is an empty slot.
 * Neighbours are counted inside a unit only. Groups are families of colour unless `groupOf` says otherwise.
 */
export function shelfFigures<T>(
  units: readonly (readonly (Keyed<T> | null)[])[],
  groupOf: (thing: Keyed<T>) => string = ({ group }) => group,
): ShelfFigures {
  let [breaks, steps, sum] = [0, 0, 0];
  for (const slots of units) {
    const things = slots.filter((slot) => slot !== null);
    const groups = things.map(groupOf);
    things.slice(1).forEach((here, i) => {
      const before = things[i];
      if (!before) return;
      if (groups[i] !== groups[i + 1]) breaks++;
      if (!hasColour(before) || !hasColour(here)) return;
      steps++;
      sum += ciede2000(before.lab, here.lab);
    });
  }
  return { breaks, meanStep: steps === 0 ? null : sum / steps };
}

/**
 * How much things differ from their neighbours to the right and below, on average (CIEDE2000), in racks that are seen as pictures:
 * each a row of cells in reading order, with so many columns. Null where no two stand beside one another.
 */
export function besideStep(
  racks: readonly { readonly slots: readonly (Keyed<unknown> | null)[]; readonly columns: number }[],
): number | null {
  let [steps, sum] = [0, 0];
  for (const { slots, columns } of racks)
    slots.forEach((here, cell) => {
      const right = cell % columns < columns - 1 ? slots[cell + 1] : null;
      for (const other of [right, slots[cell + columns]]) {
        if (!here || !other || !hasColour(here) || !hasColour(other)) continue;
        steps++;
        sum += ciede2000(here.lab, other.lab);
      }
    });
  return steps === 0 ? null : sum / steps;
}
