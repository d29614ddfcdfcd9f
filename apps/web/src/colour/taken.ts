import type { TAKEN } from '@red-shelf/core';

/** A colour taken in one of the ways, and how. */
export interface TakenColour {
  readonly hex: string;
  readonly taken: (typeof TAKEN)[number];
  /** Mean CIEDE2000 of what was averaged. */
  readonly spread?: number;
  /** Other colours of a patterned thing. */
  readonly others?: readonly string[];
}
