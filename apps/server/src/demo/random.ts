/** A repeatable stream of numbers in [0, 1): mulberry32. The same seed always makes the same room. */
export function randomStream(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

export type Random = ReturnType<typeof randomStream>;

export const between = (random: Random, low: number, high: number): number => low + random() * (high - low);
export const wholeBetween = (random: Random, low: number, high: number): number =>
  Math.floor(between(random, low, high + 1));
