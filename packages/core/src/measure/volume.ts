import { decimals, fraction, measureReader, type MeasureRefusal, type ParsedMeasure } from './said';

/** Volumes are whole microlitres. An ounce on a bottle is the US fluid ounce, 29.5735295625 ml. */

const UL_PER_FLUID_OUNCE = 29_573.5295625;
const STEPS: Readonly<Record<string, number>> = {
  ul: 1,
  ml: 1_000,
  cc: 1_000,
  cl: 10_000,
  l: 1_000_000,
  'fl oz': UL_PER_FLUID_OUNCE,
  floz: UL_PER_FLUID_OUNCE,
  oz: UL_PER_FLUID_OUNCE,
};
export type VolumeUnit = 'ml' | 'fl oz';

/** More than 100 litres is a slip of the finger. */
const read = measureReader(STEPS, 1e8);

/** Reads a volume as bottles say it: `12 ml`, `1/2 oz`, `0.5 fl oz`. A bare number is taken in `assumed`. Whole µl, or why not. */
export const parseVolume = (text: string, assumed: VolumeUnit = 'ml'): ParsedMeasure | MeasureRefusal =>
  read(text, assumed);

/** Writes microlitres in the given unit; ounces as fractions to the nearest 1/16. */
export const printVolume = (ul: number, unit: VolumeUnit): string =>
  unit === 'ml' ? `${decimals(ul / 1_000, 3)} ml` : `${fraction(ul / UL_PER_FLUID_OUNCE, 16)} fl oz`;
