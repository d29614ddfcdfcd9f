import { mustMeasure } from './positive';

/** What stands somewhere against what may stand there, mg. */
export type Load =
  | { readonly state: 'borne'; readonly massMg: number; readonly mayMg: number; readonly leftMg: number }
  | { readonly state: 'overloaded'; readonly massMg: number; readonly mayMg: number; readonly overMg: number }
  /** Nobody said what it may bear: it is asked for, never guessed. */
  | { readonly state: 'ask'; readonly massMg: number };

/** The mass of what is there against what its maker says may be. Throws RangeError for what is no mass. */
export function loadOn(massesMg: readonly number[], mayMg?: number): Load {
  for (const massMg of massesMg) mustMeasure('A thing', { massMg }, 'nothing or more');
  const massMg = massesMg.reduce((sum, mass) => sum + mass, 0);
  if (mayMg === undefined) return { state: 'ask', massMg };
  mustMeasure('The limit', { mayMg }, 'nothing or more');
  return massMg > mayMg
    ? { state: 'overloaded', massMg, mayMg, overMg: massMg - mayMg }
    : { state: 'borne', massMg, mayMg, leftMg: mayMg - massMg };
}
