import { envelope, formsOf, type KindDefinition } from './definition';

export const ribbon: KindDefinition = {
  id: 'ribbon',
  name: 'Ribbon',
  plural: 'Ribbons',
  defaultForm: 'spool',
};

/** Low at 1 m; bought by the 9.144 m (10 yd) roll. All lengths in µm. */
const roll = { counting: 'length', end: 'ring', lowAt: 1_000_000, usualPurchase: 9_144_000 } as const;

export const ribbonForms = formsOf('ribbon', [
  { id: 'spool', name: 'spool', envelope: envelope(56, 56, 25), ...roll },
  { id: 'card-wound', name: 'card-wound', envelope: envelope(45, 70, 8), ...roll },
  { id: 'hank', name: 'hank', envelope: envelope(50, 90, 20), ...roll },
]);
