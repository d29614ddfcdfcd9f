/** What shares a place, in its order. */
export interface Ranked {
  readonly id: string;
  readonly rank: number;
}

/** Room is left between ranks that are given anew, so that the next ones find some. */
const STRIDE = 16;

/**
 * The rank of a thing that is set down where others share the place: right before one of them, or behind all. Where two have no rank
 * between them, all are numbered anew, and `others` says how. `before` that is not there is behind all.
 */
export function placeAt(
  there: readonly Ranked[],
  before?: string,
): { readonly rank: number; readonly others: ReadonlyMap<string, number> } {
  const row = [...there].sort((p, q) => p.rank - q.rank);
  const at = row.findIndex(({ id }) => id === before);
  if (at < 0) return { rank: (row.at(-1)?.rank ?? -1) + 1, others: new Map() };
  const [low, high] = [row[at - 1]?.rank ?? -1, row[at]?.rank ?? 0];
  if (high - low > 1) return { rank: Math.floor((low + high) / 2), others: new Map() };
  const others = new Map(row.map(({ id }, i) => [id, STRIDE * (i < at ? i : i + 1)]));
  return { rank: STRIDE * at, others };
}

/**
 * The order of what shares a place once some were lifted there: those that stay keep theirs, each of the others stands before the next
 * one of `wanted` that is there. Answers new ranks, of those that change only; nothing where the order is as it was.
 */
export function settledRanks(
  now: readonly Ranked[],
  wanted: readonly string[],
  comes: ReadonlySet<string>,
): ReadonlyMap<string, number> {
  const ranks = new Map(now.map(({ id, rank }) => [id, rank]));
  const stood = [...now].sort((p, q) => p.rank - q.rank).map(({ id }) => id);
  const row = stood.filter((id) => !comes.has(id));
  for (let i = wanted.length - 1; i >= 0; i--) {
    const id = wanted[i];
    if (id === undefined || !comes.has(id)) continue;
    const next = wanted.slice(i + 1).find((each) => row.includes(each));
    row.splice(next === undefined ? row.length : row.indexOf(next), 0, id);
  }
  if (row.length === stood.length && row.every((id, i) => id === stood[i])) return new Map();
  return new Map(row.map((id, i) => [id, i] as const).filter(([id, rank]) => ranks.get(id) !== rank));
}
