import { MOST_EXACT, shortestRound } from './exact';
import { numbersFrom } from './numbers';
import { Tour, type Costs } from './tour';

/** Stretches that are swapped at random are at most so long. */
const SWAPPED = 30;

/**
 * A short round through every node, from a first one given; of few, the shortest. 2-opt and Or-opt moves between near neighbours, shaken again and
 * again by swapping two short stretches and kept where that did not make it longer (iterated local search, Johnson & McGeoch 1997).
 * The same for the same seed and number of shakes, on every machine.
 */
export function shortRound(
  costs: Costs,
  start: readonly number[],
  { shakes, seed }: { readonly shakes: number; readonly seed: number },
): readonly number[] {
  const { n } = costs;
  if (n <= MOST_EXACT) return shortestRound(costs);
  const tour = new Tour(costs, start);
  tour.improveAll();
  tour.keep();
  const number = numbersFrom(seed);
  const most = Math.min(SWAPPED, Math.floor(n / 4));
  for (let k = 0; k < shakes; k++) {
    const by = tour.shake(number() % n, 1 + (number() % most), 1 + (number() % most));
    if (by <= 0) tour.keep();
    else tour.takeBack();
  }
  return [...tour.at];
}
