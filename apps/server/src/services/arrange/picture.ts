import {
  isRefusal,
  labOf,
  shareOut,
  staysAt,
  twoWay,
  type Allocation,
  type Lab,
  type PathUnit,
} from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import type { Item } from './item';

/** A thing of a picture, or an open spot in it that is kept for a group: it stands among its colours, as one of them. */
interface Piece {
  readonly id: string;
  readonly hex: string;
  readonly finish?: Item['of']['finish'];
  readonly item: Item | null;
  readonly group: string;
}
/** By unit what holds at any nearness: what fits where, and the picture made without heed of today. */
export type Pictures = Map<
  string,
  { readonly fits: (item: Item, cell: number) => boolean; row?: readonly (Piece | null)[] }
>;

interface PictureOf {
  readonly made: Pictures;
  readonly units: readonly UnitView[];
  readonly path: readonly PathUnit<Item>[];
  readonly staying: ReadonlyMap<string, readonly Item[]>;
  readonly groupOf: (item: Item) => string;
  /** How fast each group grows. */
  readonly growth: ReadonlyMap<string, number>;
  readonly near: number;
}

/** All pictures of a plan together are worked on for so long; of fewer things in proportion. */
const BUDGET_MS = 2000;
const MANY = 100;

const square = (a: Lab, b: Lab): number => (a.l - b.l) ** 2 + (a.a - b.a) ** 2 + (a.b - b.b) ** 2;

/** The colour of each group that is nearest to the middle of it. */
function middles(items: readonly Item[], groupOf: (item: Item) => string): ReadonlyMap<string, string> {
  const groups = new Map<string, { hex: string; lab: Lab }[]>();
  for (const item of items) {
    const group = groups.get(groupOf(item)) ?? [];
    group.push({ hex: item.of.hex, lab: labOf(item.of.hex) });
    groups.set(groupOf(item), group);
  }
  return new Map(
    [...groups].map(([group, members]) => {
      const mean = (part: 'l' | 'a' | 'b'): number =>
        members.reduce((sum, { lab }) => sum + lab[part], 0) / members.length;
      const middle = { l: mean('l'), a: mean('a'), b: mean('b') };
      const nearest = members.reduce((best, each) =>
        square(each.lab, middle) < square(best.lab, middle) ? each : best,
      );
      return [group, nearest.hex];
    }),
  );
}

/** The group of each spot that stays open: of the things of a rack those that grow faster get more of them. */
function openSpots(
  things: readonly Piece[],
  open: number,
  weigh: (group: string, here: number) => number,
): string[] {
  const here = new Map<string, number>();
  for (const { group } of things) here.set(group, (here.get(group) ?? 0) + 1);
  const groups = [...here].sort(([p], [q]) => (p < q ? -1 : 1));
  const shares = shareOut(
    Math.max(0, open),
    groups.map(([group, count]) => weigh(group, count)),
    0,
  );
  return groups.flatMap(([group], i) => Array<string>(shares[i] ?? 0).fill(group));
}

interface Rack {
  readonly view: UnitView;
  readonly way: PathUnit<Item>;
  readonly size: { readonly rows: number; readonly columns: number };
  /** Cells at its front that may be filled, in reading order. */
  readonly cells: readonly number[];
  /** The colour of what stays there, by cell. */
  readonly standing: ReadonlyMap<number, string>;
}

/** A unit as a picture is made on it: the front of one with cells. */
function rackOf(
  view: UnitView | undefined,
  way: PathUnit<Item> | undefined,
  there: readonly Item[],
): Rack | null {
  if (view?.model?.model !== 'grid' || !way) return null;
  const { rowsUm, columnsUm, skipColumns } = view.model;
  const size = { rows: rowsUm.length, columns: columnsUm.length };
  const front = size.rows * size.columns;
  const standing = new Map(
    there.flatMap(({ of, spot }) =>
      spot && spot.cell !== null && spot.cell < front ? [[spot.cell, of.hex] as const] : [],
    ),
  );
  const cells = Array.from({ length: front }, (_, cell) => cell).filter(
    (cell) => !standing.has(cell) && !staysAt(view, cell) && !skipColumns.includes((cell % size.columns) + 1),
  );
  return { view, way, size, cells, standing };
}

/** Whether a picture is one of exactly these things. */
function isOf(row: readonly (Piece | null)[], pieces: readonly Piece[]): boolean {
  const ids = new Set(row.flatMap((piece) => piece?.id ?? []));
  return ids.size === pieces.length && pieces.every(({ id }) => ids.has(id));
}

/** The cells things stand in today. */
const nowIn = (things: readonly Piece[], unitId: string): Map<string, number> =>
  new Map(
    things.flatMap(({ id, item }) =>
      item?.spot?.unitId === unitId && item.spot.cell !== null ? [[id, item.spot.cell]] : [],
    ),
  );

/** Whether a thing goes into a cell; asked once for all that are alike. */
function fitsIn({ way }: Rack): (item: Item, cell: number) => boolean {
  const known = new Map<string, boolean>();
  return (item, cell) => {
    const key = `${cell} ${item.alike}`;
    const before = known.get(key);
    const answer = before ?? !isRefusal(way.takes(item, cell));
    if (before === undefined) known.set(key, answer);
    return answer;
  };
}

/**
 * The same things in the same racks, those with cells each as a picture of what goes into its front: among what stays there, with the
 * open spots of each group among its colours, and as near to today as was asked.
 */
export function asPictures(target: Allocation<Item>, asked: PictureOf): Allocation<Item> {
  const { units, path, staying, groupOf, near, made, growth } = asked;
  const all = target.units.flatMap(({ slots }) => slots.flatMap((item) => item ?? []));
  const colours = middles(all, groupOf);
  const sizes = new Map<string, number>();
  for (const item of all) sizes.set(groupOf(item), (sizes.get(groupOf(item)) ?? 0) + 1);
  const weigh = (group: string, here: number): number =>
    ((growth.get(group) ?? 0) * here) / (sizes.get(group) ?? 1);
  const spots = new Map(target.spots);
  const held = new Map(target.held);
  const pictured = target.units.map(({ unit, slots }) => {
    const rack = rackOf(
      units.find(({ id }) => id === unit.id),
      path.find(({ id }) => id === unit.id),
      staying.get(unit.id) ?? [],
    );
    const front = rack ? rack.size.rows * rack.size.columns : 0;
    const things = slots.slice(0, front).flatMap((item): Piece[] => {
      if (!item) return [];
      const { hex, finish } = item.of;
      return [{ id: item.id, hex, finish, item, group: groupOf(item) }];
    });
    if (!rack || things.length === 0) return { unit, slots };
    const kept = [...(held.get(unit.id) ?? [])].filter(([cell]) => cell < front).length;
    // In a rack that is half empty no more spots are kept than things stand in it; the others are at its end.
    const most = Math.min(kept, rack.cells.length - things.length, things.length);
    const open = openSpots(things, most, weigh).flatMap((group, i): Piece[] => {
      const hex = colours.get(group);
      return hex === undefined ? [] : [{ id: `open ${i}`, hex, item: null, group }];
    });
    const known = made.get(unit.id) ?? { fits: fitsIn(rack) };
    made.set(unit.id, known);
    const pieces = [...things, ...open];
    const way = {
      ...{ cells: rack.cells, standing: rack.standing },
      budgetMs: (BUDGET_MS * things.length) / Math.max(MANY, all.length),
      takes: ({ item }: Piece, cell: number) => item === null || known.fits(item, cell),
    };
    known.row ??= twoWay(pieces, rack.size, way);
    const row =
      near > 0 || !isOf(known.row, pieces)
        ? twoWay(pieces, rack.size, { ...way, near, now: nowIn(things, unit.id), best: known.row })
        : known.row;
    const behind = [...(held.get(unit.id) ?? [])].filter(([cell]) => cell >= front);
    const keptFor = row.flatMap((piece, cell) =>
      piece?.item === null ? [[cell, piece.group] as const] : [],
    );
    held.set(unit.id, new Map([...keptFor, ...behind]));
    row.forEach((piece, cell) => {
      if (piece?.item) spots.set(piece.id, { unitId: unit.id, cell, rank: 0 });
    });
    return { unit, slots: [...row.map((piece) => piece?.item ?? null), ...slots.slice(front)] };
  });
  return { ...target, units: pictured, spots, held };
}
