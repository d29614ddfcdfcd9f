import type { Supply } from './supply';

/** Sheets in a pack where nobody said how many. */
const USUAL_PACK = 25;

/** How many sheets an unopened pack of a supply holds. */
export const packSizeOf = ({ facts: { attributes } }: Pick<Supply, 'facts'>): number =>
  typeof attributes?.perPack === 'number' && attributes.perPack > 0 ? attributes.perPack : USUAL_PACK;
