import type { Lift, PlaceSpot } from '@red-shelf/core';
import type { Living } from '../../api/contents';

/** One lift of a plan as it is carried out now. */
export interface Step {
  readonly thing: Living;
  readonly from: PlaceSpot | null;
  /** Null where it is taken out. */
  readonly to: PlaceSpot | null;
  /** The lift of the list it is, the same one until the list is another. */
  readonly lift: Lift<string>;
}
