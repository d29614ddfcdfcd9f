import { ask } from './attributes';
import { envelope, formsOf, type KindDefinition, type Orientation } from './definition';

export const cardstock: KindDefinition = {
  id: 'cardstock',
  name: 'Cardstock',
  plural: 'Cardstock',
  defaultForm: 'sheet-12',
  attributes: [
    ask.choice(
      'paper',
      'Paper',
      'plain|patterned|vellum|glitter|metallic|holographic|foil|acetate|watercolour|mixed media|toned',
      { ask: 'first', start: 'plain' },
    ),
    ask.paper('weight', 'Weight', { ask: 'first' }),
    ask.choice('surface', 'Surface', 'smooth|toothy|linen|hot press|cold press'),
    ask.choice('core', 'Core', 'same colour|white core'),
    ask.text('goodFor', 'Good for'),
    ask.text('theme', 'Theme'),
    ask.length('sheetWidth', 'Sheet width', '12 in, 21 cm'),
    ask.length('sheetHeight', 'Sheet height', '12 in, 29.7 cm'),
    ask.number('perPack', 'Sheets in a pack'),
    ask.mass('tenMass', 'Mass of ten sheets', '130 g, weighed'),
    ask.flag('acidFree', 'Acid free'),
  ],
};

const standing: Orientation = {
  wants: 'upright',
  because: 'Upright between dividers it can be leafed through; leaning, it curls.',
};
/** Calliper of card of 216 g/m² at a bulk of 1.25 cm³/g, µm. */
const SHEET_UM = 270;

const sheets = {
  counting: 'sheets',
  end: 'edge',
  keptIn: ['card-file'],
  lowAt: 4,
  usualPurchase: 10,
  piles: { along: 'widthUm', eachUm: SHEET_UM },
  orientation: standing,
  traits: ['fades', 'heavy', 'scratched easily'],
  avoid: ['sheds glitter', 'leaks'],
} as const;
const small = { ...sheets, keptIn: ['small-file', 'card-file'] } as const;
const whole = { ...sheets, parts: ['pack', 'base', 'scrap'] } as const;

/** Envelopes are those of about twenty sheets standing upright in a divider; masses are those of one sheet of 216 g/m². */
export const cardstockForms = formsOf('cardstock', [
  { id: 'sheet-12', name: '12 × 12 in', envelope: envelope(8, 305, 305), massG: 20, ...whole },
  { id: 'sheet-letter', name: 'letter', envelope: envelope(8, 280, 216), massG: 13, ...whole },
  { id: 'sheet-a4', name: 'A4', envelope: envelope(8, 297, 210), massG: 13.5, ...whole },
  { id: 'cut-base', name: 'cut base', envelope: envelope(8, 140, 108), massG: 6.5, ...small },
  { id: 'scrap', name: 'scrap', envelope: envelope(4, 140, 140), massG: 2, ...small, lowAt: 0 },
  { id: 'pad-6', name: '6 × 6 in pad', envelope: envelope(10, 155, 155), massG: 5, ...small },
]);

/** Sheet sizes of the forms that have one, in µm: width, height. */
export const SHEET_SIZE_UM: Readonly<Record<string, readonly [number, number]>> = {
  'sheet-12': [304_800, 304_800],
  'sheet-letter': [215_900, 279_400],
  'sheet-a4': [210_000, 297_000],
  'pad-6': [152_400, 152_400],
};
