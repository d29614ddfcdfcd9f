import { makeStashSearch, meaningsOf, searchable, type Purpose, type StashSearch } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Addresses } from './where';
import { sayLotSort } from '../copy/lots';

/** Makes a search over the stash in plain words; texts are prepared once for many queries. */
export const makeSearch = (
  supplies: readonly SupplyView[],
  addresses: Addresses,
  purposes: readonly Purpose[] = [],
): StashSearch<SupplyView> =>
  makeStashSearch(
    supplies.map((supply) =>
      searchable(supply, {
        ...supply,
        addresses: addresses(supply),
        also: [
          ...meaningsOf(supply.facts, purposes),
          ...supply.holdings.flatMap(({ as }) => (as === 'whole' ? [] : [sayLotSort(as)])),
        ],
      }),
    ),
  );
