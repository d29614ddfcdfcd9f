import { envelope, KINDS, type Kind, type Size, type VisibleEnd } from '../kinds/definition';
import { evenGrid } from './models/grid';
import type { GridModel } from './models/gridSchema';
import type { LooseModel } from './models/looseSchema';
import type { Model } from './models/models';
import type { RunModel } from './models/runSchema';
import type { StackModel } from './models/stackSchema';

/** A kind of unit a person can put up: sizes and rules to start from, all of which can be changed. */
export interface UnitTemplate {
  readonly id: string;
  readonly name: string;
  /** Kinds it is made for. */
  readonly holds: readonly Kind[];
  readonly end: VisibleEnd;
  readonly model: Model;
}

/** A rack of equal cells, in mm: the cell, the wall between cells, how much of each the front hides. */
const cells = (rows: number, columns: number, cell: Size, wallMm: number, frontMm = 0): GridModel =>
  evenGrid(rows, columns, cell, { wallUm: wallMm * 1000, frontUm: frontMm * 1000 });
const USUAL_FILL_PERCENT = 70;
/** A length that things share: how they do, its inside, and a lip in front or a rod, in mm. */
const run = (
  how: RunModel['how'],
  { widthUm, ...inside }: Size,
  { lipMm = 0, fingerMm = 0, rodMm }: { lipMm?: number; fingerMm?: number; rodMm?: number } = {},
): RunModel => ({
  model: 'run',
  how,
  lengthUm: widthUm,
  ...inside,
  lipUm: lipMm * 1000,
  fingerUm: fingerMm * 1000,
  ...(rodMm === undefined ? {} : { rodUm: rodMm * 1000 }),
});
const pile = (inside: Size, fingerMm: number): StackModel => ({
  model: 'stack',
  ...inside,
  fingerUm: fingerMm * 1000,
});
const box = (inside: Size): LooseModel => ({ model: 'loose', ...inside, fillPercent: USUAL_FILL_PERCENT });

export const UNIT_TEMPLATES: readonly UnitTemplate[] = [
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
  {
    id: 'spool-rod',
    name: 'Spool rod',
    holds: ['ribbon'],
    end: 'bar',
    model: run('rod', envelope(450, 110, 110), { rodMm: 12 }),
  },
  {
    id: 'spool-shelf',
    name: 'Spool shelf',
    holds: ['ribbon'],
    end: 'ring',
    model: run('stand', envelope(600, 100, 60), { lipMm: 20 }),
  },
  {
    id: 'gutter',
    name: 'Gutter',
    holds: ['ribbon', 'marker', 'companion'],
    end: 'ring',
    model: run('stand', envelope(1000, 80, 90), { lipMm: 40 }),
  },
  {
    id: 'bottle-rail',
    name: 'Bottle rail',
    holds: ['ink', 'companion'],
    end: 'cap',
    model: run('rail', envelope(400, 140, 50), { lipMm: 30 }),
  },
  {
    id: 'hook-rail',
    name: 'Hook rail',
    holds: ['ribbon', 'companion'],
    end: 'pocket',
    model: run('hooks', envelope(600, 200, 60)),
  },
  {
    id: 'magazine-file',
    name: 'Magazine file',
    holds: ['cardstock', 'sticker'],
    end: 'edge',
    model: run('file', envelope(100, 320, 320), { lipMm: 120, fingerMm: 10 }),
  },
  {
    id: 'sheet-file',
    name: 'Sheet file',
    holds: ['cardstock', 'sticker'],
    end: 'edge',
    model: run('file', envelope(380, 320, 320), { lipMm: 200, fingerMm: 40 }),
  },
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
];

export const findTemplate = (id: string): UnitTemplate | undefined =>
  UNIT_TEMPLATES.find((template) => template.id === id);
