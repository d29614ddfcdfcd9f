import type { CompareReason, Compared, Lodger, Model } from '@red-shelf/core';
import { holdsOf } from '@red-shelf/core';
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
