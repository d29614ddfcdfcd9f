import { makeStashSearch, meaningsOf, searchable, type Purpose, type StashSearch } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Where } from '../order/useWhere';

/** Makes a search over the stash in plain words; texts are prepared once for many queries. */
export const makeSearch = (
  supplies: readonly SupplyView[],
  where: Where,
  purposes: readonly Purpose[] = [],
): StashSearch<SupplyView> =>
  makeStashSearch(
    supplies.map((supply) =>
      searchable(supply, {
        ...supply,
        address: where(supply),
        also: meaningsOf(supply.facts, purposes),
      }),
    ),
  );
