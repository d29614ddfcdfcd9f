import { envelope, formsOf, type KindDefinition } from './definition';

export const cardstock: KindDefinition = {
  id: 'cardstock',
  name: 'Cardstock',
  plural: 'Cardstock',
  defaultForm: 'sheet-12',
};

const sheets = { counting: 'sheets', end: 'edge', lowAt: 4, usualPurchase: 10 } as const;

/** Envelopes are those of about twenty sheets standing upright in a divider. */
export const cardstockForms = formsOf('cardstock', [
  { id: 'sheet-12', name: '12 × 12 in', envelope: envelope(8, 305, 305), ...sheets },
  { id: 'sheet-letter', name: 'letter', envelope: envelope(8, 280, 216), ...sheets },
  { id: 'sheet-a4', name: 'A4', envelope: envelope(8, 297, 210), ...sheets },
  { id: 'cut-base', name: 'cut base', envelope: envelope(8, 140, 108), ...sheets },
  { id: 'scrap', name: 'scrap', envelope: envelope(4, 140, 140), ...sheets, lowAt: 0 },
  { id: 'pad-6', name: '6 × 6 in pad', envelope: envelope(10, 155, 155), ...sheets },
]);
