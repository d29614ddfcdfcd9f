import { ask } from './attributes';
import { envelope, formsOf, type KindDefinition, type Orientation } from './definition';

const FILLED = ['alcohol-dual', 'water-brush', 'paint', 'gel'] as const;

export const marker: KindDefinition = {
  id: 'marker',
  name: 'Marker',
  plural: 'Markers',
  defaultForm: 'alcohol-dual',
  attributes: [
    ask.choice('tips', 'Tips', 'brush + chisel|brush + fine|chisel + fine|brush|fine|chisel|bullet', {
      forms: FILLED,
    }),
    ask.choice('barrel', 'Barrel', 'round|square|oval|triangular', { start: 'round' }),
    ask.choice('lead', 'Lead', 'wax|oil|watercolour|pastel', {
      ask: 'first',
      forms: ['pencil'],
      start: 'wax',
    }),
    ask.mass('emptyMass', 'Mass empty', '9.5 g, for weighing what is left', { forms: FILLED }),
    ask.mass('fullMass', 'Mass full', '12.3 g', { forms: FILLED }),
  ],
};

const level: Orientation = {
  wants: 'level',
  because: 'Two tips on one well: on end, one tip floods and the other runs dry.',
};
const tipDown: Orientation = {
  wants: 'tip down',
  because: 'A single brush tip stays wet when it points down.',
};
const anyWay: Orientation = { wants: 'any', because: 'It does not mind.' };
const pen = {
  counting: 'fill',
  end: 'round',
  keptIn: ['marker-tray'],
  usualPurchase: 1,
  piles: { along: 'widthUm' },
} as const;
const refilled = [
  { kind: 'ink', form: 'refill', name: 'its refill', by: 'colour name' },
  { kind: 'cardstock', name: 'card of the same colour name', by: 'colour name' },
] as const;

export const markerForms = formsOf('marker', [
  {
    id: 'alcohol-dual',
    name: 'alcohol dual-tip',
    envelope: envelope(16, 16, 150),
    massG: 13,
    usesPerFill: 40,
    lowAt: 8,
    orientation: level,
    partners: refilled,
    ...pen,
  },
  {
    id: 'water-brush',
    name: 'water-based brush',
    envelope: envelope(13, 13, 155),
    massG: 10,
    usesPerFill: 40,
    lowAt: 8,
    orientation: tipDown,
    ...pen,
  },
  {
    id: 'paint',
    name: 'paint marker',
    envelope: envelope(15, 15, 140),
    massG: 18,
    usesPerFill: 30,
    lowAt: 6,
    orientation: level,
    ...pen,
  },
  {
    id: 'gel',
    name: 'gel or metallic pen',
    envelope: envelope(11, 11, 145),
    massG: 10,
    usesPerFill: 40,
    lowAt: 8,
    orientation: tipDown,
    ...pen,
  },
  {
    id: 'pencil',
    name: 'pencil',
    envelope: envelope(8, 8, 178),
    massG: 6,
    usesPerFill: 80,
    lowAt: 16,
    orientation: anyWay,
    ...pen,
  },
]);
