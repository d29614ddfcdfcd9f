import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import type { Model, Shared } from '@red-shelf/core';
import { sayLength, type Units } from './measure';
import { many } from './words';

const litres = (ul: number): string => `${Math.round(ul / 100_000) / 10} litres`;

/** What things share in a place that is empty: "30 cm of length for things". */
export function sayShared({ measure, of }: Shared, units: Units): string {
  if (measure === 'volume') return `about ${litres(of)} of things`;
  return `${sayLength(of, units)} of ${measure} for things`;
}

/** What is free is never said to be more than it is: whole millimetres, or sixteenths of an inch. */
const sayAtMost = (um: number, units: Units): string => {
  const step = units === 'inches' ? 1587.5 : 1000;
  return sayLength(Math.round(Math.floor(um / step) * step), units);
};

/** What is left of it, or by how much it is too full. Volume is only guessed at, and not said. */
export function sayFree({ measure, have, of }: Shared, units: Units): string {
  if (measure === 'volume') return '';
  return have > of ? `${sayLength(have - of, units)} too full` : `${sayAtMost(of - have, units)} free`;
}

const RUN_WORDS = { stand: 'shelf', rail: 'rail', rod: 'rod', hooks: 'rail', file: 'file' } as const;

/** What a person calls one place of a unit. */
export function placeWord(model: Model | null): string {
  if (model?.model === 'run') return RUN_WORDS[model.how];
  return model?.model === 'stack' ? 'tray' : model?.model === 'loose' ? 'box' : 'slot';
}

/** What must be done before a thing can be taken. */
export function sayToReach(model: Model | null, things: number): string {
  if (model?.model === 'run') return `${many(things, 'other')} must come off the rod first.`;
  if (model?.model === 'stack')
    return `${many(things, 'other lies', 'others lie')} on it: lift ${things === 1 ? 'it' : 'them'} first.`;
  if (model?.model === 'grid')
    return `${many(things, 'other stands', 'others stand')} before it: take ${things === 1 ? 'it' : 'them'} out first.`;
  return 'It lies behind or under others.';
}

/** The day a picture of a place was taken. */
export const sayPhotoDay = (on: string): string => format(parseISO(on), 'd MMM yyyy');
