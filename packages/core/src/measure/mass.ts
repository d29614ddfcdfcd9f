import { decimals, fraction, measureReader, type MeasureRefusal, type ParsedMeasure } from './said';

/** Masses are whole milligrams: 1/8 oz is 3543.69 mg, so every eighth of an ounce survives the round trip. */

const MG_PER_OUNCE = 28_349.523125;
const STEPS: Readonly<Record<string, number>> = {
  mg: 1,
  g: 1_000,
  gram: 1_000,
  grams: 1_000,
  kg: 1_000_000,
  oz: MG_PER_OUNCE,
  ounce: MG_PER_OUNCE,
  ounces: MG_PER_OUNCE,
  lb: 16 * MG_PER_OUNCE,
  lbs: 16 * MG_PER_OUNCE,
};
export type MassUnit = 'g' | 'kg' | 'oz' | 'lb';

/** Heavier than a tonne is a slip of the finger. */
const read = measureReader(STEPS, 1e9);

/** Reads a mass as people say it: `14 g`, `1/2 oz`, `1.2 kg`. A bare number is taken in `assumed`. Whole mg, or why not. */
export const parseMass = (text: string, assumed: MassUnit = 'g'): ParsedMeasure | MeasureRefusal =>
  read(text, assumed);

/** Writes milligrams in the given unit; ounces as fractions to the nearest 1/8. */
export function printMass(mg: number, unit: MassUnit): string {
  switch (unit) {
    case 'g':
      return `${decimals(mg / 1_000, 3)} g`;
    case 'kg':
      return `${decimals(mg / 1e6, 6)} kg`;
    case 'oz':
      return `${fraction(mg / MG_PER_OUNCE, 8)} oz`;
    case 'lb':
      return `${decimals(mg / (16 * MG_PER_OUNCE), 3)} lb`;
  }
}
