/**
 * The normal quantile of a probability between 0 and 1 (Abramowitz & Stegun 26.2.23, to 0.00045). ±Infinity at and beyond the ends.
 */
export function normalQuantile(p: number): number {
  if (p <= 0) return -Infinity;
  if (p >= 1) return Infinity;
  if (p > 0.5) return -normalQuantile(1 - p);
  const t = Math.sqrt(-2 * Math.log(p));
  const above = 2.515517 + t * (0.802853 + t * 0.010328);
  const below = 1 + t * (1.432788 + t * (0.189269 + t * 0.001308));
  return above / below - t;
}

/** The quantile of Fisher's F at a normal quantile z (Paulson 1942: cube roots of F are nearly normal). Degrees of freedom one, two. */
export function quantileOfF(one: number, two: number, z: number): number {
  const [p, q] = [2 / (9 * one), 2 / (9 * two)];
  // ((1 − q)·x − (1 − p)) / √(q·x² + p) = z for x = F^(1/3)
  const a = (1 - q) ** 2 - z * z * q;
  const b = -2 * (1 - q) * (1 - p);
  const c = (1 - p) ** 2 - z * z * p;
  const root = Math.sqrt(Math.max(0, b * b - 4 * a * c));
  // With hardly anything known it has no end.
  if (a <= 0) return z > 0 ? Infinity : Math.max(0, (2 * c) / (-b + root)) ** 3;
  return Math.max(0, (-b + (z >= 0 ? root : -root)) / (2 * a)) ** 3;
}
