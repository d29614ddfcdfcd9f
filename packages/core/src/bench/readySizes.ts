import type { FlatSize } from '../stash/holding';

const IN = 25_400;
const MM = 1000;

export type ReadyWhat = 'base' | 'panel' | 'mat' | 'envelope' | 'strip';
/** A size that is cut often: flat, as it comes out of the sheet. */
export interface ReadySize extends FlatSize {
  readonly what: ReadyWhat;
  /** What it is for: the finished card. */
  readonly card: string;
}

/** The square an envelope for a card is folded from: the card lies across it, its corners meet over it. */
function envelopeSide(width: number, height: number, over: number): number {
  return (width + height) / Math.SQRT2 + over;
}

function sizesFor(
  card: string,
  width: number,
  height: number,
  unit: number,
  round: number,
  over: number,
): ReadySize[] {
  const um = (length: number): number => Math.round(length / round) * round * unit;
  const margin = over / 2;
  const side = Math.ceil(envelopeSide(width, height, 2 * over) / round) * round * unit;
  return [
    { what: 'base', card, widthUm: um(2 * width), heightUm: um(height) },
    { what: 'panel', card, widthUm: um(width - over), heightUm: um(height - over) },
    { what: 'mat', card, widthUm: um(width - margin), heightUm: um(height - margin) },
    { what: 'envelope', card, widthUm: side, heightUm: side },
  ];
}

/** Sizes in inches: folded cards of 4 1/4 × 5 1/2, 5 × 7 and 5 × 5; panels 1/4 in smaller, mats 1/8. */
const INCHES: readonly ReadySize[] = [
  ...sizesFor('4 1/4 × 5 1/2 in', 4.25, 5.5, IN, 1 / 8, 1 / 4),
  ...sizesFor('5 × 7 in', 5, 7, IN, 1 / 8, 1 / 4),
  ...sizesFor('5 × 5 in', 5, 5, IN, 1 / 8, 1 / 4),
  { what: 'strip', card: '12 in long', widthUm: IN, heightUm: 12 * IN },
];
/** Sizes of the A series: cards that fold to A6, A5 and 14 cm square; panels 10 mm smaller, mats 5. */
const A_SIZES: readonly ReadySize[] = [
  ...sizesFor('A6', 105, 148, MM, 1, 10),
  ...sizesFor('A5', 148, 210, MM, 1, 10),
  ...sizesFor('14 cm square', 140, 140, MM, 1, 10),
  { what: 'strip', card: 'A4 long', widthUm: 25 * MM, heightUm: 297 * MM },
];

/** Sizes cut often, by the person's way of measuring. */
export const readySizes = (units: 'metric' | 'inches'): readonly ReadySize[] =>
  units === 'inches' ? INCHES : A_SIZES;
