import type { EnvelopeMm } from '../kinds/definition';

/** A rack, tray or album whose slots are rows × columns of equal cells. */
export interface GridUnit {
  readonly id: string;
  /** Letter printed before every address in the unit. */
  readonly letter: string;
  readonly rows: number;
  readonly columns: number;
  /** Inside size of one slot, seen from the front. */
  readonly slot: EnvelopeMm;
}

export const slotCount = (unit: Pick<GridUnit, 'rows' | 'columns'>): number => unit.rows * unit.columns;

/** The address printed on the label: unit letter, row from the top, column from the left: `B2·04`. */
export function slotAddress(unit: Pick<GridUnit, 'letter' | 'columns'>, index: number): string {
  const row = Math.floor(index / unit.columns) + 1;
  const column = (index % unit.columns) + 1;
  return `${unit.letter}${row}·${String(column).padStart(2, '0')}`;
}

/** Why a thing cannot live in a slot, in measured values. */
export interface FitRefusal {
  readonly code: 'too_wide' | 'too_high' | 'too_deep';
  readonly needMm: number;
  readonly haveMm: number;
}

/** How far a thing may stand out of the front of its slot and still be held. */
const MAY_STICK_OUT = 0.25;

/**
 * Whether a thing of outside size `thing` goes into a slot of inside size `slot`, upright as its form stands.
 * Answers null when it fits. Depth may stick out by a quarter: that is what one grabs it by.
 */
export function fitInSlot(thing: EnvelopeMm, slot: EnvelopeMm): FitRefusal | null {
  if (thing.widthMm > slot.widthMm) return { code: 'too_wide', needMm: thing.widthMm, haveMm: slot.widthMm };
  if (thing.heightMm > slot.heightMm)
    return { code: 'too_high', needMm: thing.heightMm, haveMm: slot.heightMm };
  const needDepth = Math.round(thing.depthMm * (1 - MAY_STICK_OUT));
  if (needDepth > slot.depthMm) return { code: 'too_deep', needMm: needDepth, haveMm: slot.depthMm };
  return null;
}
