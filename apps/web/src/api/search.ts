import {
  makeStashSearch,
  meaningsOf,
  searchable,
  type Held,
  type Purpose,
  type Searchable,
  type StashSearch,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Addresses } from './where';
import { partsName } from '../copy/parts';

interface Prepared {
  readonly said: string;
  readonly purposes: readonly Purpose[];
  readonly thing: Searchable<SupplyView>;
}
/** A thing that did not change, and lives where it lived, is not prepared again. */
const prepared = new WeakMap<SupplyView, Prepared>();

function prepare(
  supply: SupplyView,
  addresses: readonly string[],
  purposes: readonly Purpose[],
  keptFor: readonly string[],
): Searchable<SupplyView> {
  const said = [...addresses, '', ...keptFor].join('\n');
  const known = prepared.get(supply);
  if (known?.said === said && known.purposes === purposes) return known.thing;
  const others = supply.holdings.flatMap(({ as }) => (as === 'whole' ? [] : [partsName(as, supply.kind)]));
  const also = [...meaningsOf(supply.facts, purposes), ...others];
  const thing = searchable(supply, { ...supply, addresses, also, keptFor });
  prepared.set(supply, { said, purposes, thing });
  return thing;
}

const NO_PURPOSES: readonly Purpose[] = [];
const NOTHING_KEPT: ReadonlyMap<string, readonly Held[]> = new Map();

/** What a search knows of the stash. */
export type Known = readonly [
  supplies: readonly SupplyView[],
  addresses: Addresses,
  purposes?: readonly Purpose[],
  held?: ReadonlyMap<string, readonly Held[]>,
];
const preparedIn = ([, addresses, purposes = NO_PURPOSES, held = NOTHING_KEPT]: Known, supply: SupplyView) =>
  prepare(
    supply,
    addresses(supply),
    purposes,
    (held.get(supply.id) ?? []).map(({ name }) => name),
  );

/** Makes a search over the stash in plain words; texts are prepared once for many queries. */
export const makeSearch = (...known: Known): StashSearch<SupplyView> =>
  makeStashSearch(known[0].map((supply) => preparedIn(known, supply)));

/** A thing as the search sees it; prepared once. */
export const preparer =
  (...known: Known) =>
  (supply: SupplyView): Searchable<SupplyView> =>
    preparedIn(known, supply);

/** Prepares what a search needs, a thing a step, so that making it takes no time. */
export function* preparing(...known: Known): Generator {
  for (const supply of known[0]) yield preparedIn(known, supply);
}
