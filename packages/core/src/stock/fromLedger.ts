import type { LotAs } from '../kinds/definition';
import type { Happening, Posting, StashEvent } from './event';

/** Acts of the ledger before lots: one act and three numbers that meant something else for each. */
export const OLD_ACTS = ['count', 'use', 'buy', 'refill', 'discard', 'open', 'cut', 'undo'] as const;
export const OLD_PARTS = ['packs', 'bases', 'scraps'] as const;
export type OldPart = (typeof OLD_PARTS)[number];

/** One line of the ledger before lots. */
export interface OldEntry {
  readonly id: string;
  readonly supplyId: string;
  readonly at: string;
  readonly act: (typeof OLD_ACTS)[number];
  readonly amount: number | null;
  readonly items: number | null;
  readonly left: number | null;
  readonly part: OldPart | null;
  readonly undoes: string | null;
}

const AS: Readonly<Record<OldPart, LotAs>> = { packs: 'pack', bases: 'base', scraps: 'scrap' };

/** The lot an old supply's things, packs, bases or scraps become. */
export const oldLotId = (supplyId: string, as: LotAs = 'whole'): string => `${supplyId}-${as}`;

/** Which lots an old ledger speaks of beside the whole things. */
export const oldLots = (entries: readonly OldEntry[]): ReadonlySet<LotAs> =>
  new Set(
    entries.flatMap(({ act, part }): LotAs[] => {
      if (act === 'open') return ['pack'];
      if (act === 'cut') return ['base', 'scrap'];
      return part ? [AS[part]] : [];
    }),
  );

/**
 * An old line as an event. `fill` says whether its form is counted by things that wear down; the events of a supply add
 * up to just what its lines did.
 */
export function eventOfEntry(entry: OldEntry, fill: boolean): StashEvent {
  const { id, supplyId, at } = entry;
  return { id, supplyId, at, postings: postingsOf(entry, fill), shifts: [], ...happeningOf(entry, fill) };
}

function happeningOf({ act, amount, items, left, part, undoes }: OldEntry, fill: boolean): Happening {
  const of = part ? AS[part] : 'whole';
  const n = amount ?? 0;
  switch (act) {
    case 'count':
      return { act, of, items: fill && !part ? (items ?? 0) : 0, left: left ?? 0 };
    case 'use':
    case 'buy':
    case 'discard':
      return { act, of, amount: n };
    case 'refill':
      return { act };
    case 'open':
      return { act, packs: n, sheets: left ?? 0 };
    case 'cut':
      return { act, sheets: n, bases: items ?? 0, scraps: left ?? 0 };
    case 'undo':
      return { act, undoes: undoes ?? '' };
  }
}

function postingsOf({ supplyId, act, amount, items, left, part }: OldEntry, fill: boolean): Posting[] {
  const n = amount ?? 0;
  const post = (as: LotAs, byItems: number, byLeft: number, how: Posting['how'] = 'by'): Posting => ({
    holdingId: oldLotId(supplyId, as),
    items: byItems,
    left: byLeft,
    how,
  });
  if (part && act !== 'open' && act !== 'cut' && act !== 'undo') {
    const of = AS[part];
    if (act === 'count') return [post(of, left ?? 0, 0, 'to')];
    return [post(of, act === 'buy' ? n : -n, 0)];
  }
  switch (act) {
    case 'count':
      return [post('whole', fill ? (items ?? 0) : 0, left ?? 0, 'to')];
    case 'use':
      return [post('whole', 0, -n)];
    case 'buy':
      return [fill && n > 0 ? post('whole', n, 0, 'full') : post('whole', 0, n)];
    case 'discard':
      return [fill ? post('whole', -n, 0) : post('whole', 0, -n)];
    case 'refill':
      return [post('whole', 0, 0, 'full')];
    case 'open':
      return [post('pack', -n, 0), post('whole', 0, left ?? 0)];
    case 'cut':
      return [post('whole', 0, -n), post('base', items ?? 0, 0), post('scrap', left ?? 0, 0)];
    case 'undo':
      return [];
  }
}
