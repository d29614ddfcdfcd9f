import type { ArrangePreview, UnitView } from '@red-shelf/contract';
import { unitTitle } from '../copy/supply';
import { listOf } from '../copy/words';

const MOST = 6;

/** "Blue goes on in B Pad rack.", and what stands empty afterwards. */
export function sayRuns({ continues, freed }: ArrangePreview, units: readonly UnitView[]): string[] {
  const titleOf = (id: string): string => {
    const unit = units.find((each) => each.id === id);
    return unit ? unitTitle(unit) : 'a place that is gone';
  };
  const lines = continues
    .slice(0, MOST)
    .map(({ group, from, to }) => `${capital(group)} of ${titleOf(from)} continues in ${titleOf(to)}.`);
  const more = continues.length - MOST;
  return [
    ...lines,
    ...(more > 0 ? [`And ${more} more continue in another place.`] : []),
    ...(freed.length > 0 ? [`Empty then: ${listOf(freed.map(titleOf))}.`] : []),
  ];
}

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
