import { type Kind, type Size, type VisibleEnd } from '../../kinds/definition';
import { evenGrid } from '../models/grid';
import type { GridModel } from '../models/gridSchema';
import type { LooseModel } from '../models/looseSchema';
import type { Model } from '../models/models';
import type { RunModel } from '../models/runSchema';
import type { StackModel } from '../models/stackSchema';
import type { UnitFacts } from '../unitFacts';

/** A kind of unit a person can put up: sizes and rules to start from, all of which can be changed. */
export interface UnitTemplate {
  readonly id: string;
  readonly name: string;
  /** Kinds it is made for. */
  readonly holds: readonly Kind[];
  readonly end: VisibleEnd;
  readonly model: Model;
  /** How one gets at it, where that goes with its sort. */
  readonly facts?: Pick<UnitFacts, 'lies' | 'opens' | 'covers'>;
}

/** A rack of equal cells, in mm: the cell, the wall between cells, how much of each the front hides. */
export const cells = (rows: number, columns: number, cell: Size, wallMm: number, frontMm = 0): GridModel =>
  evenGrid(rows, columns, cell, { wallUm: wallMm * 1000, frontUm: frontMm * 1000 });
const USUAL_FILL_PERCENT = 70;
/** A length that things share: how they do, its inside, and a lip in front or a rod, in mm. */
export const run = (
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
export const pile = (inside: Size, fingerMm: number): StackModel => ({
  model: 'stack',
  ...inside,
  fingerUm: fingerMm * 1000,
});
export const box = (inside: Size): LooseModel => ({
  model: 'loose',
  ...inside,
  fillPercent: USUAL_FILL_PERCENT,
});
