import { ciede2000 } from '../colour/lab';
import type { Keyed } from './order';

/** How well a shelf reads, in numbers a person can compare before and after. */
export interface ShelfFigures {
  /** Slots with nothing in them. */
  readonly emptySlots: number;
  /** Times the family changes between one occupied slot and the next. */
  readonly familyBreaks: number;
  /** Mean CIEDE2000 between one occupied slot and the next; null below two things. */
  readonly meanStep: number | null;
}

/**
 * Figures of shelves given as rows of slots in reading order, one list per unit; null is an empty slot.
 * Neighbours are counted inside a unit only.
 */
export function shelfFigures(units: readonly (readonly (Keyed<unknown> | null)[])[]): ShelfFigures {
  let emptySlots = 0;
  let familyBreaks = 0;
  let steps = 0;
  let sum = 0;
  for (const slots of units) {
    let before: Keyed<unknown> | null = null;
    for (const here of slots) {
      if (!here) {
        emptySlots++;
        continue;
      }
      if (before) {
        steps++;
        sum += ciede2000(before.lab, here.lab);
        if (before.group !== here.group) familyBreaks++;
      }
      before = here;
    }
  }
  return { emptySlots, familyBreaks, meanStep: steps === 0 ? null : sum / steps };
}
