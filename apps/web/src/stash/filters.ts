import {
  FAMILY_GROUPS,
  isFamilyUnsettled,
  isLow,
  isUnused,
  KINDS,
  statusOf,
  STATUSES,
  type FamilyGroup,
  type Kind,
  type Status,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Where } from '../api/where';

/** Questions one asks of a stash; several may be asked at once. */
export const ASKS = {
  low: 'Low or out',
  unplaced: 'No place',
  unused: 'Never used',
  unswatched: 'No swatch',
  unsure: 'Family not settled',
  collection: 'Collection',
} as const;
export type Ask = keyof typeof ASKS;

/** What the list is narrowed to; kept in the address bar. */
export interface Filters {
  readonly query: string;
  readonly kind: Kind | null;
  readonly family: FamilyGroup | null;
  readonly status: Status | null;
  readonly tag: string | null;
  readonly asks: readonly Ask[];
}

type Params = Readonly<Record<string, string | string[] | undefined>>;
const one = (value: string | string[] | undefined): string =>
  Array.isArray(value) ? (value[0] ?? '') : (value ?? '');
const known = <T extends string>(words: readonly T[], word: string): T | null =>
  words.find((each) => each === word) ?? null;

/** Filters as the address says them; what it does not know is left out. */
export function filtersOf(params: Params): Filters {
  const asked = one(params.asks).split('.');
  return {
    query: one(params.q),
    kind: known(KINDS, one(params.kind)),
    family: known(FAMILY_GROUPS, one(params.family)),
    status: known(STATUSES, one(params.status)),
    tag: one(params.tag) || null,
    asks: (Object.keys(ASKS) as Ask[]).filter((ask) => asked.includes(ask)),
  };
}

/** The address's words for filters; empty ones are taken out of it. */
export const paramsOf = (filters: Filters): Record<string, string> => ({
  q: filters.query,
  kind: filters.kind ?? '',
  family: filters.family ?? '',
  status: filters.status ?? '',
  tag: filters.tag ?? '',
  asks: filters.asks.join('.'),
});

const TESTS: Readonly<Record<Ask, (supply: SupplyView, where: Where) => boolean>> = {
  low: ({ stock }) => isLow(stock),
  unplaced: (supply, where) => where(supply) === null,
  unused: isUnused,
  unswatched: ({ facts }) => (facts.swatches ?? []).length === 0,
  unsure: isFamilyUnsettled,
  collection: ({ facts }) => facts.collection === true,
};

/** Whether a supply passes every filter. */
export function passes(
  supply: SupplyView,
  { kind, family, status, tag, asks }: Filters,
  where: Where,
): boolean {
  if (status && statusOf(supply.facts) !== status) return false;
  if (kind && supply.kind !== kind) return false;
  if (family && supply.group !== family) return false;
  if (tag && !supply.facts.tags?.includes(tag)) return false;
  return asks.every((ask) => TESTS[ask](supply, where));
}

/** How many filters are on beside the search and the kind. */
export const filterCount = ({ family, status, tag, asks }: Filters): number =>
  [family, status, tag].filter(Boolean).length + asks.length;
