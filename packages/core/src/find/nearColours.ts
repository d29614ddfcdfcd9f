import { hasColour } from '../colour/families';
import { ciede2000, labOf } from '../colour/lab';
import { sayDifference } from '../colour/sayDifference';
import { sameManner } from '../stash/swatch';
import type { Ground, Made } from '../stash/swatchSchema';
import type { Owned, OwnAnswer, OwnReason } from './ownAnswer';

/** How a swatch was made and on what: colours are compared like with like where that is asked. */
export interface Manner {
  readonly made: Made;
  readonly ground: Ground;
}
/** What is asked of a thing to compare its colour. */
export type Compared = Pick<Owned, 'id' | 'kind' | 'hex' | 'facts' | 'family'>;

/** Colours further away than this are no answer: a clear step (see sayDifference). */
const NEAR_COLOUR = 8;
const MOST_NEAR = 12;
const MOST_OF_A_KIND = 4;

/** The colour of a supply to compare with: like with like when a manner is asked, else its own. */
function colourOf({ hex, facts }: Compared, manner?: Manner): { seen: string; plain: boolean } {
  const like = manner && facts.swatches?.find((swatch) => sameManner(swatch, manner));
  return { seen: like?.hex ?? hex, plain: manner !== undefined && like === undefined };
}

/** An owned thing, and how far the colour it is seen in is. */
interface Near<T> {
  readonly item: T;
  readonly seen: string;
  readonly plain: boolean;
  readonly deltaE: number;
}
const asAnswer = <T>(hex: string, { item, seen, plain }: Near<T>): OwnAnswer<T> => {
  const reason: OwnReason = {
    sort: 'near colour',
    difference: sayDifference(hex, seen),
    ...(plain ? { plain } : {}),
  };
  return { item, reason };
};

/** Every owned thing as far as it is from a colour, the nearest first; equally near ones by id. */
function byDistance<T extends Compared>(hex: string, owned: readonly T[], manner?: Manner): Near<T>[] {
  const wanted = labOf(hex);
  return owned
    .filter(hasColour)
    .map((item) => ({ item, ...colourOf(item, manner) }))
    .map((each) => ({ ...each, deltaE: ciede2000(wanted, labOf(each.seen)) }))
    .sort((p, q) => p.deltaE - q.deltaE || (p.item.id < q.item.id ? -1 : 1));
}

/** So many that are further off are named, of one kind. */
const MOST_FURTHER = 3;

/**
 * Owned things by how far they are from a colour, the nearest first. `near`: within a clear step, of several kinds a few of each, so
 * that none crowds out another. `further`: of every kind with nothing near, the nearest there is; of one kind alone the three nearest.
 */
export function nearColours<T extends Compared>(
  hex: string,
  owned: readonly T[],
  manner?: Manner,
): { near: OwnAnswer<T>[]; further: OwnAnswer<T>[] } {
  const all = byDistance(hex, owned, manner);
  const within = all.filter(({ deltaE }) => deltaE <= NEAR_COLOUR);
  const most = new Set(within.map(({ item }) => item.kind)).size > 1 ? MOST_OF_A_KIND : MOST_NEAR;
  const taken = new Map<string, number>();
  const near = within.filter(({ item: { kind } }) => {
    const nth = (taken.get(kind) ?? 0) + 1;
    taken.set(kind, nth);
    return nth <= most;
  });
  const kinds = new Set(all.map(({ item }) => item.kind)).size;
  const named = new Map<string, number>();
  const further = all.filter(({ item: { kind }, deltaE }) => {
    if (deltaE <= NEAR_COLOUR || taken.has(kind)) return false;
    const nth = (named.get(kind) ?? 0) + 1;
    named.set(kind, nth);
    return nth <= (kinds === 1 ? MOST_FURTHER : 1);
  });
  return {
    near: near.map((each) => asAnswer(hex, each)),
    further: further.map((each) => asAnswer(hex, each)),
  };
}
