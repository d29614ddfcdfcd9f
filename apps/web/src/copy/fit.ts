import {
  holdsOf,
  pagesFor,
  type CompareReason,
  type Compared,
  type Lodger,
  type Model,
  type Sheets,
} from '@red-shelf/core';
import { sayLength, type Units } from './measure';
import { many } from './words';
import { sayLeftOver } from './reasons';

const percent = (share: number): string => `${Math.round(100 * share)}%`;

/** "Takes 38 of 50 · 12 left over: too wide: needs 132 mm, the slot has 102 mm · all of them are seen · 64% of the depth is used". */
export function sayCompared({
  fits,
  leftOver,
  hiddenShare,
  depthShare,
  freed,
  most,
}: Compared<Lodger>): string {
  const all = fits.length + leftOver.length;
  const [first] = leftOver;
  return [
    leftOver.length === 0 ? `takes all ${all}` : `takes ${fits.length} of ${all}`,
    first &&
      (first.because.code === 'no_room'
        ? `no room for ${leftOver.length}`
        : `${leftOver.length} left over, the first ${sayLeftOver(first.because)}`),
    most ? null : 'there may be a way for more',
    hiddenShare === 0 ? 'all are seen' : `${percent(hiddenShare)} lie behind others`,
    `${percent(depthShare)} of its depth is used`,
    freed.places > 0 && many(freed.places, 'place comes free', 'places come free'),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** What one has against it beside the first. */
export const REASON_WORDS: Readonly<Record<CompareReason, string>> = {
  takes_more: 'takes fewer of them',
  hides_less: 'hides more of them',
  frees_more: 'frees fewer places',
  cheaper: 'costs more a thing',
  less_dead_room: 'leaves more dead room behind',
  alike: 'is as good, and comes after it',
};

/** What to look for, as inside measures to hold a tape against. */
export function sayLookFor(model: Model, things: number, units: Units): { title: string; detail: string } {
  const length = (um: number): string => sayLength(Math.ceil(um / 1000) * 1000, units);
  const { widthUm, heightUm, depthUm } = holdsOf(model).space(model.model === 'grid' ? 0 : null);
  const sides = `${length(widthUm)} wide, ${length(heightUm)} high, ${length(depthUm)} deep inside`;
  switch (model.model) {
    case 'grid':
      return { title: `A rack or case of ${things} cells`, detail: `each at least ${sides}` };
    case 'run':
      return {
        title: 'A shelf, gutter or file',
        detail: `at least ${sides}; several shorter ones do as well`,
      };
    case 'stack':
      return { title: 'A tray or shallow drawer, things lying', detail: `at least ${sides}` };
    case 'loose':
      return { title: 'A box, bin or drawer, things as they fall', detail: `at least ${sides}` };
  }
}

/** The pocket that takes the largest of some sheets, and how many they are. */
export const sayPocket = ({ count, widthUm, heightUm }: Sheets, units: Units): string =>
  `${many(count, 'sheet')}, the largest ${sayLength(widthUm, units)} × ${sayLength(heightUm, units)}: the inside of a pocket must be a little more than that.`;

/** A page of a book, as far as it was said: what is not known is not made up. */
export interface SaidPage {
  readonly pockets: number;
  readonly perPocket: number;
  readonly page: number | null;
  readonly covers: number | null;
}

/** How many pages sheets need, and how thick they make the book where a page was measured. */
export function sayPages(
  { count, thickUm }: Sheets,
  { pockets, perPocket, page, covers }: SaidPage,
  units: Units,
): string {
  const each = { pockets, perPocket, thicknessUm: page ?? 1 };
  const { pages, spineUm } = pagesFor(count, thickUm / count, each, covers ?? 0);
  const last = count - (pages - 1) * pockets * perPocket;
  const needs = `${many(pages, 'page')}${pages > 1 && last < pockets * perPocket ? `, the last with room for ${many(pockets * perPocket - last, 'sheet')} more` : ''}`;
  if (page === null) return `${needs}. Measure an empty page, and how thick the book gets is said too.`;
  const thick = sayLength(Math.ceil(spineUm / 1000) * 1000, units);
  return `${needs}; at the spine ${thick}${covers === null ? ', covers and rings not counted' : ''}.`;
}
