import { estimate, within, type Estimate } from '../measure/estimate';
import { mustMeasure } from './positive';

/** What a rod or board is made of. */
export type BeamMaterial =
  'steel' | 'aluminium' | 'hardwood' | 'softwood' | 'plywood' | 'chipboard' | 'acrylic';

/**
 * Modulus of elasticity along the grain, MPa, and the share by which pieces of one name differ. Steel, aluminium: EN 1993-1-1
 * 3.2.6, EN 1999-1-1 3.2.5. Woods: Forest Products Laboratory, Wood Handbook, FPL-GTR-282 (2021), tables 5-3 and 12-1; boards
 * creep, so under a load that stays expect up to twice as much. Acrylic: ISO 7823-1.
 */
export const MODULUS_MPA: Readonly<Record<BeamMaterial, { readonly value: number; readonly share: number }>> =
  {
    steel: { value: 210_000, share: 0.02 },
    aluminium: { value: 70_000, share: 0.02 },
    hardwood: { value: 11_500, share: 0.2 },
    softwood: { value: 9_000, share: 0.2 },
    plywood: { value: 8_000, share: 0.25 },
    chipboard: { value: 2_700, share: 0.25 },
    acrylic: { value: 3_000, share: 0.1 },
  };

/** The section that bends: a round rod, a round tube, or a board lying flat; µm. */
export type BeamSection =
  | { readonly shape: 'rod'; readonly diameterUm: number }
  | { readonly shape: 'tube'; readonly diameterUm: number; readonly wallUm: number }
  | { readonly shape: 'board'; readonly widthUm: number; readonly thicknessUm: number };

/** Second moment of area, mm⁴, of a section of lengths in mm. */
function secondMoment(section: BeamSection): number {
  const mm = (um: number): number => um / 1000;
  switch (section.shape) {
    case 'rod':
      return (Math.PI * mm(section.diameterUm) ** 4) / 64;
    case 'tube': {
      const inner = Math.max(0, mm(section.diameterUm) - 2 * mm(section.wallUm));
      return (Math.PI * (mm(section.diameterUm) ** 4 - inner ** 4)) / 64;
    }
    case 'board':
      return (mm(section.widthUm) * mm(section.thicknessUm) ** 3) / 12;
  }
}

const G = 9.80665;
const SAG =
  '5 w L⁴ ÷ 384 E I: a beam on two ends under a load spread evenly (Gere & Goodno, Mechanics of Materials)';

/**
 * How far a rod or board that lies on its two ends sags in the middle, µm: `loadMg` spread evenly over an unbraced `spanUm`.
 * A brace halves the span, and a sixteenth of the sag is left. Throws RangeError for what is no length.
 */
export function sag(
  { section, material }: { readonly section: BeamSection; readonly material: BeamMaterial },
  spanUm: number,
  loadMg: number,
): Estimate {
  const { shape: _, ...sides } = section;
  mustMeasure('The section', sides, 'above nothing');
  mustMeasure('The span', { spanUm, loadMg }, 'nothing or more');
  const { value, share } = MODULUS_MPA[material];
  const moment = secondMoment(section);
  const newtons = (loadMg / 1e6) * G;
  // Total load W = w L, so 5 W L³ / 384 E I: N, mm, MPa give mm.
  return estimate(
    (load, modulus) => ((5 * load * (spanUm / 1000) ** 3) / (384 * modulus * moment)) * 1000,
    [within(newtons, 0.1), within(value, share)],
    SAG,
  );
}

/** Share of a span a shelf or rod may sag before one sees it: a three-hundredth, as furniture is judged. */
const SEEN_SHARE = 1 / 300;
/** Whether so long a span wants a brace in the middle: its sag would be seen. */
export const wantsBrace = (sagged: Estimate, spanUm: number): boolean => sagged.value > spanUm * SEEN_SHARE;
