import { woundAcross, woundOnCard, type Estimate } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { sayLength, type Units } from '../copy/measure';
import { many } from '../copy/words';

/** A card or a core where this ribbon says nothing of its own, µm. */
const USUAL_CARD = { widthUm: 40_000, thicknessUm: 1000 };
const USUAL_CORE_UM = 25_000;
const MM = 1000;

const about = ({ value, low, high }: Estimate, units: Units): string => {
  const [least, most] = [low, high].map((um) => sayLength(Math.round(um / MM) * MM, units));
  return least === most
    ? `about ${most}`
    : `about ${sayLength(Math.round(value / MM) * MM, units)} (${least} to ${most})`;
};

/** How what is left of a ribbon lies on a card and on a core, once its thickness was measured. */
export function windingLines(
  { kind, facts, stock }: SupplyView,
  units: Units,
): (readonly [string, string])[] {
  const { thickness, cardWidth, spoolCore } = facts.attributes ?? {};
  if (kind !== 'ribbon' || typeof thickness !== 'number' || thickness <= 0 || stock.left <= 0) return [];
  const winding = { lengthUm: stock.left, thicknessUm: thickness };
  const card =
    typeof cardWidth === 'number' && cardWidth > 0 ? { ...USUAL_CARD, widthUm: cardWidth } : USUAL_CARD;
  const core = typeof spoolCore === 'number' && spoolCore > 0 ? spoolCore : USUAL_CORE_UM;
  const { turns, thickUm } = woundOnCard(winding, card);
  return [
    [
      'On a card',
      `${sayLength(card.widthUm, units)} along the turn: ${many(turns, 'turn')}, ${about(thickUm, units)} thick`,
    ],
    ['On a core', `of ${sayLength(core, units)}: ${about(woundAcross(winding, core), units)} across`],
  ];
}
