import { envelope, formsOf, type KindDefinition } from './definition';

export const ink: KindDefinition = {
  id: 'ink',
  name: 'Ink',
  plural: 'Inks',
  defaultForm: 'full-pad',
};

const bottle = { counting: 'fill', end: 'cap', usualPurchase: 1 } as const;
const pad = { counting: 'fill', end: 'bar', usualPurchase: 1 } as const;

export const inkForms = formsOf('ink', [
  { id: 'full-pad', name: 'full pad', envelope: envelope(98, 20, 66), usesPerFill: 60, lowAt: 12, ...pad },
  { id: 'wide-pad', name: 'wide pad', envelope: envelope(132, 20, 66), usesPerFill: 80, lowAt: 16, ...pad },
  { id: 'mini-pad', name: 'mini pad', envelope: envelope(34, 22, 34), usesPerFill: 24, lowAt: 5, ...pad },
  {
    id: 'refill',
    name: 'refill bottle',
    envelope: envelope(24, 76, 24),
    usesPerFill: 12,
    lowAt: 3,
    ...bottle,
  },
  { id: 'spray', name: 'spray', envelope: envelope(34, 120, 34), usesPerFill: 40, lowAt: 8, ...bottle },
  { id: 'drops', name: 'drops', envelope: envelope(26, 68, 26), usesPerFill: 40, lowAt: 8, ...bottle },
]);
