import type { Refusal, SetDown, TOLERANCES } from '@red-shelf/core';
import { sayLength, type Units } from './measure';
import { sayLeftOver } from './reasons';
import { TOLERANCE_WORDS } from './room';
import { listOf, many } from './words';

const NAMED = 3;

/** "In hand: Marsh Lantern, Weir Blue and 2 others." */
export function sayInHand(names: readonly string[]): string {
  const more = names.length - NAMED;
  const said = more > 0 ? [...names.slice(0, NAMED), many(more, 'other')] : names;
  return `In hand: ${listOf(said)}.`;
}

/** Why a thing is not taken there, and by how much. */
export function sayNo(name: string, address: string, refusal: Refusal): string {
  if (refusal.code === 'wrong_kind') return `${address} is not made for ${name}.`;
  if (refusal.code === 'taken') return `${address} does not take ${name}: something else lives there.`;
  return `${address} does not take ${name}: ${sayLeftOver(refusal)}.`;
}

/** That it goes in, and what is left beside and above it. */
export function sayFits(address: string, clear: SetDown<unknown>['clear'], units: Units): string {
  if (!clear) return `${address} takes it.`;
  const { acrossUm, aboveUm, beforeUm } = clear;
  const out = beforeUm < 0 ? `; it stands out ${sayLength(-beforeUm, units)} in front` : '';
  return `${address} takes it: ${sayLength(Math.max(0, acrossUm), units)} left across, ${sayLength(Math.max(0, aboveUm), units)} above${out}.`;
}

/** That the place one points at does not take it, and another near it does as well. */
export const sayNearest = (address: string, tolerance: (typeof TOLERANCES)[number]): string =>
  `${address} itself does not take it, but ${TOLERANCE_WORDS[tolerance].replace('their', 'its')} will do.`;
