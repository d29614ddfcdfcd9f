import { labOf } from '../../packages/core/src/colour/lab.ts';
import { feature, type Prototype } from '../../packages/core/src/colour/familyScore.ts';
import { sized } from '../figures/size.mts';
import { FAMILY_WORDS, type NamedList } from './lists.mts';

/** Typical colours kept for each family. */
const PER_FAMILY = sized(128, 8);
/** A family with many named colours gets a bigger say, but not in proportion. */
const SIZE_POWER = 0.5;
/**
 * How each family's say is scaled (natural logarithms), found by coordinate ascent on lists held out,
 * so that no family swallows its neighbours: lists of names hold many yellows and few greys.
 */
const BALANCE: Readonly<Record<string, number>> = {
  red: -0.15,
  orange: -0.45,
  yellow: -0.4,
  green: 0.5,
  teal: 0.4,
  blue: 0.2,
  purple: 0.05,
  pink: 0.2,
  brown: 0.4,
  black: -1,
  grey: 1.05,
  white: -0.15,
};

/** What a colour counts whose name lies between families (khaki is a green to some, beige a white): little. */
const VAGUE = 0.1;

interface Point {
  readonly at: readonly [number, number, number];
  readonly weight: number;
}

/** A repeatable stream of numbers in [0, 1). */
function randomStream(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 1664525 + 1013904223) % 4294967296) / 4294967296;
}
const squared = (p: Point, q: Point): number =>
  (p.at[0] - q.at[0]) ** 2 + (p.at[1] - q.at[1]) ** 2 + (p.at[2] - q.at[2]) ** 2;

function nearest(p: Point, centres: readonly Point[]): { index: number; distance: number } {
  let index = 0;
  let distance = Infinity;
  centres.forEach((centre, i) => {
    const d = squared(p, centre);
    if (d < distance) [index, distance] = [i, d];
  });
  return { index, distance };
}

function middle(group: readonly Point[]): Point {
  const weight = group.reduce((sum, p) => sum + p.weight, 0);
  const mean = (i: 0 | 1 | 2) => group.reduce((sum, p) => sum + p.weight * p.at[i], 0) / weight;
  return { at: [mean(0), mean(1), mean(2)], weight };
}

/** Weighted k-means with k-means++ starts (Arthur & Vassilvitskii, SODA 2007). */
function cluster(points: readonly Point[], random: () => number): readonly Point[] {
  const pick = (weights: readonly number[]): Point => {
    let at = weights.reduce((sum, w) => sum + w, 0) * random();
    const index = weights.findIndex((w) => (at -= w) <= 0);
    return points[index < 0 ? points.length - 1 : index]!;
  };
  let centres: Point[] = [pick(points.map(({ weight }) => weight))];
  while (centres.length < Math.min(PER_FAMILY, points.length))
    centres.push(pick(points.map((p) => p.weight * nearest(p, centres).distance)));
  for (let round = 0; round < 25; round++) {
    const groups = centres.map((): Point[] => []);
    for (const p of points) groups[nearest(p, centres).index]!.push(p);
    centres = groups.filter((group) => group.length > 0).map(middle);
  }
  return centres;
}

/** Prototypes for every family out of the given lists. */
export function train(lists: readonly NamedList[]): Prototype[] {
  const random = randomStream(7);
  return FAMILY_WORDS.flatMap((family) => {
    const points = lists.flatMap(({ rows, weight }) =>
      rows
        .filter((row) => row.family === family)
        .map((row): Point => {
          const { x, y, z } = feature(labOf(row.hex));
          return { at: [x, y, z], weight: row.vague ? VAGUE * weight : weight };
        }),
    );
    const total = points.reduce((sum, { weight }) => sum + weight, 0);
    const say = total ** (SIZE_POWER - 1) * Math.exp(BALANCE[family] ?? 0);
    return cluster(points, random).map(({ at: [x, y, z], weight }): Prototype => {
      const [rx, ry, rz] = [+x.toFixed(1), +y.toFixed(1), +z.toFixed(1)];
      return [family as Prototype[0], rx, ry, rz, +(weight * say).toPrecision(3)];
    });
  });
}
