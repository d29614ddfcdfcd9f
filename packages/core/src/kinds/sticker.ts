import { envelope, formsOf, type KindDefinition } from './definition';

export const sticker: KindDefinition = {
  id: 'sticker',
  name: 'Stickers',
  plural: 'Stickers',
  defaultForm: 'sheet',
};

const pieces = { counting: 'pieces', end: 'pocket', lowAt: 1, usualPurchase: 1 } as const;

export const stickerForms = formsOf('sticker', [
  { id: 'sheet', name: 'sheet', envelope: envelope(95, 130, 1), ...pieces },
  { id: 'book', name: 'book', envelope: envelope(120, 178, 12), ...pieces },
  { id: 'roll', name: 'roll', envelope: envelope(45, 45, 30), ...pieces },
  { id: 'kit', name: 'kit', envelope: envelope(130, 180, 8), ...pieces },
  { id: 'bits', name: 'bits', envelope: envelope(90, 120, 2), ...pieces, lowAt: 10, usualPurchase: 20 },
]);
