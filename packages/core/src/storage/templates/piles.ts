import { envelope, KINDS } from '../../kinds/definition';
import { box, pile, type UnitTemplate } from './make';

/** What lies on one another, or as it falls. */
export const PILES: readonly UnitTemplate[] = [
  {
    id: 'sheet-tray',
    name: 'Flat sheet tray',
    holds: ['cardstock', 'sticker'],
    end: 'bar',
    model: pile(envelope(320, 40, 320), 8),
  },
  {
    id: 'shallow-drawer',
    name: 'Shallow drawer',
    holds: ['cardstock', 'sticker', 'ink', 'companion'],
    end: 'bar',
    model: pile(envelope(350, 60, 400), 10),
  },
  {
    id: 'drawer',
    name: 'Drawer',
    holds: [...KINDS],
    end: 'pocket',
    model: box(envelope(300, 100, 350)),
  },
  {
    id: 'box',
    name: 'Box',
    holds: [...KINDS],
    end: 'pocket',
    model: box(envelope(250, 150, 180)),
  },
  {
    id: 'lifting-layer',
    name: 'Tray that lifts out of a drawer',
    holds: ['sticker', 'companion'],
    end: 'pocket',
    model: box(envelope(280, 45, 330)),
    facts: { covers: true },
  },
  {
    id: 'pad-bin',
    name: 'Pad bin',
    holds: ['ink', 'cardstock'],
    end: 'bar',
    model: pile(envelope(170, 200, 170), 30),
  },
  {
    id: 'tabbed-box',
    name: 'Tabbed box',
    holds: ['sticker', 'companion'],
    end: 'edge',
    model: box(envelope(300, 150, 160)),
    facts: { opens: 'lid' },
  },
  {
    id: 'jar',
    name: 'Jar',
    holds: ['companion'],
    end: 'cap',
    model: box(envelope(90, 120, 90)),
    facts: { opens: 'lid' },
  },
  {
    id: 'cup',
    name: 'Cup',
    holds: ['marker', 'companion'],
    end: 'round',
    model: box(envelope(80, 165, 80)),
  },
];
