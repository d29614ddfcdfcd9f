import { missingUm, type FitRefusal } from '../fit/inSpace';
import { bodyOf } from '../stash/body';
import type { Spot } from '../stash/spot';
import { isRefusal, mayLive, suits, type Lodger, type Refusal, type RoomNow, type Warning } from './mayLive';
import { holdsOf, type Model } from './models/models';
import { matching, type Slots } from './poolMatching';
import { placesIn, type Unit } from './unit';

/** A thing that finds a place, and what is wrong with it there all the same. */
export interface Pooled<T extends Lodger> {
  readonly thing: T;
  readonly unitId: string;
  readonly cell: number | null;
  readonly warnings: readonly Warning[];
}
/** A thing that finds none: what the place that misses least refuses, or that all it suits are taken. */
export interface LeftOver<T extends Lodger> {
  readonly thing: T;
  readonly because: Refusal | { readonly code: 'no_room' };
}

export interface PoolFit<T extends Lodger> {
  /** In the order of the contents, which the places keep as well. */
  readonly fits: readonly Pooled<T>[];
  readonly leftOver: readonly LeftOver<T>[];
  /** Units that stand empty afterwards, the places these have, and how many things left any of them for another unit. */
  readonly freed: { readonly unitIds: readonly string[]; readonly places: number; readonly left: number };
  /** False where loose places that take different things were filled in turn: there may be a way for more. */
  readonly most: boolean;
}

const EMPTY: RoomNow = { livingIn: () => [] };
const spotOf = ({ lot }: Lodger): Pick<Spot, 'unitId'> & Partial<Spot> => lot.spot ?? { unitId: '' };

/** Cells of a unit that are open, those of one size together, in the order they are filled. */
function openCells(unit: Unit, taken: ReadonlySet<number | null>): readonly number[][] {
  if (!unit.model) return [];
  const { order, space } = holdsOf(unit.model);
  const sorts = new Map<string, number[]>();
  for (const cell of order) {
    const { widthUm, heightUm, depthUm } = space(cell);
    const key = `${widthUm} ${heightUm} ${depthUm}`;
    const sort = sorts.get(key) ?? [];
    sorts.set(key, sort);
    if (!taken.has(cell)) sort.push(cell);
  }
  return [...sorts.values()].filter((cells) => cells.length > 0);
}

/** Why none of the places takes a thing: the one that misses least, or the first other reason. */
function closest(
  thing: Lodger,
  places: readonly { readonly unit: Unit; readonly cell: number | null }[],
): Refusal | null {
  const refusals = places.map((place) => suits(thing, place));
  if (refusals.includes(null)) return null;
  const sized = refusals.filter((each): each is FitRefusal => each !== null && 'needUm' in each);
  const [nearest] = sized.sort((p, q) => missingUm(p) - missingUm(q));
  return nearest ?? refusals[0] ?? { code: 'no_such_spot' };
}

/**
 * The contents of some units in others: what fits there, what is left over and why, and what stands empty then. As many as go
 * in at all, never only as many as a first try finds; each place as `mayLive` judges it, limits and what is there already
 * included. `from` are the units the contents come out of, which may be among `to`: things are thought of as lifted out
 * first. A loose place takes as much as it is to be filled with, by volume.
 */
export function poolFit<T extends Lodger>(
  contents: readonly T[],
  from: readonly Unit[],
  to: readonly Unit[],
  room: RoomNow = EMPTY,
): PoolFit<T> {
  const lifted = new Set(contents.map(({ lot }) => lot.id));
  const staying = new Map(
    to.map(({ id }) => [id, room.livingIn(id).filter(({ lot }) => !lifted.has(lot.id))] as const),
  );
  const slots = to.flatMap((unit): (Slots & { readonly unit: Unit })[] => {
    const others = staying.get(unit.id) ?? [];
    const limit = { unit, unitId: unit.id, atMost: (unit.rules.cap ?? Infinity) - others.length };
    if (!unit.model) return [];
    const holds = holdsOf(unit.model);
    if (!holds.shares) {
      const taken = new Set(others.map(({ lot }) => lot.spot?.cell ?? null));
      return openCells(unit, taken).map((cells) => ({ ...limit, cells, room: 0 }));
    }
    const full = holds.fill(others.map(({ supply, lot }) => bodyOf(supply, lot).all));
    return full ? [{ ...limit, cells: null, room: full.of - full.have }] : [];
  });
  const places = slots.map(({ unit, cells }) => ({ unit, cell: cells?.[0] ?? null }));
  const { at, most } = matching(
    contents.map((thing) => ({
      takes: places.map(({ unit }) => (unit.model ? takesOf(thing, unit.model) : 0)),
      suits: places.map((place) => suits(unplaced(thing), place) === null),
    })),
    slots,
  );
  const next = slots.map(({ cells }) => [...(cells ?? [])]);
  const spots = contents.map((_, i) => {
    const slot = slots[at[i] ?? -1];
    return slot ? { unit: slot.unit, unitId: slot.unitId, cell: next[at[i] ?? -1]?.shift() ?? null } : null;
  });
  const settled = contents.flatMap((thing, i) => {
    const spot = spots[i];
    return spot ? [{ thing, spot }] : [];
  });
  const then: RoomNow = {
    ...room,
    livingIn: (id) => [
      ...(staying.get(id) ?? room.livingIn(id)),
      ...settled
        .filter(({ spot }) => spot.unitId === id)
        .map(({ thing, spot }) => ({
          ...thing,
          lot: { ...thing.lot, spot: { unitId: id, cell: spot.cell, rank: 0 } },
        })),
    ],
  };
  const isLeft = (id: string): boolean =>
    room.livingIn(id).every(({ lot }) => lifted.has(lot.id)) &&
    contents.every((thing, i) => (spots[i] ?? spotOf(thing)).unitId !== id);
  const emptied = from.filter(({ id }) => isLeft(id));
  return {
    fits: settled.map(({ thing, spot }) => {
      const { unit, unitId, cell } = spot;
      const answer = mayLive(
        { ...unplaced(thing), lot: { ...thing.lot, spot: { unitId } } },
        { unit, cell },
        then,
      );
      return { thing, unitId, cell, warnings: answer === null || isRefusal(answer) ? [] : answer };
    }),
    leftOver: contents.flatMap((thing, i) =>
      spots[i] ? [] : [{ thing, because: closest(unplaced(thing), places) ?? { code: 'no_room' as const } }],
    ),
    freed: {
      unitIds: emptied.map(({ id }) => id),
      places: emptied.reduce((sum, unit) => sum + placesIn(unit), 0),
      left: settled.filter(
        ({ thing, spot }) => spotOf(thing).unitId !== '' && spotOf(thing).unitId !== spot.unitId,
      ).length,
    },
    most,
  };
}

/** How much of what a place shares out a thing takes. */
const takesOf = ({ supply, lot }: Lodger, model: Model): number =>
  holdsOf(model).fill([bodyOf(supply, lot).all])?.have ?? 0;

/** A thing in the hand: where it came from has no say. */
const unplaced = <T extends Lodger>(thing: T): T => ({ ...thing, lot: { ...thing.lot, spot: null } });
