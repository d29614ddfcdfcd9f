import { envelope } from '../../kinds/definition';
import { cells, type UnitTemplate } from './make';

/** Racks and trays with cells. */
export const GRIDS: readonly UnitTemplate[] = [
  {
    id: 'pad-rack',
    name: 'Pad rack',
    holds: ['ink'],
    end: 'bar',
    model: cells(12, 5, envelope(102, 22, 70), 4),
  },
  {
    id: 'marker-tray',
    name: 'Marker tray',
    holds: ['marker'],
    end: 'round',
    model: cells(5, 16, envelope(18, 18, 140), 3),
  },
  {
    id: 'bottle-grid',
    name: 'Bottle grid',
    holds: ['ink'],
    end: 'cap',
    model: cells(6, 12, envelope(36, 122, 36), 3, 40),
  },
  {
    id: 'card-file',
    name: 'Card file',
    holds: ['cardstock'],
    end: 'edge',
    model: cells(1, 40, envelope(10, 310, 310), 2, 220),
  },
  {
    id: 'ribbon-pegs',
    name: 'Ribbon pegs',
    holds: ['ribbon'],
    end: 'ring',
    model: cells(4, 8, envelope(60, 60, 40), 4),
  },
  {
    id: 'sticker-album',
    name: 'Sticker album',
    holds: ['sticker'],
    end: 'pocket',
    model: cells(4, 6, envelope(100, 140, 4), 4),
  },
  {
    id: 'wide-pad-rack',
    name: 'Wide pad rack',
    holds: ['ink'],
    end: 'bar',
    model: cells(10, 4, envelope(136, 22, 70), 4),
  },
  {
    id: 'small-file',
    name: 'Small file',
    holds: ['cardstock'],
    end: 'edge',
    model: cells(1, 40, envelope(12, 170, 165), 2, 110),
  },
  {
    id: 'ribbon-box',
    name: 'Ribbon box',
    holds: ['ribbon'],
    end: 'ring',
    model: cells(2, 10, envelope(54, 95, 30), 3),
  },
  {
    id: 'large-pockets',
    name: 'Large pockets',
    holds: ['sticker', 'companion'],
    end: 'pocket',
    model: cells(2, 6, envelope(160, 190, 16), 4),
  },
  {
    id: 'roll-pegs',
    name: 'Roll pegs',
    holds: ['sticker'],
    end: 'ring',
    model: cells(4, 8, envelope(50, 50, 40), 4),
  },
  {
    id: 'small-drawers',
    name: 'Small drawers',
    holds: ['companion'],
    end: 'pocket',
    model: cells(6, 4, envelope(75, 95, 95), 4, 30),
  },
  {
    id: 'tall-tubes',
    name: 'Tall tubes',
    holds: ['companion'],
    end: 'cap',
    model: cells(1, 10, envelope(65, 320, 50), 3, 200),
  },
];
