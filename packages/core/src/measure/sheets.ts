import { estimate, figure, within, wholes, type Estimate } from './estimate';

/** How many sheets there are, without counting them. Lengths in µm, masses in mg, weights in hundredths of g/m². */

/** Calliper of uncoated card is about 1.25 times its grammage (bulk 1.25 cm³/g, ± 8%). */
const BULK_CM3_PER_G = within(1.25, 0.08);
/** A stack is read off a ruler to half a millimetre, and pressed flat more or less. */
const RULER_UM = 500;
/** Cut sheets and grammage vary by about 2.5% between batches (ISO 536 tolerances of the trade). */
const GRAMMAGE_SHARE = 0.025;
/** A kitchen scale shows whole grams. */
const SCALE_MG = 600;

const STACK = 'stack height ÷ (grammage × bulk); bulk of uncoated card 1.25 cm³/g ± 8%';
const MASS = 'mass ÷ (grammage × area), ISO 536';
const TEN = 'mass ÷ (mass of the weighed sheets ÷ their number)';

/** Sheets in a stack of a height, from the paper's weight. Height is measured with a ruler, pressed by hand. */
export function sheetsFromStack(heightUm: number, cgsm: number): Estimate {
  return wholes(
    estimate(
      // g/m² × cm³/g = µm
      (height, gsm, bulk) => height / (gsm * bulk),
      [figure(heightUm, RULER_UM), within(cgsm / 100, GRAMMAGE_SHARE), BULK_CM3_PER_G],
      STACK,
    ),
  );
}

/** Sheets in a pile of a mass, from the paper's weight and sheet size. */
export function sheetsFromMass(massMg: number, cgsm: number, widthUm: number, heightUm: number): Estimate {
  const areaM2 = (widthUm / 1e6) * (heightUm / 1e6);
  return wholes(
    estimate(
      (mass, gsm) => mass / 1_000 / (gsm * areaM2),
      [figure(massMg, SCALE_MG), within(cgsm / 100, GRAMMAGE_SHARE)],
      MASS,
    ),
  );
}

/** Sheets in a pile of a mass when some sheets of the same card were weighed: the better way. */
export function sheetsFromWeighed(massMg: number, weighedMg: number, weighedSheets: number): Estimate {
  return wholes(
    estimate(
      (mass, weighed) => mass / (weighed / weighedSheets),
      [figure(massMg, SCALE_MG), figure(weighedMg, SCALE_MG)],
      TEN,
    ),
  );
}
