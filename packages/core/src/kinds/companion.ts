import { ask } from './attributes';
import { envelope, formsOf, type KindDefinition } from './definition';

/** Everything else worth finding: a lighter record. Things with no colour file by name or number. */
export const companion: KindDefinition = {
  id: 'companion',
  name: 'Companion',
  plural: 'Companions',
  defaultForm: 'gems',
  attributes: [
    ask.text('theme', 'Theme', { ask: 'first' }),
    ask.text('number', 'Number'),
    ask.length('size', 'Size', '4 mm'),
    ask.text('matches', 'Goes with', { forms: ['stamp', 'die', 'stencil', 'foam'] }),
    ask.number('pieces', 'Pieces in the set', { forms: ['stamp', 'die', 'stencil'] }),
    ask.number('missing', 'Pieces missing', { forms: ['stamp', 'die', 'stencil'] }),
  ],
};

const pieces = { counting: 'pieces', end: 'pocket', keptIn: ['small-drawers'], usualPurchase: 1 } as const;
const few = { ...pieces, lowAt: 0 } as const;
const flat = { ...few, keptIn: ['large-pockets'] } as const;
const plain = { colourless: true } as const;
const tall = { ...few, keptIn: ['tall-tubes'] } as const;
const many = { ...pieces, lowAt: 10, usualPurchase: 50 } as const;
const jar = {
  counting: 'fill',
  end: 'cap',
  keptIn: ['small-drawers'],
  usualPurchase: 1,
  usesPerFill: 40,
  lowAt: 8,
} as const;
const stampPartner = { kind: 'companion', form: 'die', name: 'its matching die', by: 'number' } as const;
const diePartner = { kind: 'companion', form: 'stamp', name: 'its matching stamp', by: 'number' } as const;

export const companionForms = formsOf('companion', [
  { id: 'gems', name: 'gems', envelope: envelope(60, 90, 4), massG: 8, ...many },
  { id: 'buttons', name: 'buttons', envelope: envelope(60, 60, 25), massG: 30, ...many },
  { id: 'beads', name: 'beads or sequins', envelope: envelope(40, 40, 25), massG: 20, ...many },
  { id: 'powder', name: 'powder', envelope: envelope(45, 50, 45), massG: 40, ...jar },
  {
    id: 'glitter',
    name: 'glitter',
    envelope: envelope(35, 70, 35),
    massG: 35,
    ...jar,
    traits: ['sheds glitter', 'scratches'],
  },
  { id: 'foil', name: 'foil', envelope: envelope(40, 310, 40), massG: 50, ...tall },
  { id: 'foam', name: 'blending foam or brush', envelope: envelope(30, 30, 30), massG: 4, ...few },
  {
    id: 'stamp',
    name: 'stamp',
    envelope: envelope(140, 180, 5),
    massG: 60,
    ...flat,
    ...plain,
    partners: [stampPartner],
  },
  {
    id: 'die',
    name: 'die',
    envelope: envelope(140, 180, 3),
    massG: 50,
    ...flat,
    ...plain,
    partners: [diePartner],
  },
  { id: 'stencil', name: 'stencil', envelope: envelope(155, 155, 1), massG: 10, ...flat, ...plain },
  { id: 'punch', name: 'punch', envelope: envelope(70, 60, 90), massG: 220, ...few, ...plain },
  { id: 'folder', name: 'embossing folder', envelope: envelope(130, 180, 4), massG: 45, ...flat, ...plain },
  { id: 'tool', name: 'tool', envelope: envelope(60, 200, 30), massG: 150, ...tall, ...plain },
  { id: 'made', name: 'made piece', envelope: envelope(108, 140, 2), massG: 6, ...flat },
  { id: 'half-made', name: 'half-made piece', envelope: envelope(108, 140, 2), massG: 4, ...flat },
  { id: 'other', name: 'something else', envelope: envelope(60, 60, 30), massG: 30, ...few, ...plain },
]);
