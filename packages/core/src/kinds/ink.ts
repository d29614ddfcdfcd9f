import { ask } from './attributes';
import { envelope, formsOf, type KindDefinition, type Orientation, type Partner } from './definition';

const BOTTLES = ['refill', 'spray', 'drops'] as const;

export const ink: KindDefinition = {
  id: 'ink',
  name: 'Ink',
  plural: 'Inks',
  defaultForm: 'full-pad',
  attributes: [
    ask.choice(
      'chemistry',
      'Chemistry',
      'dye|pigment|chalk|water-reactive dye|hybrid|permanent solvent|watermark or embossing|alcohol',
      { ask: 'first', start: 'dye' },
    ),
    ask.volume('volume', 'Holds', '12 ml, 1/2 oz', { forms: BOTTLES }),
    ask.mass('emptyMass', 'Mass empty', '8 g, for weighing what is left', { forms: BOTTLES }),
    ask.mass('fullMass', 'Mass full', '21 g', { forms: BOTTLES }),
    ask.choice('pad', 'Pad', 'felt|foam', { forms: ['full-pad', 'wide-pad', 'mini-pad'] }),
  ],
};

const flat: Orientation = {
  wants: 'flat',
  because:
    'Stood on edge or open side up, the ink runs to one side; people differ, so this is only a warning.',
};
const standing: Orientation = {
  wants: 'upright',
  because: 'On its side a bottle can leak; upright or hung cap down it does not.',
};
const partners: readonly Partner[] = [
  { kind: 'ink', form: 'refill', name: 'its refill', by: 'colour name' },
  { kind: 'companion', form: 'foam', name: 'a blending foam or brush', by: 'colour name' },
  { kind: 'cardstock', name: 'card of the same colour name', by: 'colour name' },
  { kind: 'marker', name: 'a marker of the same colour name', by: 'colour name' },
];
const bottle = {
  counting: 'fill',
  end: 'cap',
  keptIn: ['bottle-grid'],
  usualPurchase: 1,
  orientation: standing,
  traits: ['leaks', 'stains'],
  piles: { along: 'widthUm' },
} as const;
const pad = {
  counting: 'fill',
  end: 'bar',
  keptIn: ['pad-rack'],
  usualPurchase: 1,
  orientation: flat,
  partners,
  traits: ['stains'],
  piles: { along: 'heightUm' },
} as const;

export const inkForms = formsOf('ink', [
  {
    id: 'full-pad',
    name: 'full pad',
    envelope: envelope(98, 20, 66),
    massG: 62,
    usesPerFill: 60,
    lowAt: 12,
    ...pad,
  },
  {
    id: 'wide-pad',
    name: 'wide pad',
    envelope: envelope(132, 20, 66),
    massG: 85,
    usesPerFill: 80,
    lowAt: 16,
    ...pad,
    keptIn: ['wide-pad-rack'],
  },
  {
    id: 'mini-pad',
    name: 'mini pad',
    envelope: envelope(34, 22, 34),
    massG: 14,
    usesPerFill: 24,
    lowAt: 5,
    ...pad,
  },
  {
    id: 'refill',
    name: 'refill bottle',
    envelope: envelope(24, 76, 24),
    massG: 22,
    usesPerFill: 12,
    lowAt: 3,
    volumeUl: 12_000,
    ...bottle,
  },
  {
    id: 'spray',
    name: 'spray',
    envelope: envelope(34, 120, 34),
    massG: 80,
    usesPerFill: 40,
    lowAt: 8,
    volumeUl: 60_000,
    ...bottle,
  },
  {
    id: 'drops',
    name: 'drops',
    envelope: envelope(26, 68, 26),
    massG: 24,
    usesPerFill: 40,
    lowAt: 8,
    volumeUl: 15_000,
    ...bottle,
  },
]);
