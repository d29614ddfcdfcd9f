import type { Labelled } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Contents } from '../api/contents';
import { sayLotSort } from '../copy/lots';

/** What is in a unit as its labels say it: the thing, and what of it where that is not the whole. */
export const labelled = (contents: Contents): ((SupplyView & Labelled) | null)[] =>
  contents.map(
    (living) =>
      living && {
        ...living.supply,
        ...(living.lot.as === 'whole' ? {} : { lot: sayLotSort(living.lot.as) }),
      },
  );
