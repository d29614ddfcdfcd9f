import type { Family } from './families';
import { chromaOf, type Lab } from './lab';

/** A typical colour of a family: [family, x, y, z in the space of `feature`, weight]. */
export type Prototype = readonly [family: Family, x: number, y: number, z: number, weight: number];

export interface FamilyScore {
  readonly family: Family;
  /** Share of the vote, 0–1; all families' shares add up to 1. */
  readonly share: number;
}

/** Kernel radius in the feature space, about five colour differences. */
const SIGMA = 5;
/** Chroma is compressed, since people's families widen as colours grow vivid. */
const CHROMA_POWER = 0.9;

/** Where a CIELAB colour lies for telling families apart: lightness damped, chroma compressed. */
export function feature(lab: Lab): { x: number; y: number; z: number } {
  const chroma = chromaOf(lab);
  const stretch = chroma > 0 ? (2 * chroma ** CHROMA_POWER) / chroma : 1;
  return { x: 0.9 * lab.l, y: lab.a * stretch, z: lab.b * stretch };
}

/** Votes this far below the strongest (as logarithms) weigh nothing. */
const NEGLIGIBLE = -30;

/**
 * Kernel vote (Parzen, Ann. Math. Stat. 33, 1962) of the prototypes around a colour,
 * best family first. Far from every prototype the nearest one decides.
 */
export function scoreFamilies(lab: Lab, prototypes: readonly Prototype[]): readonly FamilyScore[] {
  const at = feature(lab);
  // A plain loop: this runs for every colour of a stash, eight hundred prototypes each.
  const logs = new Float64Array(prototypes.length);
  let highest = -Infinity;
  let i = 0;
  for (const [, x, y, z, weight] of prototypes) {
    const squared = (at.x - x) * (at.x - x) + (at.y - y) * (at.y - y) + (at.z - z) * (at.z - z);
    const log = Math.log(weight) - squared / (2 * SIGMA * SIGMA);
    logs[i++] = log;
    if (log > highest) highest = log;
  }
  const votes = new Map<Family, number>();
  let total = 0;
  i = 0;
  for (const [family] of prototypes) {
    const log = (logs[i++] ?? NEGLIGIBLE) - highest;
    const vote = log > NEGLIGIBLE ? Math.exp(log) : 0;
    total += vote;
    votes.set(family, (votes.get(family) ?? 0) + vote);
  }
  return [...votes]
    .map(([family, vote]) => ({ family, share: vote / total }))
    .sort((p, q) => q.share - p.share || (p.family < q.family ? -1 : 1));
}
