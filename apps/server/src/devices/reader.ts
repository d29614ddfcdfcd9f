import { hexOfLab, labOf } from '@red-shelf/core';

/**
 * A simulated handheld colour reader: held on a colour it answers CIELAB with the noise of a real one,
 * about 0.4 ΔE from reading to reading and a little more when it is held badly.
 */
const NOISE = { l: 0.35, a: 0.3, b: 0.35 } as const;
/** One reading in twelve is taken with the reader tilted. */
const TILTED = 1 / 12;
const TILT_FACTOR = 4;

/** Two uniform numbers to one normal. Source: Box & Muller, Ann. Math. Stat. 29 (1958). */
const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

export function readColour(
  on: string,
  random: () => number = Math.random,
): { hex: string; lab: { l: number; a: number; b: number } } {
  const lab = labOf(on);
  const factor = random() < TILTED ? TILT_FACTOR : 1;
  const noisy = {
    l: Math.min(100, Math.max(0, lab.l + NOISE.l * factor * normal(random))),
    a: lab.a + NOISE.a * factor * normal(random),
    b: lab.b + NOISE.b * factor * normal(random),
  };
  return { hex: hexOfLab(noisy), lab: noisy };
}
