import { z } from 'zod';

/** An inside measure of a place, µm. */
export const side = (what: string) =>
  z
    .int(`${what} must be a measure, such as 35 mm.`)
    .min(5000, `${what} must be at least 5 mm.`)
    .max(3_000_000, `${what} may be at most 3 m.`);

/** A measure that may be nothing, µm. */
export const part = (what: string) =>
  z
    .int(`${what} must be a measure, such as 8 mm.`)
    .min(0, `${what} cannot be less than nothing.`)
    .max(3_000_000, `${what} may be at most 3 m.`);
