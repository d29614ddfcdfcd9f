import { formOf, sayLeft, slotAddress, type FormDefinition } from '@red-shelf/core';
import type { LedgerView, SupplyView, UnitView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import { parseISO } from 'date-fns/parseISO';

/** One line under the name: "full pad · Maker · Range 418". */
export const sayWhat = (supply: SupplyView): string => {
  const ranged = [supply.range, supply.code].filter(Boolean).join(' ');
  return [formOf(supply.kind, supply.form).name, supply.maker, ranged].filter(Boolean).join(' · ');
};

export const sayStock = (supply: SupplyView): string =>
  sayLeft(supply.stock, formOf(supply.kind, supply.form));

/** The address of a supply's slot, or null when it has none. */
export function addressOf(supply: SupplyView, units: readonly UnitView[]): string | null {
  const unit = units.find(({ id }) => id === supply.place?.unitId);
  return unit && supply.place ? slotAddress(unit, supply.place.slot) : null;
}

/** What a rack is called: "B Pad rack". */
export const unitTitle = ({ letter, name }: Pick<UnitView, 'letter' | 'name'>): string => `${letter} ${name}`;

/** "last used 3 days ago", or that it never was. */
export const sayLastUsed = ({ stock }: SupplyView): string =>
  stock.lastUsedAt
    ? `last used ${formatDistanceToNow(parseISO(stock.lastUsedAt), { addSuffix: true })}`
    : 'never used';

/** A ledger amount in the form's unit. */
function amount(n: number, form: FormDefinition, act: LedgerView['act']): string {
  if (form.counting === 'length') return `${Number((n / 1e6).toFixed(2))} m`;
  if (form.counting === 'sheets') return n === 1 ? '1 sheet' : `${n} sheets`;
  if (form.counting === 'fill' && act === 'use') return n === 1 ? 'once' : `${n} times`;
  return String(n);
}

const PART_NAMES = { packs: 'packs', bases: 'cut bases', scraps: 'scraps' } as const;
const ONE_PART = { packs: 'pack', bases: 'cut base', scraps: 'scrap' } as const;

/** "2 packs · 14 cut bases · 3 scraps", or null where there are none. */
export const sayParts = ({ stock }: SupplyView): string | null =>
  Object.entries(stock.parts)
    .map(([part, n]) => `${n} ${(n === 1 ? ONE_PART : PART_NAMES)[part as keyof typeof PART_NAMES]}`)
    .join(' · ') || null;

const day = (at: string): string => format(parseISO(at), 'd MMM yyyy');

/** One line of a supply's history. */
export function sayEntry(entry: LedgerView, form: FormDefinition): string {
  const of = entry.part ? ` ${PART_NAMES[entry.part]}` : '';
  const said =
    entry.amount === null
      ? ''
      : entry.part
        ? ` ${entry.amount}${of}`
        : ` ${amount(entry.amount, form, entry.act)}`;
  if (entry.part && entry.act === 'count') return `${day(entry.at)} · counted ${entry.left ?? 0}${of}`;
  switch (entry.act) {
    case 'count': {
      const stock = { items: entry.items ?? 0, left: entry.left ?? 0 };
      return `${day(entry.at)} · counted ${sayLeft(stock, form)}`;
    }
    case 'use':
      return `${day(entry.at)} · used${said}`;
    case 'buy':
      return `${day(entry.at)} · bought${said}`;
    case 'refill':
      return `${day(entry.at)} · refilled`;
    case 'discard':
      return `${day(entry.at)} · discarded${said}`;
    case 'open':
      return `${day(entry.at)} · opened ${entry.amount} ${entry.amount === 1 ? 'pack' : 'packs'}: ${entry.left} sheets`;
    case 'cut':
      return `${day(entry.at)} · cut ${entry.amount} into ${entry.items} bases and ${entry.left} scraps`;
    case 'undo':
      return `${day(entry.at)} · took an earlier entry back`;
  }
}
