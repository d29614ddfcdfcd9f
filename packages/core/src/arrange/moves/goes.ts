import type { Spot } from '../../stash/spot';

interface Way {
  readonly from: Spot | null;
  readonly to: Spot | null;
}

/** From so many on they are taken over in one go; fewer are lifted one by one. */
const WORTH_A_GO = 3;
/** More are not set down in one go: what is done so far would be known by nobody but whoever does it. */
const MOST_IN_A_GO = 24;
/** The share of a lift that is the way there and back; the rest is taking it up and setting it down. A guess. */
const WAY = 0.5;

/**
 * Lifts in the order they are made, in goes: what follows one another from one unit to the same other one is carried over together, or
 * with the tray it stands in, where that is three or more; any other is a go by itself. As each of them leaves the one unit and comes
 * into the other, none waits for another of its go: all can be in hand at once. At most 24 are one go. Linear.
 */
export function goesOf<L extends Way>(lifts: readonly L[]): (readonly L[])[] {
  const goes: (readonly L[])[] = [];
  for (let at = 0; at < lifts.length;) {
    const count = togetherFrom(lifts, at);
    goes.push(lifts.slice(at, at + count));
    at += count;
  }
  return goes;
}

/** How many of the lifts from one on are carried over in one go. */
function togetherFrom(lifts: readonly Way[], at: number): number {
  const { from, to } = lifts[at] ?? { from: null, to: null };
  if (!from || !to || from.unitId === to.unitId) return 1;
  let end = at + 1;
  while (
    end - at < MOST_IN_A_GO &&
    lifts[end]?.from?.unitId === from.unitId &&
    lifts[end]?.to?.unitId === to.unitId
  )
    end++;
  return end - at >= WORTH_A_GO ? end - at : 1;
}

/** As much as so many single lifts a number of lifts takes that are made in so many goes: the way of each go is walked once. */
export const asSingleLifts = (lifts: number, goes: number): number => WAY * goes + (1 - WAY) * lifts;
