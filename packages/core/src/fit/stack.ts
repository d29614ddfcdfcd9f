import { estimate, figure, within, type Estimate } from '../measure/estimate';
import { mustMeasure } from './positive';

export interface Sheet {
  readonly thicknessUm: number;
}
export interface StackOptions {
  /** Height that stays free above the pile for a finger, µm. */
  readonly fingerUm?: number;
  /** Share of the height that may be filled, 0 to 1; all of it when left out. */
  readonly fillShare?: number;
}

/** Sheets of one name differ, and lie with some air: a twentieth. */
const THICKNESS_SHARE = 0.05;
/** A height is read off a ruler to half a millimetre. */
const RULER_UM = 500;
const SHEETS = '(height − finger room) × share that may be filled ÷ thickness of a sheet ± 5%';
const HEIGHT = 'sheets × thickness ± 5% ÷ share that may be filled + finger room';

/** What fits is whole and never more than goes in. */
const downward = ({ value, low, high, source }: Estimate): Estimate => ({
  value: Math.floor(value + 1e-9),
  low: Math.floor(low + 1e-9),
  high: Math.floor(high + 1e-9),
  source,
});

function checked({ thicknessUm }: Sheet, { fingerUm = 0, fillShare = 1 }: StackOptions) {
  mustMeasure('A sheet', { thicknessUm }, 'above nothing');
  mustMeasure('The finger room', { fingerUm }, 'nothing or more');
  mustMeasure('The share that may be filled', { fillShare }, 'above nothing');
  return { thicknessUm, fingerUm, fillShare: Math.min(1, fillShare) };
}

/** How many sheets lie in a tray or drawer of an inside height. µm; throws RangeError for what is no length. */
export function stackCount(sheet: Sheet, heightUm: number, options: StackOptions = {}): Estimate {
  const { thicknessUm, fingerUm, fillShare } = checked(sheet, options);
  mustMeasure('The height', { heightUm }, 'nothing or more');
  return downward(
    estimate(
      (height, thickness) => (Math.max(0, height - fingerUm) * fillShare) / thickness,
      [figure(heightUm, Math.min(RULER_UM, heightUm)), within(thicknessUm, THICKNESS_SHARE)],
      SHEETS,
    ),
  );
}

/** The inside height so many sheets need, µm: the inverse of `stackCount`. */
export function stackHeight(sheet: Sheet, sheets: number, options: StackOptions = {}): Estimate {
  const { thicknessUm, fingerUm, fillShare } = checked(sheet, options);
  mustMeasure('The pile', { sheets }, 'nothing or more');
  return estimate(
    (thickness) => (sheets * thickness) / fillShare + fingerUm,
    [within(thicknessUm, THICKNESS_SHARE)],
    HEIGHT,
  );
}
