import { envelope, formsOf, type KindDefinition } from './definition';

export const marker: KindDefinition = {
  id: 'marker',
  name: 'Marker',
  plural: 'Markers',
  defaultForm: 'alcohol-dual',
};

const pen = { counting: 'fill', end: 'round', usualPurchase: 1 } as const;

export const markerForms = formsOf('marker', [
  {
    id: 'alcohol-dual',
    name: 'alcohol dual-tip',
    envelope: envelope(16, 16, 150),
    usesPerFill: 40,
    lowAt: 8,
    ...pen,
  },
  {
    id: 'water-brush',
    name: 'water-based brush',
    envelope: envelope(13, 13, 155),
    usesPerFill: 40,
    lowAt: 8,
    ...pen,
  },
  { id: 'paint', name: 'paint marker', envelope: envelope(15, 15, 140), usesPerFill: 30, lowAt: 6, ...pen },
  {
    id: 'gel',
    name: 'gel or metallic pen',
    envelope: envelope(11, 11, 145),
    usesPerFill: 40,
    lowAt: 8,
    ...pen,
  },
  { id: 'pencil', name: 'pencil', envelope: envelope(8, 8, 178), usesPerFill: 80, lowAt: 16, ...pen },
]);
