import { printLength, type Cut, type CutPart, type CutPlan, type ReadySize } from '@red-shelf/core';
import type { Units } from './measure';
import { many } from './words';

/** At the trimmer one unit is read throughout. */
const sayOnTrimmer = (um: number, units: Units): string => printLength(um, units === 'inches' ? 'in' : 'mm');

/** "95 × 138 mm", "4 × 5 1/4 in". */
export function saySize({ widthUm, heightUm }: Pick<CutPart, 'widthUm' | 'heightUm'>, units: Units): string {
  const width = sayOnTrimmer(widthUm, units).replace(/ (mm|in)$/, '');
  return `${width} × ${sayOnTrimmer(heightUm, units)}`;
}

const WHAT = { base: 'Base', panel: 'Panel', mat: 'Mat', envelope: 'Envelope', strip: 'Strip' } as const;
/** "Base A6", "Strip A4 long". */
export const sayReady = ({ what, card }: ReadySize): string => `${WHAT[what]} ${card}`;

/** One cut as it is told to somebody at the trimmer. */
export function sayCut(cut: Cut, whole: boolean, units: Units): string {
  const of = whole ? 'the sheet' : `the part of ${saySize(cut, units)}`;
  return cut.way === 'down'
    ? `Cut ${of} from top to bottom, ${sayOnTrimmer(cut.atUm, units)} from its left edge`
    : `Cut ${of} from side to side, ${sayOnTrimmer(cut.atUm, units)} from its upper edge`;
}

/** What a plan takes, and how sure it is that nothing is better. */
export function sayPlan({ used, newSheets, cuts, provenBest }: CutPlan): string {
  const scraps = used.length - newSheets;
  const from = [
    ...(scraps > 0 ? [many(scraps, 'scrap')] : []),
    ...(newSheets > 0 ? [many(newSheets, 'new sheet')] : []),
  ];
  const sure = provenBest
    ? 'No plan takes fewer.'
    : 'A good plan; with so many panels not every way could be looked at, so a better one may exist.';
  return `${many(cuts, 'cut')} in ${from.join(' and ')}. ${sure}`;
}
