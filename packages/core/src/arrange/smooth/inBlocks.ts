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
export const pathInBlocks = (
  labs: readonly Lab[],
  blocks: readonly (readonly number[])[],
  { smooth, ...options }: PathOptions,
): readonly number[] => pathsInBlocks(labs, blocks, [smooth], options)[0] ?? [];

/** The same at several smoothnesses: what colours differ by is worked out once for all. A path for each. */
export function pathsInBlocks(
  labs: readonly Lab[],
  blocks: readonly (readonly number[])[],
  smooths: readonly number[],
  options: Omit<PathOptions, 'smooth'>,
): (readonly number[])[] {
  const filled = blocks.filter((block) => block.length > 0);
  const all = filled.reduce((sum, block) => sum + block.length, 0);
  const paths = smooths.map((): number[] => []);
  for (const part of all <= MOST_AT_ONCE ? [filled] : partsOf(filled)) {
    const members = part.flat();
    const apart = differencesIn(labs, part);
    // What they are shaken is shared out among the parts.
    const shakes = Math.ceil((options.shakes * members.length) / Math.max(1, all));
    paths.forEach((path, i) => {
      const before = path.at(-1);
      const more = { ...options, shakes, smooth: smooths[i] ?? 0 };
      // What stands before is where it begins.
      if (before === undefined) path.push(...together(labs, part, apart, more));
      else
        path.push(
          ...together(labs, [[before], ...part], withFirst(labs, before, members, apart), more).slice(1),
        );
    });
  }
  return paths;
}

/** Blocks one by one, none of more than can be looked at together. */
const partsOf = (blocks: readonly (readonly number[])[]): (readonly number[])[][] =>
  blocks.flatMap((block) =>
    Array.from({ length: Math.ceil(block.length / MOST_AT_ONCE) }, (_, i) => [
      block.slice(i * MOST_AT_ONCE, (i + 1) * MOST_AT_ONCE),
    ]),
  );

/** CIEDE2000 between each two that stand in one block or in blocks beside one another, row by row. */
function differencesIn(labs: readonly Lab[], blocks: readonly (readonly number[])[]): Float64Array {
  const members = blocks.flat();
  const n = members.length;
  const blockOf = blocks.flatMap((block, b) => block.map(() => b));
  const apart = new Float64Array(n * n);
  members.forEach((member, i) => {
    for (let j = i + 1; j < n && (blockOf[j] ?? 0) <= (blockOf[i] ?? 0) + 1; j++)
      apart[i * n + j] = apart[j * n + i] = ciede2000(labs[member] as Lab, labs[members[j] as number] as Lab);
  });
  return apart;
}

/** The same with one more before them all. */
function withFirst(
  labs: readonly Lab[],
  first: number,
  members: readonly number[],
  apart: Float64Array,
): Float64Array {
  const n = members.length + 1;
  const more = new Float64Array(n * n);
  members.forEach((member, i) => {
    more[i + 1] = more[(i + 1) * n] = ciede2000(labs[first] as Lab, labs[member] as Lab);
    more.set(apart.subarray(i * (n - 1), (i + 1) * (n - 1)), (i + 1) * n + 1);
  });
  return more;
}

/**
 * As a round: a node for the beginning, the colours, a node for the end. Edges from block to block cost so much that there is one
 * between each two, and so between the first block and the beginning. What rises cost in a block is half of how much lightness changes
 * in all, less half of how much it falls from its first to its last (`riseCost`); so it is spread over the edges, the same both ways.
 */
function together(
  labs: readonly Lab[],
  blocks: readonly (readonly number[])[],
  differences: Float64Array,
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
  members.forEach((_, i) => {
    for (let j = i + 1; j < members.length; j++) {
      const [a, b] = [blockOf[i] ?? 0, blockOf[j] ?? 0];
      if (b > a + 1) break;
      const apart = differences[i * members.length + j] ?? 0;
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
