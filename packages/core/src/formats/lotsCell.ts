import { LOTS, type LotAs } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import { parseLength } from '../measure/length';
import { parseSize } from '../measure/size';
import { mainLot, type FlatSize, type Tally } from '../stash/holding';
import type { Formed } from './supplyDraft';

/** A lot as a list says it: what it is, how much of it there is, how large it was cut, where it is. */
export interface LotSaid extends Tally {
  readonly as: LotAs;
  readonly sizeUm: FlatSize | null;
  /** As printed on labels; empty where it has no place. */
  readonly place: string;
}

const MOST_LOTS = 200;
const mm = (um: number): string => `${um / 1000} mm`;
const countingOf = (of: Formed): string => formOf(of.kind, of.form).counting;

function amount({ as, items, left }: LotSaid, of: Formed): string {
  if (as !== 'whole') return String(items);
  const counting = countingOf(of);
  if (counting === 'length') return mm(left);
  return counting === 'fill' ? `${items} with ${left} uses` : String(left);
}

/**
 * Where a supply lies in more than one lot, each in one cell, the main one first: `whole 2 with 90 uses in A3; whole 1 with 50
 * uses in B2`, `whole 30 in C1; base 6 of 105 mm × 148 mm; scrap 4 in C2`. Empty where one lot of whole things is all there is.
 */
export function writeLots(lots: readonly (LotSaid & { readonly id: string })[], of: Formed): string {
  const main = mainLot(lots);
  const others = lots.filter((lot) => lot !== main && (lot.items > 0 || lot.left > 0));
  if (!main || others.length === 0) return '';
  return [main, ...others]
    .map((lot) =>
      [
        `${lot.as} ${amount(lot, of)}`,
        ...(lot.sizeUm ? [`of ${mm(lot.sizeUm.widthUm)} × ${mm(lot.sizeUm.heightUm)}`] : []),
        ...(lot.place ? [`in ${lot.place}`] : []),
      ].join(' '),
    )
    .join('; ');
}

const LOT = new RegExp(`^(${LOTS.join('|')}) (.+?)(?: of (.+?))?(?: in (\\S.*))?$`);
const whole = (text: string): number | null => (/^\d{1,9}$/.test(text) ? Number(text) : null);

/** Reads lots back; the main one is the first, of whole things. Null where they cannot be read. */
export function readLots(text: string, of: Formed): LotSaid[] | null {
  const lots: LotSaid[] = [];
  for (const each of text.split(/;\s*/).filter(Boolean)) {
    const [, as, said = '', size, place = ''] = LOT.exec(each) ?? [];
    const tally = as && tallyOf(as as LotAs, said, of);
    const sizeUm = size === undefined ? null : flatSize(size);
    if (!tally || sizeUm === undefined || lots.length === MOST_LOTS) return null;
    lots.push({ as: as as LotAs, ...tally, sizeUm, place });
  }
  return lots[0]?.as === 'whole' ? lots : null;
}

function tallyOf(as: LotAs, said: string, of: Formed): Tally | null {
  const count = (items: number | null, left: number | null): Tally | null =>
    items === null || left === null ? null : { items, left };
  if (as !== 'whole') return count(whole(said), 0);
  const counting = countingOf(of);
  if (counting === 'length') {
    const length = parseLength(said);
    return length.ok ? count(0, length.um) : null;
  }
  const [, items = '', left = ''] = /^(\d+) with (\d+) uses$/.exec(said) ?? [];
  return counting === 'fill' ? count(whole(items), whole(left)) : count(0, whole(said));
}

/** Width and height; undefined where they cannot be read. */
function flatSize(text: string): FlatSize | undefined {
  const size = parseSize(text, 2);
  const [widthUm, heightUm] = size.ok ? size.um : [];
  return widthUm && heightUm ? { widthUm, heightUm } : undefined;
}

/** What all lots of whole things hold together. */
export const wholesOf = (lots: readonly LotSaid[]): Tally =>
  lots
    .filter(({ as }) => as === 'whole')
    .reduce((sum, { items, left }) => ({ items: sum.items + items, left: sum.left + left }), {
      items: 0,
      left: 0,
    });
