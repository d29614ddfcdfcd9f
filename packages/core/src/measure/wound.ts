import { estimate, figure, within, type Estimate } from './estimate';

/** How much ribbon is left, without unrolling it. Lengths in µm, masses in mg; answers in µm. */

/** Diameters and card widths are read off a ruler to half a millimetre. */
const RULER_UM = 500;
/** Ribbon thickness varies, and winds with some air: a tenth. */
const THICKNESS_SHARE = 0.1;
const SCALE_MG = 600;

const SPIRAL = 'π (D² − d²) ÷ 4t: the area of the wound ring over the thickness';
const TURNS = 'n × 2 (card width + card thickness) + π t n²: each layer is 2πt longer than the last';
const MASS = '(mass now − empty) ÷ mass per metre';

/** Usual thickness of a ribbon by its material, in µm; a tape measure over ten layers is better. */
export const RIBBON_THICKNESS_UM: Readonly<Record<string, number>> = {
  satin: 180,
  grosgrain: 350,
  organza: 130,
  velvet: 900,
  cotton: 450,
  twill: 450,
  burlap: 1_100,
  lace: 500,
  paper: 200,
  velour: 800,
  twine: 1_500,
  yarn: 2_000,
};
export const USUAL_RIBBON_THICKNESS_UM = 300;

/** Ribbon on a spool from its wound outer diameter and the core's diameter. */
export const ribbonFromWound = (outerUm: number, coreUm: number, thicknessUm: number): Estimate =>
  estimate(
    (outer, core, t) => (Math.PI * (outer ** 2 - core ** 2)) / (4 * t),
    [figure(outerUm, RULER_UM), figure(coreUm, RULER_UM), within(thicknessUm, THICKNESS_SHARE)],
    SPIRAL,
  );

/** Ribbon wound flat on a card: from the number of turns, the card's width along the winding and its thickness. */
export const ribbonFromTurns = (
  turns: number,
  cardWidthUm: number,
  cardThicknessUm: number,
  thicknessUm: number,
): Estimate =>
  estimate(
    (n, width, card, t) => n * 2 * (width + card) + Math.PI * t * n ** 2,
    [
      figure(turns, 0.5),
      figure(cardWidthUm, RULER_UM),
      figure(cardThicknessUm, 100),
      within(thicknessUm, THICKNESS_SHARE),
    ],
    TURNS,
  );

/** Ribbon from its mass: what it weighs now, the empty spool, and what one metre weighs. */
export const ribbonFromMass = (nowMg: number, emptyMg: number, mgPerMetre: number): Estimate =>
  estimate(
    (now, empty, metre) => ((now - empty) / metre) * 1e6,
    [figure(nowMg, SCALE_MG), figure(emptyMg, SCALE_MG), within(mgPerMetre, 0.03)],
    MASS,
  );
