import { ask } from './attributes';
import { envelope, formsOf, type KindDefinition } from './definition';

export const ribbon: KindDefinition = {
  id: 'ribbon',
  name: 'Ribbon',
  plural: 'Ribbons',
  defaultForm: 'spool',
  attributes: [
    ask.choice(
      'material',
      'Material',
      'satin|grosgrain|organza|velvet|velour|cotton|twill|burlap|lace|paper|twine|yarn|trim',
      { ask: 'first' },
    ),
    ask.length('width', 'Width', '5/8 in, 16 mm', { ask: 'first' }),
    ask.choice('pattern', 'Pattern', 'solid|stripe|dot|print|theme', { ask: 'first', start: 'solid' }),
    ask.text('theme', 'Theme'),
    ask.length('spoolOuter', 'Spool, outside across', '56 mm', { forms: ['spool'] }),
    ask.length('spoolCore', 'Core, across', '25 mm', { forms: ['spool'] }),
    ask.length('bore', 'Hole, across', '8 mm', { forms: ['spool'] }),
    ask.length('cardWidth', 'Card, along the winding', '40 mm', { forms: ['card-wound'] }),
    ask.length('thickness', 'Thickness', '0.3 mm; measure ten layers'),
    ask.mass('emptyMass', 'Mass of the empty spool', '10 g', { forms: ['spool'] }),
    ask.mass('metreMass', 'Mass of a metre', '4 g'),
    ask.flag('wired', 'Wired edge'),
  ],
};

/** Low at 1 m; bought by the 9.144 m (10 yd) roll. All lengths in µm. */
const roll = {
  counting: 'length',
  end: 'ring',
  keptIn: ['ribbon-box'],
  lowAt: 1_000_000,
  usualPurchase: 9_144_000,
  traits: ['fades'],
  avoid: ['stains', 'leaks'],
  // Remnants, each of a length.
  parts: ['scrap'],
} as const;
const spooled = {
  wants: 'any',
  because: 'On a rod everything comes off to change one spool; in a gutter each lifts out.',
} as const;

export const ribbonForms = formsOf('ribbon', [
  {
    id: 'spool',
    name: 'spool',
    envelope: envelope(56, 56, 25),
    massG: 35,
    orientation: spooled,
    ...roll,
    keptIn: ['ribbon-pegs'],
  },
  { id: 'card-wound', name: 'card-wound', envelope: envelope(45, 70, 8), massG: 12, ...roll },
  { id: 'hank', name: 'hank', envelope: envelope(50, 90, 20), massG: 20, ...roll },
]);
