/**
 * A length no round through all nodes can be shorter than: the best 1-tree over node prices that are moved step by step (Held & Karp
 * 1970, 1971). `cost` row by row, the same both ways; `upper` is the length of a round that was found.
 */
export function leastRound(n: number, cost: Float64Array, upper: number): number {
  const price = new Float64Array(n);
  const degree = new Int32Array(n);
  const near = new Float64Array(n);
  const from = new Int32Array(n);
  const inside = new Uint8Array(n);
  const apart = n - 1;
  const at = (i: number, j: number): number => cost[i * n + j]! + price[i]! + price[j]!;
  let best = -Infinity;
  let step = 2;
  let since = 0;
  for (let round = 0; round < 800 && step > 1e-4; round++) {
    degree.fill(0);
    inside.fill(0);
    near.fill(Infinity);
    inside[0] = inside[apart] = 1;
    let total = 0;
    // A shortest tree over all nodes but one (Prim 1957) …
    for (let last = 0, left = n - 2; left > 0; left--) {
      let next = -1;
      for (let j = 1; j < apart; j++) {
        if (inside[j]) continue;
        const value = at(last, j);
        if (value < near[j]!) {
          near[j] = value;
          from[j] = last;
        }
        if (next < 0 || near[j]! < near[next]!) next = j;
      }
      total += near[next]!;
      inside[next] = 1;
      degree[next]!++;
      degree[from[next]!]!++;
      last = next;
    }
    // … and that one hung on by its two shortest edges.
    const [one, two] = Array.from({ length: apart }, (_, j) => j).sort((p, q) => at(apart, p) - at(apart, q));
    total += at(apart, one!) + at(apart, two!);
    degree[apart] = 2;
    degree[one!]!++;
    degree[two!]!++;
    const value = total - 2 * price.reduce((sum, each) => sum + each, 0);
    if (value > best + 1e-7) {
      best = value;
      since = 0;
    } else if (++since > 15) {
      step /= 2;
      since = 0;
    }
    const off = degree.reduce((sum, each) => sum + (each - 2) ** 2, 0);
    if (off === 0) break;
    for (let j = 0; j < n; j++) price[j]! += (step * (upper - value) * (degree[j]! - 2)) / off;
  }
  return best;
}
