import { decimals, readSaid, type MeasureRefusal } from './said';

/**
 * Paper weight. A pound weight is the mass of 500 sheets of the grade's basic size, so it means nothing
 * without its basis: 110 lb cover is half as heavy again as 110 lb index.
 * Basic sizes in inches: TAPPI T 410 "Grammage of paper and paperboard"; ISO 536 for g/m².
 */
const BASIC_SIZE_IN = {
  cover: [20, 26],
  index: [25.5, 30.5],
  text: [25, 38],
  bond: [17, 22],
  bristol: [22.5, 28.5],
  tag: [24, 36],
} as const;
export const PAPER_BASES = ['cover', 'index', 'text', 'bond', 'bristol', 'tag'] as const;
export type PaperBasis = (typeof PAPER_BASES)[number];

/** A paper's weight: hundredths of g/m², with the basis it was said in, so that it is shown as it is known. */
export interface PaperWeight {
  /** Hundredths of a gram per square metre, whole. */
  readonly cgsm: number;
  /** Null when said in g/m². */
  readonly basis: PaperBasis | null;
}

const GRAMS_PER_POUND = 453.59237;
const M2_PER_IN2 = 0.0254 * 0.0254;
const SHEETS = 500;

/** g/m² that one pound of a basis makes. */
const gsmPerPound = (basis: PaperBasis): number => {
  const [width, height] = BASIC_SIZE_IN[basis];
  return GRAMS_PER_POUND / (SHEETS * width * height * M2_PER_IN2);
};

/** Pounds of a basis to g/m². */
export const gsmOfPounds = (pounds: number, basis: PaperBasis): number => pounds * gsmPerPound(basis);
/** g/m² to pounds of a basis. */
export const poundsOfGsm = (gsm: number, basis: PaperBasis): number => gsm / gsmPerPound(basis);

const GSM = new Set(['gsm', 'g/m2', 'g/m²', 'g', 'g/qm']);
const POUND = /^(?:lbs?|#|pounds?)\s*([a-z]+)?$/;
const BASIS_WORDS: Readonly<Record<string, PaperBasis>> = {
  cover: 'cover',
  card: 'cover',
  cardstock: 'cover',
  index: 'index',
  text: 'text',
  book: 'text',
  offset: 'text',
  bond: 'bond',
  writing: 'bond',
  bristol: 'bristol',
  tag: 'tag',
};
/** Heavier than any board: 2,000 g/m². */
const MOST_CGSM = 200_000;

export type PaperWeightRefusal = MeasureRefusal | { ok: false; code: 'basis_missing'; given: string };

/**
 * Reads a paper weight: `110 lb cover`, `65lb index`, `80# text`, `216 gsm`, or a bare `216` as g/m².
 * Pounds without a basis are refused with `basis_missing`: guessing would be wrong by up to a factor of three.
 */
export function parsePaperWeight(text: string): { ok: true; weight: PaperWeight } | PaperWeightRefusal {
  // "g/m2" carries a digit; write it as gsm before reading.
  const said = readSaid(text.replace(/g\s*\/\s*m\s*(2|²)/i, 'gsm'));
  if (!said.ok) return said;
  const given = text.trim();
  const weigh = (gsm: number, basis: PaperBasis | null) => {
    const cgsm = Math.round(gsm * 100);
    return cgsm > MOST_CGSM
      ? ({ ok: false, code: 'too_much', given } as const)
      : ({ ok: true, weight: { cgsm, basis } } as const);
  };
  if (said.unit === '' || GSM.has(said.unit)) return weigh(said.value, null);
  const pound = POUND.exec(said.unit);
  if (!pound) return { ok: false, code: 'unclear', given };
  if (!pound[1]) return { ok: false, code: 'basis_missing', given };
  const basis = BASIS_WORDS[pound[1]];
  return basis ? weigh(gsmOfPounds(said.value, basis), basis) : { ok: false, code: 'unclear', given };
}

/** Writes a weight as it is known: `110 lb cover`, `216 gsm`. */
export const printPaperWeight = ({ cgsm, basis }: PaperWeight): string =>
  basis ? `${decimals(poundsOfGsm(cgsm / 100, basis), 1)} lb ${basis}` : `${decimals(cgsm / 100, 2)} gsm`;
