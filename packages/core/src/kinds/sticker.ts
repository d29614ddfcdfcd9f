import { ask } from './attributes';
import { envelope, formsOf, type KindDefinition } from './definition';

export const sticker: KindDefinition = {
  id: 'sticker',
  name: 'Stickers',
  plural: 'Stickers',
  defaultForm: 'sheet',
  attributes: [
    ask.choice('style', 'Style', 'character|foil|alphabet|numbers|phrase|washi|icon|deco', { ask: 'first' }),
    ask.text('purpose', 'For', { ask: 'first', like: 'coffee, Mondays: the first is its home' }),
    ask.choice('season', 'Season', 'all year|spring|summer|autumn|winter|holiday', { start: 'all year' }),
    ask.text('theme', 'Subject'),
    ask.length('sheetWidth', 'Sheet width', '4 in, 10 cm'),
    ask.length('sheetHeight', 'Sheet height', '6 in, 15 cm'),
    ask.text('letters', 'Letters left', { forms: ['sheet', 'book', 'bits'] }),
    ask.flag('partUsed', 'Part used'),
  ],
};

const pieces = {
  counting: 'pieces',
  end: 'pocket',
  keptIn: ['sticker-album'],
  lowAt: 1,
  usualPurchase: 1,
  traits: ['fades'],
  avoid: ['leaks', 'stains'],
} as const;

export const stickerForms = formsOf('sticker', [
  {
    id: 'sheet',
    name: 'sheet',
    envelope: envelope(95, 130, 1),
    massG: 3,
    ...pieces,
    piles: { along: 'depthUm', eachUm: 250 },
    // Sheets that were begun.
    parts: ['scrap'],
  },
  {
    id: 'book',
    name: 'book',
    envelope: envelope(120, 178, 12),
    massG: 90,
    ...pieces,
    keptIn: ['large-pockets'],
  },
  { id: 'roll', name: 'roll', envelope: envelope(45, 45, 30), massG: 25, ...pieces, keptIn: ['roll-pegs'] },
  {
    id: 'kit',
    name: 'kit',
    envelope: envelope(130, 180, 8),
    massG: 40,
    ...pieces,
    keptIn: ['large-pockets'],
  },
  {
    id: 'bits',
    name: 'bits',
    envelope: envelope(90, 120, 2),
    massG: 4,
    ...pieces,
    lowAt: 10,
    usualPurchase: 20,
  },
]);
