import { makeStashSearch, searchable, type StashSearch } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import { addressOf } from '../copy/supply';

/** Makes a search over the stash in plain words; texts are prepared once for many queries. */
export const makeSearch = (
  supplies: readonly SupplyView[],
  units: readonly UnitView[],
): StashSearch<SupplyView> =>
  makeStashSearch(
    supplies.map((supply) => searchable(supply, { ...supply, address: addressOf(supply, units) })),
  );
