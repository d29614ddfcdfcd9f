import type { Family } from './families';
import { chromaOf, type Lab } from './lab';

/** A typical colour of a family: [family, x, y, z in the space of `feature`, weight]. */
export type Prototype = readonly [family: Family, x: number, y: number, z: number, weight: number];

export interface FamilyScore {
  readonly family: Family;
  /** Share of the vote, 0–1; all families' shares add up to 1. */
  readonly share: number;
}

/** Kernel radius in the feature space, about six colour differences. */
const SIGMA = 6.5;
/** Chroma is compressed, since people's families widen as colours grow vivid. */
const CHROMA_POWER = 0.8;

/** Where a CIELAB colour lies for telling families apart: lightness damped, chroma compressed. */
export function feature(lab: Lab): { x: number; y: number; z: number } {
  const chroma = chromaOf(lab);
  const stretch = chroma > 0 ? (2 * chroma ** CHROMA_POWER) / chroma : 1;
  return { x: 0.8 * lab.l, y: lab.a * stretch, z: lab.b * stretch };
}

/**
 * Kernel vote (Parzen, Ann. Math. Stat. 33, 1962) of the prototypes around a colour,
 * best family first. Far from every prototype the nearest one decides.
 */
export function scoreFamilies(lab: Lab, prototypes: readonly Prototype[]): readonly FamilyScore[] {
  const at = feature(lab);
  const logs = prototypes.map(
    ([, x, y, z, weight]) =>
      Math.log(weight) - ((at.x - x) ** 2 + (at.y - y) ** 2 + (at.z - z) ** 2) / (2 * SIGMA ** 2),
  );
  const highest = Math.max(...logs);
  const votes = new Map<Family, number>();
  let total = 0;
  prototypes.forEach(([family], i) => {
    const vote = Math.exp((logs[i] ?? highest) - highest);
    total += vote;
    votes.set(family, (votes.get(family) ?? 0) + vote);
  });
  return [...votes]
    .map(([family, vote]) => ({ family, share: vote / total }))
    .sort((p, q) => q.share - p.share || (p.family < q.family ? -1 : 1));
}
