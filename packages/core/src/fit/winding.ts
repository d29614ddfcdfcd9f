import { estimate, figure, within, type Estimate } from '../measure/estimate';
import { mustMeasure } from './positive';

/** Ribbon is soft and is wound as somebody winds it: a layer is as thick as it was measured, give or take a fifth. */
const LAYER_SHARE = 0.2;
const RULER_UM = 500;

/** Ribbon to be wound, µm: how much of it, and how thick one layer is. */
export interface Winding {
  readonly lengthUm: number;
  readonly thicknessUm: number;
}

const ROUND = 'd² + 4 L t ÷ π: the ring a winding fills has the area of the ribbon seen from its edge';
const FLAT = 'n turns of 2 w + π c, each 2 π t longer than the one below: L = n (2 w + π c) + π t n²';

/** How far across ribbon is once it is wound on a round core so far across, µm. Throws RangeError for what is no length. */
export function woundAcross({ lengthUm, thicknessUm }: Winding, coreUm: number): Estimate {
  mustMeasure('The winding', { thicknessUm }, 'above nothing');
  mustMeasure('The winding', { lengthUm, coreUm }, 'nothing or more');
  return estimate(
    (core, length, thickness) => Math.sqrt(core ** 2 + (4 * length * thickness) / Math.PI),
    [figure(coreUm, Math.min(RULER_UM, coreUm)), figure(lengthUm, 0), within(thicknessUm, LAYER_SHARE)],
    ROUND,
  );
}

/** A flat card, µm: how wide it is along a turn, and how thick. */
export interface WindingCard {
  readonly widthUm: number;
  readonly thicknessUm: number;
}

/**
 * How ribbon lies on a flat card: turns, and how thick card and ribbon are together, µm. Throws RangeError for what is no length.
 */
export function woundOnCard(
  { lengthUm, thicknessUm }: Winding,
  card: WindingCard,
): { readonly turns: number; readonly thickUm: Estimate } {
  mustMeasure('The winding', { thicknessUm }, 'above nothing');
  mustMeasure('The card', card, 'above nothing');
  mustMeasure('The winding', { lengthUm }, 'nothing or more');
  const turnsOf = (layer: number): number => {
    const first = 2 * card.widthUm + Math.PI * card.thicknessUm;
    return (Math.sqrt(first ** 2 + 4 * Math.PI * layer * lengthUm) - first) / (2 * Math.PI * layer);
  };
  return {
    turns: Math.ceil(turnsOf(thicknessUm) - 1e-9),
    thickUm: estimate(
      (layer) => card.thicknessUm + 2 * layer * turnsOf(layer),
      [within(thicknessUm, LAYER_SHARE)],
      FLAT,
    ),
  };
}

/** A page of pockets, both its sides counted. */
export interface PocketPage {
  readonly pockets: number;
  /** Sheets that go into one pocket. */
  readonly perPocket: number;
  /** How thick an empty page is, µm. */
  readonly thicknessUm: number;
}

/**
 * Pages so many sheets need, and how thick the book is at its spine with them, µm; `leastUm` of it are covers and rings. Throws RangeError
 * for what cannot be counted.
 */
export function pagesFor(
  sheets: number,
  sheetUm: number,
  page: PocketPage,
  leastUm = 0,
): { readonly pages: number; readonly spineUm: number } {
  mustMeasure('A page', page, 'above nothing');
  mustMeasure('The sheets', { sheets, sheetUm, leastUm }, 'nothing or more');
  const pages = Math.ceil(sheets / (Math.floor(page.pockets) * Math.floor(page.perPocket)));
  return { pages, spineUm: leastUm + Math.ceil(pages * page.thicknessUm + sheets * sheetUm) };
}
