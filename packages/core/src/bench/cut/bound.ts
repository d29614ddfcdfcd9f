import type { Sort } from './wanted';

/** More steps than this of the table are not worth a closer bound. */
const MOST_STEPS = 3e7;

/** Every length up to `most` that sums of sides reach, each sort as often as it is wanted; rising, with 0. */
function reached(sorts: readonly Sort[], down: boolean, most: number): number[] {
  let sums = new Set([0]);
  for (const { w, h, mayTurn, count } of sorts) {
    const sides = mayTurn ? [w, h] : [down ? w : h];
    for (let i = 0; i < count; i++) {
      const next = new Set(sums);
      for (const sum of sums) for (const side of sides) if (sum + side <= most) next.add(sum + side);
      if (next.size === sums.size) break;
      sums = next;
    }
  }
  return [...sums].sort((a, b) => a - b);
}

/** The place of the last length that is not more, for each place counted back from another. */
function lastUpTo(lengths: readonly number[], length: number): number {
  let [low, high] = [0, lengths.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((lengths[middle] ?? 0) <= length) low = middle;
    else high = middle - 1;
  }
  return low;
}

/**
 * At most how much comes beside and below a built rectangle of a size in a sheet: what the rest holds were each sort there
 * without end (Gilmore & Gomory 1966; Viswanathan & Bagchi 1993), or the rest's share of the best value by area where the
 * table would be too large.
 */
export function makeBound(
  sorts: readonly Sort[],
  wide: number,
  high: number,
  valueOf: (sort: Sort) => number,
): (w: number, h: number) => number {
  const wanted = sorts.filter(({ count }) => count > 0);
  const [xs, ys] = [reached(wanted, true, wide), reached(wanted, false, high)];
  const [nx, ny] = [xs.length, ys.length];
  const dearest = Math.max(0, ...wanted.map((sort) => valueOf(sort) / (sort.w * sort.h)));
  if (nx * ny * (nx + ny) > MOST_STEPS) return (w, h) => dearest * (wide * high - w * h);
  // What a rectangle of each two lengths holds.
  const holds = new Float64Array(nx * ny);
  for (const sort of wanted) {
    const value = valueOf(sort);
    for (const [w, h] of sort.mayTurn
      ? [[sort.w, sort.h] as const, [sort.h, sort.w] as const]
      : [[sort.w, sort.h] as const])
      for (let i = 0; i < nx; i++)
        for (let j = 0; j < ny; j++)
          if (w <= (xs[i] ?? 0) && h <= (ys[j] ?? 0))
            holds[i * ny + j] = Math.max(holds[i * ny + j] ?? 0, value);
  }
  const backX = table(xs);
  const backY = table(ys);
  for (let i = 0; i < nx; i++)
    for (let j = 0; j < ny; j++) {
      let best = holds[i * ny + j] ?? 0;
      for (let k = 1; k < i; k++)
        best = Math.max(best, (holds[k * ny + j] ?? 0) + (holds[(backX[i * nx + k] ?? 0) * ny + j] ?? 0));
      for (let k = 1; k < j; k++)
        best = Math.max(best, (holds[i * ny + k] ?? 0) + (holds[i * ny + (backY[j * ny + k] ?? 0)] ?? 0));
      holds[i * ny + j] = best;
    }
  // What can still come beside and below: the last step first.
  const restX = xs.map((x) => lastUpTo(xs, wide - x));
  const restY = ys.map((y) => lastUpTo(ys, high - y));
  const rest = new Float64Array(nx * ny);
  for (let i = nx - 1; i >= 0; i--)
    for (let j = ny - 1; j >= 0; j--) {
      let best = 0;
      for (let k = i + 1; k < nx; k++) {
        const beside = lastUpToFrom(backX, nx, k, i);
        best = Math.max(best, (rest[k * ny + j] ?? 0) + (holds[beside * ny + j] ?? 0));
      }
      for (let k = j + 1; k < ny; k++) {
        const below = lastUpToFrom(backY, ny, k, j);
        best = Math.max(best, (rest[i * ny + k] ?? 0) + (holds[i * ny + below] ?? 0));
      }
      best = Math.max(best, holds[(restX[i] ?? 0) * ny + j] ?? 0, holds[i * ny + (restY[j] ?? 0)] ?? 0);
      rest[i * ny + j] = best;
    }
  const placeX = new Map(xs.map((x, i) => [x, i]));
  const placeY = new Map(ys.map((y, i) => [y, i]));
  return (w, h) => {
    const [i, j] = [placeX.get(w), placeY.get(h)];
    return i === undefined || j === undefined ? dearest * (wide * high - w * h) : (rest[i * ny + j] ?? 0);
  };
}

/** For each two lengths, the place of the longest one that is not more than what the second leaves of the first. */
function table(lengths: readonly number[]): Int32Array {
  const n = lengths.length;
  const back = new Int32Array(n * n);
  for (let i = 0; i < n; i++)
    for (let k = 0; k <= i; k++) back[i * n + k] = lastUpTo(lengths, (lengths[i] ?? 0) - (lengths[k] ?? 0));
  return back;
}
const lastUpToFrom = (back: Int32Array, n: number, of: number, less: number): number =>
  back[of * n + less] ?? 0;
