import { changedLabels, labelPrint, slotLabels, type Labelled } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import type { Contents } from '../api/contents';
import { partsName } from '../copy/parts';

/** What is in a unit as its labels say it: the thing, and what of it where that is not the whole. */
export const labelled = (contents: Contents): ((SupplyView & Labelled) | null)[] =>
  contents.map(
    (living) =>
      living && {
        ...living.supply,
        ...(living.lot.as === 'whole' ? {} : { lot: partsName(living.lot.as, living.supply.kind) }),
      },
  );

/** How many labels of a unit say something else than what is there, of those that were printed. */
export function oldLabels(unit: UnitView, contents: Contents): number {
  const printed = unit.facts.labelled;
  if (!printed) return 0;
  const labels = slotLabels(unit, labelled(contents));
  return printed.print === labelPrint(labels) ? 0 : changedLabels(labels, printed.each).length;
}
