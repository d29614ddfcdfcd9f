import {
  formOf,
  isUnused,
  printMass,
  sayLeft,
  type FormDefinition,
  type LotAs,
  type PlaceSpot,
} from '@red-shelf/core';
import type { LedgerView, SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import { parseISO } from 'date-fns/parseISO';
import { sayPrice } from './measure';
import { manyParts } from './parts';
import { many } from './words';

/** "last used 3 days ago", or that it never was. */
export const sayLastUsed = ({ stock }: SupplyView): string =>
  stock.lastUsedAt
    ? `last used ${formatDistanceToNow(parseISO(stock.lastUsedAt), { addSuffix: true })}`
    : stock.used > 0
      ? 'used, nobody logged when'
      : 'never used';

/** How much was used in all, and when last. */
export function sayUsed(supply: SupplyView): string {
  const { stock } = supply;
  const form = formOf(supply.kind, supply.form);
  if (isUnused(supply)) return 'never used';
  const used = form.counting === 'pieces' ? `${stock.used} pieces` : amount(stock.used, form, 'use');
  return `used ${used}, ${sayLastUsed(supply)}`;
}

/** A ledger amount in the form's unit. */
function amount(n: number, form: FormDefinition, act: LedgerView['act']): string {
  if (form.counting === 'length') return `${Number((n / 1e6).toFixed(2))} m`;
  if (form.counting === 'sheets') return n === 1 ? '1 sheet' : `${n} sheets`;
  if (form.counting === 'fill' && act === 'use') return n === 1 ? 'once' : `${n} times`;
  return String(n);
}

const day = (at: string): string => format(parseISO(at), 'd MMM yyyy');
/** An act that was told more than this later than it was done says so. */
const LATE_MS = 3_600_000;

/** One line of a supply's history. `nameOf` says what a place is called. */
export function sayEntry(
  entry: LedgerView,
  form: FormDefinition,
  nameOf: (spot: PlaceSpot) => string,
): string {
  const late = Date.parse(entry.recordedAt) - Date.parse(entry.at) > LATE_MS;
  const when = `${day(entry.at)}${late ? `, told on ${day(entry.recordedAt)}` : ''}`;
  const moved = entry.shifts.map(({ from, to }) =>
    to ? `put in ${nameOf(to)}` : `lifted out of ${from ? nameOf(from) : 'its place'}`,
  );
  const said = [sayAct(entry, form), ...moved].filter(Boolean).join(', ');
  return `${when} · ${said || 'put together'}`;
}

const some = (n: number, of: LotAs, form: FormDefinition, act: LedgerView['act']): string =>
  of === 'whole' ? amount(n, form, act) : manyParts(n, of, form.kind);

function sayAct(entry: LedgerView, form: FormDefinition): string {
  switch (entry.act) {
    case 'count': {
      if (entry.of !== 'whole') return `counted ${manyParts(entry.left, entry.of, form.kind)}`;
      const missing = entry.unlogged
        ? `, ${amount(entry.unlogged, form, 'count')} used that nobody noted`
        : '';
      return `counted ${sayLeft(entry, form)}${missing}`;
    }
    case 'use':
      return `used ${some(entry.amount, entry.of, form, entry.act)}${sayFor(entry)}`;
    case 'buy': {
      const price = entry.price ? ` for ${sayPrice(entry.price)}` : '';
      return `bought ${some(entry.amount, entry.of, form, entry.act)}${price}`;
    }
    case 'refill':
      return sayRefill(entry);
    case 'discard':
      return `discarded ${some(entry.amount, entry.of, form, entry.act)}`;
    case 'open':
      return `opened ${entry.packs} ${entry.packs === 1 ? 'pack' : 'packs'}: ${entry.sheets} sheets`;
    case 'cut':
      return `${sayCut(entry, form)}${sayFor(entry)}`;
    case 'move':
      return '';
    case 'undo':
      return 'took an earlier entry back';
  }
}

/** "cut 2 into 4 bases and 1 scraps"; of ribbon and stickers what was cut off, and what of it is kept. */
function sayCut(entry: Extract<LedgerView, { act: 'cut' }>, form: FormDefinition): string {
  const { sheets, bases, scraps, fromScraps } = entry;
  const from = fromScraps ? manyParts(fromScraps, 'scrap', form.kind) : null;
  if (form.parts?.includes('base')) return `cut ${from ?? sheets} into ${bases} bases and ${scraps} scraps`;
  const kept = scraps > 0 ? `, ${manyParts(scraps, 'scrap', form.kind)} kept` : '';
  return form.counting === 'length'
    ? `cut ${from ?? `${amount(sheets, form, 'cut')} off`}${kept}`
    : `began ${from ?? many(sheets, 'sheet')}${kept}`;
}

/** What it was kept for. */
const sayFor = ({ project }: { readonly project?: string | undefined }): string =>
  project === undefined ? '' : `, for ${project}`;

function sayRefill({ from, weights }: Extract<LedgerView, { act: 'refill' }>): string {
  const weighed = weights
    ? `, from ${printMass(weights.beforeMg, 'g')} to ${printMass(weights.afterMg, 'g')}`
    : '';
  return `refilled${from ? ' from its bottle' : ''}${weighed}`;
}
