import { volumeUl } from '../../storage/models/definition';
import { cellAt } from '../../storage/models/grid';
import { holdsOf, type Model } from '../../storage/models/models';
import type { Refusal, Warning } from '../../storage/mayLive';

/** A thing that is to be placed, as placing sees it. */
export interface Placing {
  readonly id: string;
  /** Times used lately; where there is too little room the least used stay out. */
  readonly uses?: number;
  /** Where it stands now. */
  readonly spot?: { readonly unitId: string; readonly cell: number | null; readonly rank?: number } | null;
  /** Things that say the same here may live in the same places, so that one of them is asked for all. */
  readonly alike?: string;
}

/** Places of a unit that take the same things: cells of one size, or the length, height or volume that things share. */
export interface PathZone<T> {
  /** One of its cells, to ask whether a thing may live there; null where there are none. */
  readonly cell: number | null;
  /** Cells that may be filled, in the order they are. */
  readonly open: readonly number[];
  /** How many things may come into it, where a limit allows fewer than there is room for. */
  readonly room: number;
  /** How much a cell holds, µl: a thing goes into the narrowest that takes it. Left out where things share a place. */
  readonly volumeUl?: number;
  /** The row, or the column, each open cell is in as the unit is filled; where groups may begin in one of their own. */
  readonly lines?: readonly number[];
  /** What things share there: how much of it is free for those that come, and how much one takes. */
  readonly shared?: { readonly free: number; readonly sizeOf: (item: T) => number };
}

/** A unit of the path, in the order it is filled. */
export interface PathUnit<T> {
  readonly id: string;
  /** How many cells it has, filled or not; 0 where things share it. */
  readonly cells: number;
  readonly zones: readonly PathZone<T>[];
  /** How far things may stand from their order inside a group so that fewer are lifted, 0 to 1; as the options say where left out. */
  readonly near?: number;
  /** The unit of the path whose too much it takes: it is filled last, with what found no place. */
  readonly overflowOf?: string;
  /** Things lie in it as they fall: what is there stays as it lies. */
  readonly anyOrder?: boolean;
  /** Whether a thing may live in a cell, or in what things share (`mayLive`). */
  readonly takes: (item: T, cell: number | null) => Refusal | readonly Warning[] | null;
}

/** A zone and the unit it is of. */
export interface Zone<T> extends PathZone<T> {
  readonly unit: PathUnit<T>;
}

export type LeftOverReason =
  | Refusal
  | Extract<Warning, { code: 'kept_for_others' | 'belongs_elsewhere' }>
  | { readonly code: 'no_room' };

/** Zones of a unit with cells: those of one size, in filling order; `blocked` ones are not to be touched, at most `most` are filled. */
export function zonesOf<T>(model: Model, blocked: ReadonlySet<number>, most = Infinity): PathZone<T>[] {
  const { order, space } = holdsOf(model);
  const zones = new Map<string, { cell: number; open: number[]; room: number; volumeUl: number }>();
  let left = most;
  for (const cell of order) {
    const { widthUm, heightUm, depthUm } = space(cell);
    const key = `${widthUm} ${heightUm} ${depthUm}`;
    const zone = zones.get(key) ?? { cell, open: [], room: 0, volumeUl: volumeUl(space(cell)) };
    zones.set(key, zone);
    if (blocked.has(cell)) continue;
    zone.open.push(cell);
    if (left-- > 0) zone.room++;
  }
  return [...zones.values()].map((zone) => ({
    ...zone,
    lines: zone.open.map((cell) => lineOf(model, cell)),
  }));
}

/** Whether a zone takes one thing more, of a size, beside those that came to it. */
export const hasRoom = <T>({ room, shared }: PathZone<T>, there: readonly T[], item: T): boolean =>
  there.length < room &&
  (!shared || there.reduce((sum, each) => sum + shared.sizeOf(each), shared.sizeOf(item)) <= shared.free);

/** The row a cell is in where a unit is filled row by row, else its column. */
function lineOf(model: Model, cell: number): number {
  if (model.model !== 'grid') return 0;
  const { row, column } = cellAt(model, cell);
  return model.filling === 'columns' ? column : row;
}
