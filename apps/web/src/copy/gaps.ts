import { familyOf, formOf, KIND_DEFINITIONS, labOf } from '@red-shelf/core';
import type { GapQuestion, GapsView, SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { sayLength, type Units } from './measure';
import { sayStock } from './supply';
import { sayAbout } from './when';
import { listOf, many } from './words';

type Row<Q extends keyof GapsView> = GapsView[Q][number];

/** The six questions, as tiles say them. */
export const GAP_TITLES: Readonly<Record<GapQuestion, string>> = {
  running: 'running out',
  colours: 'missing colours',
  partners: 'missing partners',
  unused: 'not used',
  doubles: 'doubles',
  room: 'room',
};
/** What a question shows when there is nothing to say. */
export const NO_GAPS: Readonly<Record<GapQuestion, string>> = {
  running: 'Nothing is low. Use something pretty.',
  colours: 'No hole in your colours. With fewer than eight of a kind nobody misses one.',
  partners: 'Nothing lacks what goes with it.',
  unused: 'Everything here is used.',
  doubles: 'Nothing is there twice that is not meant to be.',
  room: 'There is room everywhere, and everything has a place.',
};

/** "10 sheets", "2", "9.14 m": an amount of what one buys by. */
export function sayPurchase(kind: SupplyView['kind'], form: string, amount: number, units: Units): string {
  const { counting } = formOf(kind, form);
  if (counting === 'length') return sayLength(amount, units);
  if (counting === 'sheets') return many(amount, 'sheet');
  return counting === 'pieces' ? many(amount, 'piece') : String(amount);
}

/** "10 sheets of ", "2 × ": before the name of what is bought. */
export function sayMuch(kind: SupplyView['kind'], form: string, amount: number, units: Units): string {
  const { counting } = formOf(kind, form);
  return counting === 'fill' || counting === 'pieces'
    ? `${amount} × `
    : `${sayPurchase(kind, form, amount, units)} of `;
}

/** "dark green": a colour nobody gave a name. */
export function sayTone(hex: string): string {
  const { l } = labOf(hex);
  const tone = l < 38 ? 'dark ' : l > 72 ? 'pale ' : '';
  return `${tone}${familyOf(hex).family}`;
}
/** "A dark green (#2c5a32)". */
export const sayColour = (hex: string): string => `A ${sayTone(hex)} (${hex})`;

export function sayRunning(row: Row<'running'>, supply: SupplyView, units: Units): string {
  const { state, runsOut, advice } = row;
  const used = supply.stock.uses === 0 ? 'never used' : `used ${many(supply.stock.uses, 'time')}`;
  const now = state === 'out' ? 'out' : sayStock(supply);
  const planned = state === 'kept' ? 'low once planned projects had theirs' : '';
  const when = runsOut && state !== 'out' ? `used up ${sayAbout(runsOut)}` : '';
  const then =
    advice.do === 'ask'
      ? 'used up long ago: wanted again?'
      : advice.do === 'spare'
        ? 'can’t be bought again: use it sparingly'
        : advice.do === 'leave'
          ? 'not touched for a year: do not buy it again'
          : advice.bigger
            ? `goes steadily: ${sayPurchase(supply.kind, supply.form, advice.amount, units)} would last half a year`
            : supply.facts.par === undefined
              ? ''
              : `kept at ${sayPurchase(supply.kind, supply.form, supply.facts.par, units)}`;
  return [now, planned, used, when, then].filter(Boolean).join(' · ');
}

export function sayHole({ kind, difference, fill }: Row<'colours'>, nearest: SupplyView | undefined): string {
  const of = KIND_DEFINITIONS[kind].plural.toLowerCase();
  const near = nearest
    ? `the nearest is ${nearest.name}, ΔE ${Math.round(difference)} away`
    : 'nothing is near';
  const by = fill
    ? `${fill.entry.name}${fill.entry.code ? ` (${fill.entry.code})` : ''} of ${`${fill.range.maker} ${fill.range.name}`.trim()} would fill it`
    : '';
  return [`a hole in your ${of}: ${near}`, by].filter(Boolean).join(' · ');
}

export const sayRange = ({ owned, usedUp, missing }: Row<'ranges'>): string =>
  [
    `${owned} of ${owned + missing.length} owned`,
    usedUp > 0 ? `${usedUp} used up` : '',
    `${missing.length} missing: ${listOf(missing.slice(0, 3).map(({ name }) => name))}${missing.length > 3 ? ' …' : ''}`,
  ]
    .filter(Boolean)
    .join(' · ');

export const sayPartners = ({ lacks }: Row<'partners'>): string =>
  `lacks ${listOf(lacks.map(({ name, out }) => (out ? `${name} (used up)` : name)))}`;

export function sayUnused({ why, days }: Row<'unused'>): string {
  const long = days < 60 ? many(days, 'day') : many(Math.round(days / 30), 'month');
  return why === 'forgotten' ? `forgotten: not used for ${long}` : `${why} · here for ${long}`;
}

export function sayDouble(row: Row<'doubles'>, [, second]: readonly SupplyView[]): string {
  if (row.why === 'spares')
    return `${row.have ?? 0} where ${row.meant ?? 0} ${row.meant === 1 ? 'is' : 'are'} meant`;
  if (row.why === 'same') return `there twice: ${second?.name ?? ''} says the same`;
  return `${second?.name ?? ''} cannot be told apart from it (ΔE ${(row.difference ?? 0).toFixed(1)})`;
}

export const sayWhen = (full: Row<'room'>['full']): string =>
  full ? `full ${sayAbout(full)}` : 'no purchase in sight';

export const sayRoom = ({ filled, of, full }: Row<'room'>): string =>
  `${filled} of ${of} taken · ${sayWhen(full)}`;

export const sayUntil = (day: string): string => format(parseISO(day), 'd MMM yyyy');
