import { KINDS, ROOM_ID, type UnitFacts } from '@red-shelf/core';
import type { StashDocument } from '@red-shelf/contract';
import {
  at,
  BEAD_BOX,
  BENCH,
  BOARD,
  MM,
  outside,
  PAPER_DRAWER,
  PEG_ROD,
  SHELVES,
  SILL,
  SILL_GUTTER,
  TOWER,
  UPPER_TRAY,
} from './places';
import { demoUnit, type Given } from './units';

type Unit = StashDocument['units'][number];

const piece = (id: string, position: number, name: string, facts: UnitFacts, parentId = ROOM_ID): Unit => ({
  id,
  version: 1,
  parentId,
  sort: 'piece',
  position,
  label: '',
  name,
  model: null,
  rules: { kinds: [...KINDS] },
  facts,
  removedAt: null,
});

/** The furniture along the boathouse wall; a bay of the shelves is open still. */
export const PIECES: readonly Unit[] = [
  piece(BENCH, 0, 'Work bench', { ...at(0, 0), ...outside(1500, 740, 650), fixedTo: 'nothing', seat: true }),
  piece(BOARD, 1, 'Board over the bench', { ...at(0, 1150), ...outside(1250, 640, 20), fixedTo: 'wall' }),
  piece(SILL, 2, 'Windowsill', { ...at(1640, 820), ...outside(1080, 30, 220), marks: ['sun'] }),
  piece(TOWER, 3, 'Drawer tower', { ...at(2860, 0), ...outside(420, 900, 420), fixedTo: 'nothing' }),
  piece(SHELVES, 4, 'Tall shelves', { ...at(3420, 0), ...outside(660, 1900, 350), fixedTo: 'wall' }),
  piece('demo-bay', 5, 'Open bay', { ...at(20, 20), ...outside(620, 300, 330) }, SHELVES),
];

/** What came with the furniture: a rod, a gutter in the sun, a drawer of papers under a tray that is lifted. */
const CAME_WITH: readonly (Given & { readonly id: string })[] = [
  { id: PEG_ROD, template: 'spool-rod', name: 'Spool rod', parentId: BOARD, facts: at(560, 300) },
  { id: SILL_GUTTER, template: 'gutter', name: 'Sill gutter', parentId: SILL, facts: at(30, 30) },
  {
    id: PAPER_DRAWER,
    template: 'shallow-drawer',
    name: 'Paper drawer',
    parentId: TOWER,
    rules: { kinds: ['cardstock', 'sticker'] },
    facts: { ...at(30, 620), opens: 'pulled out' },
  },
  {
    id: UPPER_TRAY,
    template: 'box',
    name: 'Upper tray',
    parentId: PAPER_DRAWER,
    model: { widthUm: 300 * MM, heightUm: 28 * MM, depthUm: 200 * MM },
    rules: { kinds: ['companion'] },
    facts: { ...at(20, 30), covers: true, tolerance: 'anywhere' },
  },
  {
    id: BEAD_BOX,
    template: 'compartment-box',
    name: 'Bead box',
    parentId: BENCH,
    facts: { ...at(900, 740), lies: true, opens: 'lid' },
  },
];

export const cameWith = (position: number): Unit[] =>
  CAME_WITH.map(({ id, ...given }, i) => demoUnit(id, 'KLMNO'[i] ?? 'Z', position + i, given));
