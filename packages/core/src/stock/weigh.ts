/** One reading of a scale: what it shows, mg, at a time, ms since anything. */
export interface ScaleReading {
  readonly at: number;
  readonly mg: number;
}

/** A scale has settled once it shows the same, within so much, for so long. */
const WITHIN_MG = 30;
const FOR_MS = 900;

/** The mass a scale has settled at, mg, the mean of its last readings; null while it still moves. Linear. */
export function settledAt(readings: readonly ScaleReading[]): number | null {
  const last = readings.at(-1);
  if (!last) return null;
  const recent = readings.filter(({ at }) => last.at - at <= FOR_MS);
  const began = readings.some(({ at }) => last.at - at >= FOR_MS);
  const masses = recent.map(({ mg }) => mg);
  if (!began || Math.max(...masses) - Math.min(...masses) > WITHIN_MG) return null;
  return Math.round(masses.reduce((sum, mg) => sum + mg, 0) / masses.length);
}

/** With nothing on it a scale that shows more than this is tared first, mg. */
const ZERO_MG = 50;
export const needsTare = (emptyReadingMg: number): boolean => Math.abs(emptyReadingMg) > ZERO_MG;

/** Inks by what they are thinned with, g for 1 ml; alcohol at 20 °C is 0.79, its inks a little more with what is dissolved in them. */
const DENSITY = { alcohol: 0.82, water: 1 } as const;
export const densityOf = (chemistry: unknown): number =>
  typeof chemistry === 'string' && /alcohol|solvent/.test(chemistry) ? DENSITY.alcohol : DENSITY.water;

/** How full something is by its mass, and what still goes in. */
export interface RoomByMass {
  /** 0 empty, 1 full; more where it is overfilled. */
  readonly share: number;
  /** What it takes before it overfills, mg and µl; 0 where it is full. */
  readonly roomMg: number;
  readonly roomUl: number;
}

/** A pen is filled to nine tenths: what is filled to the brim leaks when it warms. */
const FILLED_TO = 0.9;

/**
 * What goes into a pen or a bottle before it overfills, from its masses empty, full and now, mg; `density` in g/ml. Null where the masses
 * cannot be: full no heavier than empty, or lighter now than empty by more than a scale errs.
 */
export function roomByMass(
  masses: { readonly emptyMg: number; readonly fullMg: number; readonly nowMg: number },
  density: number,
): RoomByMass | null {
  const { emptyMg, fullMg, nowMg } = masses;
  const holds = fullMg - emptyMg;
  if (holds <= 0 || nowMg < emptyMg - WITHIN_MG) return null;
  const inIt = Math.max(0, nowMg - emptyMg);
  const roomMg = Math.max(0, Math.round(FILLED_TO * holds - inIt));
  return { share: inIt / holds, roomMg, roomUl: Math.round(roomMg / density) };
}
