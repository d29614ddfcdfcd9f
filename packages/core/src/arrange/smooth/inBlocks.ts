import { ciede2000, type Lab } from '../../colour/lab';
import { shortRound } from './shortest';

export interface PathOptions {
  /** How far the path may leave the order of lightness: 1 is as smooth as it gets, near 0 is the order of lightness. */
  readonly smooth: number;
  /** Light to dark, or dark to light. */
  readonly lightFirst: boolean;
  /** How often a path is shaken for a shorter one. */
  readonly shakes: number;
  readonly seed: number;
}

/** Larger than any sum of differences: what it is on is only taken where it must be. */
const HIGH = 1e4;
const NEVER = 1e6;
/** So many are looked at together; more are laid out block by block. */
const MOST_AT_ONCE = 1200;

/**
 * Half way, lightness falls in about seven of eight pairs of a family, for a path less than a fifth longer than the smoothest: found by
 * trying on colours drawn from lists (scripts/arrange.mts). In larger families a rise weighs more: their steps are shorter, and most
 * pairs are theirs.
 */
const HALFWAY = 0.68;
const WITH_SIZE = 0.3;
const LEAST_SMOOTH = 0.05;

/** What a rise in lightness costs against the direction in a family so large, in ΔE a unit of L*. */
const riseCost = (smooth: number, size: number): number =>
  smooth >= 1 ? 0 : (HALFWAY * size ** WITH_SIZE * (1 - smooth)) / Math.max(smooth, LEAST_SMOOTH);

/**
 * The order of colours that stand in blocks one behind another: a short path by CIEDE2000 through all of them, block after block. Less
 * smooth, each rise in lightness against the direction costs besides. Indices into `labs`; each block is a list of them.
 */
export function pathInBlocks(
  labs: readonly Lab[],
  blocks: readonly (readonly number[])[],
  options: PathOptions,
): readonly number[] {
  const filled = blocks.filter((block) => block.length > 0);
  const all = filled.reduce((sum, block) => sum + block.length, 0);
  if (all <= MOST_AT_ONCE) return together(labs, filled, options);
  const path: number[] = [];
  for (const block of filled)
    for (let from = 0; from < block.length; from += MOST_AT_ONCE) {
      const before = path.at(-1);
      const part = [block.slice(from, from + MOST_AT_ONCE)];
      // What stands before is where it begins.
      const joined = together(labs, before === undefined ? part : [[before], ...part], {
        ...options,
        // What they are shaken is shared out among the parts.
        shakes: Math.ceil((options.shakes * (part[0]?.length ?? 0)) / all),
      });
      path.push(...(before === undefined ? joined : joined.slice(1)));
    }
  return path;
}

/**
 * As a round: a node for the beginning, the colours, a node for the end. Edges from block to block cost so much that there is one
 * between each two, and so between the first block and the beginning. What rises cost in a block is half of how much lightness changes
 * in all, less half of how much it falls from its first to its last (`riseCost`); so it is spread over the edges, the same both ways.
 */
function together(
  labs: readonly Lab[],
  blocks: readonly (readonly number[])[],
  { smooth, lightFirst, shakes, seed }: PathOptions,
): readonly number[] {
  const members = blocks.flat();
  if (members.length < 2) return members;
  const n = members.length + 2;
  const [begin, end] = [n - 2, n - 1];
  const blockOf = blocks.flatMap((block, b) => block.map(() => b));
  const rises = blocks.map((block) => riseCost(smooth, block.length) / 2);
  const light = members.map((member) => (lightFirst ? 1 : -1) * (labs[member]?.l ?? 0));
  const cost = new Float64Array(n * n).fill(NEVER);
  const set = (i: number, j: number, value: number): void => {
    cost[i * n + j] = value;
    cost[j * n + i] = value;
  };
  members.forEach((member, i) => {
    for (let j = i + 1; j < members.length; j++) {
      const [a, b] = [blockOf[i] ?? 0, blockOf[j] ?? 0];
      if (b > a + 1) break;
      const apart = ciede2000(labs[member] as Lab, labs[members[j] as number] as Lab);
      const [li, lj] = [light[i] ?? 0, light[j] ?? 0];
      const [ra, rb] = [rises[a] ?? 0, rises[b] ?? 0];
      set(i, j, a === b ? apart + ra * Math.abs(li - lj) : HIGH + apart + ra * li - rb * lj);
    }
    const pull = (rises[blockOf[i] ?? 0] ?? 0) * (light[i] ?? 0);
    if (blockOf[i] === 0) set(begin, i, HIGH - pull);
    if (blockOf[i] === blocks.length - 1) set(end, i, HIGH + pull);
  });
  set(begin, end, 0);
  const start = [begin, ...members.keys(), end];
  const round = shortRound({ n, cost }, start, { shakes, seed });
  const at = round.indexOf(begin);
  const turned = [...round.slice(at), ...round.slice(0, at)];
  // Its end is right before its beginning, or right behind it.
  const forward = turned.at(-1) === end ? turned.slice(1, -1) : turned.slice(2).reverse();
  return forward.map((i) => members[i] as number);
}
