import { ciede2000, hexOfLab, type Lab } from './lab';

/** Several readings as one: the mean in CIELAB, and the mean CIEDE2000 of the readings from it. */
export function averageReadings(readings: readonly Lab[]): { hex: string; spread: number } | null {
  if (readings.length === 0) return null;
  const sum = readings.reduce((s, r) => ({ l: s.l + r.l, a: s.a + r.a, b: s.b + r.b }), { l: 0, a: 0, b: 0 });
  const n = readings.length;
  const mean = { l: sum.l / n, a: sum.a / n, b: sum.b / n };
  return { hex: hexOfLab(mean), spread: readings.reduce((s, r) => s + ciede2000(mean, r), 0) / n };
}
