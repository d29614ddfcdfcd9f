import {
  formOf,
  KIND_DEFINITIONS,
  piecesFrom,
  readySizes,
  sheetSizeOf,
  type IdleFormat,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Units } from './measure';
import { many } from './words';

/** What things of a form that nobody reaches for could become. */
const COULD_BECOME: Readonly<Record<string, string>> = {
  'cardstock cut-base': 'fold them into a stack of cards at one sitting, or trim them to tags',
  'cardstock scrap': 'punch shapes from them, or give them to a child',
  'ribbon spool': 'wind a metre of each on one card, to see and take them together',
  'ribbon card-wound': 'cut them into bows of 30 cm, ready to tie on',
  'ribbon hank': 'wind them on cards, or braid three into one',
  'sticker book': 'take the sheets apart and file them among the single ones by subject',
  'sticker roll': 'cut strips of a page’s width and keep them in a pocket',
  'sticker kit': 'dissolve them: each sheet to its own subject',
  'sticker sheet': 'cut the sheets apart and file the pieces by purpose, with the sheet’s name on each',
  'sticker bits': 'seal envelopes with them until they are gone',
  'ink mini-pad': 'lend them out or take them along: a travel list is a use',
  'ink full-pad': 'wipe them over card for backgrounds',
  'ink refill': 'fill the pads they belong to, or give them to somebody who has those',
  'ink spray': 'make a stack of backgrounds at one sitting',
  'ink drops': 'make a stack of backgrounds at one sitting',
};

/** "6 sheets of 3 colours would give 24 bases for A6". */
function sayBases({ items }: IdleFormat<SupplyView>, units: Units): string {
  const [base] = readySizes(units).filter(({ what }) => what === 'base');
  if (!base) return '';
  const sheets = items.reduce((sum, { stock }) => sum + stock.left, 0);
  const bases = items.reduce((sum, supply) => {
    const sheet = sheetSizeOf(supply);
    return sum + (sheet ? supply.stock.left * piecesFrom(sheet, base) : 0);
  }, 0);
  return bases > 0
    ? `cut up, ${many(sheets, 'sheet')} would give ${many(bases, 'base')} for ${base.card}`
    : '';
}

/** "12 × 12 in cardstock: 14 of it, none reached for in 15 months". */
export function sayFormat(row: IdleFormat<SupplyView>): string {
  const kind = KIND_DEFINITIONS[row.kind].plural.toLowerCase();
  return `${formOf(row.kind, row.form).name}: ${many(row.items.length, 'thing')} among your ${kind}`;
}

export function sayBecome(row: IdleFormat<SupplyView>, units: Units): string {
  const long = many(Math.round(row.days / 30), 'month');
  const become =
    (row.kind === 'cardstock' ? sayBases(row, units) : '') || COULD_BECOME[`${row.kind} ${row.form}`];
  return `none of it reached for in ${long} · ${become ?? 'give it away as a set, or lend it to somebody who starts'}`;
}
