import { estimate, figure, type Estimate } from './estimate';

/** How full a pen or a bottle is, by weighing it. Masses in mg. */

/** A jewellery scale shows tenths of a gram. */
const SCALE_MG = 60;
const SOURCE = '(mass now − empty) ÷ (full − empty)';
/** Density of alcohol ink about 0.81 g/ml, of water-based ink about 1.0 g/ml. */
export const INK_DENSITY_MG_PER_UL = { alcohol: 0.81, water: 1 } as const;

export interface Fill {
  /** Share of a full one, 0–1. */
  readonly share: Estimate;
  /** Microlitres left. */
  readonly leftUl: Estimate;
  /** Microlitres that may be added before it overfills: the lower end of what is missing. */
  readonly mayAddUl: number;
}

/** Fill from mass now, empty and full. Answers null when full does not weigh more than empty. */
export function fillFromMass(
  nowMg: number,
  emptyMg: number,
  fullMg: number,
  ink: keyof typeof INK_DENSITY_MG_PER_UL,
): Fill | null {
  if (fullMg <= emptyMg) return null;
  const inputs = [figure(nowMg, SCALE_MG), figure(emptyMg, SCALE_MG), figure(fullMg, SCALE_MG)];
  const density = INK_DENSITY_MG_PER_UL[ink];
  const share = estimate((now, empty, full) => (now - empty) / (full - empty), inputs, SOURCE);
  const leftUl = estimate((now, empty) => (now - empty) / density, inputs, `${SOURCE}; ${density} g/ml`);
  const missing = estimate((now, _, full) => (full - now) / density, inputs, SOURCE);
  return {
    share: {
      ...share,
      value: Math.min(1, share.value),
      low: Math.min(1, share.low),
      high: Math.min(1, share.high),
    },
    leftUl,
    mayAddUl: Math.floor(missing.low),
  };
}
