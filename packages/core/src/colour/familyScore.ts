import type { Family } from './families';
import { chromaOf, type Lab } from './lab';

/** A typical colour of a family: [family, x, y, z in the space of `feature`, weight]. */
export type Prototype = readonly [family: Family, x: number, y: number, z: number, weight: number];

export interface FamilyScore {
  readonly family: Family;
  /** Share of the vote, 0–1; all families' shares add up to 1. */
  readonly share: number;
}

/** Kernel radius in the feature space. */
const SIGMA = 8;
/** Chroma is compressed, since people's families widen as colours grow vivid. */
const CHROMA_POWER = 0.9;

/**
 * A muted green in the row of greys is a worse mistake on a shelf than a green among the teals, so what votes for
 * black, grey or white counts less the further a colour is from grey. Below CALM nothing is taken: true greys stay.
 */
const NEUTRAL: ReadonlySet<string> = new Set(['black', 'grey', 'white']);
const CALM = 3;
const PER_CHROMA = 0.18;
const neutralCounts = (chroma: number): number => 1 / (1 + PER_CHROMA * Math.max(0, chroma - CALM));

/** Where a CIELAB colour lies for telling families apart: lightness stretched, chroma compressed. */
export function feature(lab: Lab): { x: number; y: number; z: number } {
  const chroma = chromaOf(lab);
  const stretch = chroma > 0 ? (2 * chroma ** CHROMA_POWER) / chroma : 1;
  return { x: 1.4 * lab.l, y: lab.a * stretch, z: lab.b * stretch };
}

/** Votes this far below the strongest (as logarithms) weigh nothing. */
const NEGLIGIBLE = -30;

/** Prototypes laid out for the loop below, which runs for every colour of a stash. */
interface Table {
  readonly families: readonly Family[];
  /** For each prototype: x, y, z, logarithm of its weight, number of its family. */
  readonly rows: Float64Array;
}
const WIDTH = 5;
const tables = new WeakMap<readonly Prototype[], Table>();

function tableOf(prototypes: readonly Prototype[]): Table {
  const known = tables.get(prototypes);
  if (known) return known;
  const families = [...new Set(prototypes.map(([family]) => family))];
  const rows = Float64Array.from(
    prototypes.flatMap(([family, x, y, z, weight]) => [x, y, z, Math.log(weight), families.indexOf(family)]),
  );
  const table = { families, rows };
  tables.set(prototypes, table);
  return table;
}

/**
 * Kernel vote (Parzen, Ann. Math. Stat. 33, 1962) of the prototypes around a colour,
 * best family first. Far from every prototype the nearest one decides.
 */
export function scoreFamilies(lab: Lab, prototypes: readonly Prototype[]): readonly FamilyScore[] {
  const { families, rows } = tableOf(prototypes);
  const at = feature(lab);
  const logs = new Float64Array(rows.length / WIDTH);
  const scale = 1 / (2 * SIGMA * SIGMA);
  let highest = -Infinity;
  for (let i = 0, k = 0; i < rows.length; i += WIDTH, k++) {
    const dx = at.x - (rows[i] ?? 0);
    const dy = at.y - (rows[i + 1] ?? 0);
    const dz = at.z - (rows[i + 2] ?? 0);
    const log = (rows[i + 3] ?? 0) - (dx * dx + dy * dy + dz * dz) * scale;
    logs[k] = log;
    if (log > highest) highest = log;
  }
  const votes = new Float64Array(families.length);
  const neutral = neutralCounts(chromaOf(lab));
  const counts = families.map((family) => (NEUTRAL.has(family) ? neutral : 1));
  let total = 0;
  for (let k = 0; k < logs.length; k++) {
    const log = (logs[k] ?? NEGLIGIBLE) - highest;
    if (log <= NEGLIGIBLE) continue;
    const family = rows[k * WIDTH + 4] ?? 0;
    const vote = Math.exp(log) * (counts[family] ?? 1);
    votes[family] = (votes[family] ?? 0) + vote;
    total += vote;
  }
  return families
    .map((family, i) => ({ family, share: (votes[i] ?? 0) / total }))
    .sort((p, q) => q.share - p.share || (p.family < q.family ? -1 : 1));
}
