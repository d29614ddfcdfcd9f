import {
  findTemplate,
  ROOM_ID,
  type Kind,
  type Model,
  type UnitFacts,
  type UnitRules,
} from '@red-shelf/core';
import type { StashDocument } from '@red-shelf/contract';
import { at, BENCH, BOARD, SHELVES, TOWER } from './places';

type Unit = StashDocument['units'][number];

export const ODDS_DRAWER = 'demo-odds-drawer';
export const CUPBOARD = 'demo-cupboard';
export const SCRAP_POCKET = 'demo-scraps';
export const PALETTE_TRAY = 'demo-palette-tray';

export interface Given {
  readonly template: string;
  readonly name: string;
  readonly rows?: number;
  readonly columns?: number;
  readonly model?: Partial<Model>;
  readonly rules?: Partial<UnitRules>;
  readonly facts?: UnitFacts;
  readonly parentId?: string;
}

const times = <T>(list: readonly T[], count: number | undefined): T[] => {
  const [first] = list;
  return first === undefined || count === undefined ? [...list] : Array.from({ length: count }, () => first);
};

/** A unit of the demo room, started from a template. */
export function demoUnit(id: string, label: string, position: number, given: Given): Unit {
  const template = findTemplate(given.template);
  if (!template) throw new Error(`The demo knows no ${given.template}`);
  const start: Model =
    template.model.model === 'grid'
      ? {
          ...template.model,
          rowsUm: times(template.model.rowsUm, given.rows),
          columnsUm: times(template.model.columnsUm, given.columns),
        }
      : template.model;
  return {
    id,
    version: 1,
    parentId: given.parentId ?? ROOM_ID,
    sort: 'unit',
    position,
    label,
    name: given.name,
    model: { ...start, ...given.model } as Model,
    rules: { kinds: [...template.holds], ...given.rules },
    facts: { template: template.id, ...given.facts },
    removedAt: null,
  };
}

/** In a piece, so many mm from its left and its bottom. */
const on = (parentId: string, along: number, up: number, facts: UnitFacts = {}) => ({
  parentId,
  facts: { ...at(along, up), ...facts },
});

/** The five racks that everything is arranged in. */
export const RACKS: readonly Given[] = [
  {
    template: 'pad-rack',
    name: 'Pad rack',
    rows: 12,
    columns: 5,
    ...on(BOARD, 10, 310),
  },
  {
    template: 'marker-tray',
    name: 'Marker tray',
    rows: 4,
    columns: 21,
    ...on(BENCH, 60, 740),
  },
  { template: 'card-file', name: 'Card file', rows: 1, columns: 44, ...on(SHELVES, 60, 620) },
  { template: 'ribbon-pegs', name: 'Ribbon pegs', rows: 4, columns: 8, ...on(BOARD, 10, 20) },
  // A limit that is passed: something must leave.
  {
    template: 'sticker-album',
    name: 'Sticker album',
    rows: 5,
    columns: 5,
    rules: { cap: 18 },
    ...on(SHELVES, 60, 960),
  },
];

/** What stands beside them: a spare, a drawer, a far cupboard, a pocket for scraps, a tray kept for a palette. */
const BESIDE: readonly (Omit<Given, 'rules'> & {
  readonly id: string;
  readonly rules?: { readonly kinds: readonly Kind[] };
})[] = [
  {
    id: 'demo-spare-unit',
    template: 'pad-rack',
    name: 'Narrow pad rack',
    rows: 8,
    columns: 3,
    facts: { standing: 'spare' as const, keptAt: 'the loft' },
  },
  {
    id: ODDS_DRAWER,
    template: 'drawer',
    name: 'Odds drawer',
    rules: { kinds: ['companion', 'sticker'] as const },
    ...on(TOWER, 50, 420, { opens: 'pulled out' }),
  },
  {
    id: CUPBOARD,
    template: 'box',
    name: 'Cupboard box',
    model: { widthUm: 330_000, heightUm: 230_000, depthUm: 320_000 },
    ...on(SHELVES, 150, 340, { reach: 'far' }),
  },
  {
    id: SCRAP_POCKET,
    template: 'box',
    name: 'Scrap pocket',
    model: { widthUm: 160_000, heightUm: 160_000, depthUm: 40_000 },
    rules: { kinds: ['cardstock'] as const },
    ...on(BOARD, 1050, 60),
  },
  {
    id: PALETTE_TRAY,
    template: 'pad-rack',
    name: 'Regatta tray',
    rows: 3,
    columns: 2,
    ...on(BENCH, 620, 740),
  },
];

export const beside = (position: number): Unit[] =>
  BESIDE.map(({ id, rules, ...given }, i) =>
    demoUnit(id, 'FGHIJ'[i] ?? 'Z', position + i, {
      ...given,
      ...(rules ? { rules: { kinds: [...rules.kinds] } } : {}),
    }),
  );
