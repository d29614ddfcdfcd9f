import type { EnvelopeMm, Kind, VisibleEnd } from '../kinds/definition';
import { envelope } from '../kinds/definition';

/** A kind of unit a person can put up, with sizes to start from. */
export interface UnitTemplate {
  readonly id: string;
  readonly name: string;
  /** Kinds it is made for; others are refused a place by Arrange unless the person says so. */
  readonly holds: readonly Kind[];
  readonly end: VisibleEnd;
  readonly rows: number;
  readonly columns: number;
  readonly slot: EnvelopeMm;
  /** Wall between slots, mm. */
  readonly wallMm: number;
  /** How much of the lowest part of each slot the front hides, mm. */
  readonly frontMm: number;
}

export const UNIT_TEMPLATES: readonly UnitTemplate[] = [
  {
    id: 'pad-rack',
    name: 'Pad rack',
    holds: ['ink'],
    end: 'bar',
    rows: 12,
    columns: 5,
    slot: envelope(102, 22, 70),
    wallMm: 4,
    frontMm: 0,
  },
  {
    id: 'marker-tray',
    name: 'Marker tray',
    holds: ['marker'],
    end: 'round',
    rows: 5,
    columns: 16,
    slot: envelope(18, 18, 140),
    wallMm: 3,
    frontMm: 0,
  },
  {
    id: 'bottle-grid',
    name: 'Bottle grid',
    holds: ['ink'],
    end: 'cap',
    rows: 6,
    columns: 12,
    slot: envelope(36, 122, 36),
    wallMm: 3,
    frontMm: 40,
  },
  {
    id: 'card-file',
    name: 'Card file',
    holds: ['cardstock'],
    end: 'edge',
    rows: 1,
    columns: 40,
    slot: envelope(10, 310, 310),
    wallMm: 2,
    frontMm: 220,
  },
  {
    id: 'ribbon-pegs',
    name: 'Ribbon pegs',
    holds: ['ribbon'],
    end: 'ring',
    rows: 4,
    columns: 8,
    slot: envelope(60, 60, 40),
    wallMm: 4,
    frontMm: 0,
  },
  {
    id: 'sticker-album',
    name: 'Sticker album',
    holds: ['sticker'],
    end: 'pocket',
    rows: 4,
    columns: 6,
    slot: envelope(100, 140, 4),
    wallMm: 4,
    frontMm: 0,
  },
  {
    id: 'wide-pad-rack',
    name: 'Wide pad rack',
    holds: ['ink'],
    end: 'bar',
    rows: 10,
    columns: 4,
    slot: envelope(136, 22, 70),
    wallMm: 4,
    frontMm: 0,
  },
  {
    id: 'small-file',
    name: 'Small file',
    holds: ['cardstock'],
    end: 'edge',
    rows: 1,
    columns: 40,
    slot: envelope(12, 170, 165),
    wallMm: 2,
    frontMm: 110,
  },
  {
    id: 'ribbon-box',
    name: 'Ribbon box',
    holds: ['ribbon'],
    end: 'ring',
    rows: 2,
    columns: 10,
    slot: envelope(54, 95, 30),
    wallMm: 3,
    frontMm: 0,
  },
  {
    id: 'large-pockets',
    name: 'Large pockets',
    holds: ['sticker', 'companion'],
    end: 'pocket',
    rows: 2,
    columns: 6,
    slot: envelope(160, 190, 16),
    wallMm: 4,
    frontMm: 0,
  },
  {
    id: 'roll-pegs',
    name: 'Roll pegs',
    holds: ['sticker'],
    end: 'ring',
    rows: 4,
    columns: 8,
    slot: envelope(50, 50, 40),
    wallMm: 4,
    frontMm: 0,
  },
  {
    id: 'small-drawers',
    name: 'Small drawers',
    holds: ['companion'],
    end: 'pocket',
    rows: 6,
    columns: 4,
    slot: envelope(75, 95, 95),
    wallMm: 4,
    frontMm: 30,
  },
  {
    id: 'tall-tubes',
    name: 'Tall tubes',
    holds: ['companion'],
    end: 'cap',
    rows: 1,
    columns: 10,
    slot: envelope(65, 320, 50),
    wallMm: 3,
    frontMm: 200,
  },
];

export const findTemplate = (id: string): UnitTemplate | undefined =>
  UNIT_TEMPLATES.find((template) => template.id === id);
