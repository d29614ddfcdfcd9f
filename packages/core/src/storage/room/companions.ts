import { isRefusal, mayLive, type Lodger, type RoomNow } from '../mayLive';
import { holdsOf } from '../models/models';
import { isOnWall, pathTo, type Unit } from '../unit';

/** A lot in its place. */
export interface Housed extends Lodger {
  readonly unit: Unit;
}
/** Two things that are used together and live in different pieces of the room. */
export interface Apart<T> {
  readonly thing: T;
  readonly companion: T;
  /** A unit that would take both now, the one they would be most together in; null where none would. */
  readonly both: Unit | null;
}

/** What stands in the room itself, and a unit is in: one fetches from one piece at a time. */
const pieceOf = (unit: Unit, byId: ReadonlyMap<string, Unit>): string =>
  pathTo(unit, byId).find(({ sort }) => sort !== 'room')?.id ?? unit.id;

/**
 * Companions that are kept apart, with a place that would take both without a warning: where one of them lives already before any other.
 * `companionsOf` answers what belongs beside a thing. Each two are named once.
 */
export function companionsApart<T extends Housed>(
  things: readonly T[],
  companionsOf: (thing: T) => readonly T[],
  units: readonly Unit[],
  room: RoomNow,
  most = 5,
): readonly Apart<T>[] {
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const named = new Set<string>();
  const apart: Apart<T>[] = [];
  for (const thing of things)
    for (const companion of companionsOf(thing)) {
      const two = [thing.lot.id, companion.lot.id].sort().join(' ');
      if (named.has(two) || pieceOf(thing.unit, byId) === pieceOf(companion.unit, byId)) continue;
      named.add(two);
      if (apart.length >= most) return apart;
      const homes = [thing.unit, companion.unit, ...units.filter(isOnWall)];
      apart.push({
        thing,
        companion,
        both: homes.find((unit) => takesBoth(unit, thing, companion, room)) ?? null,
      });
    }
  return apart;
}

function takesBoth(unit: Unit, p: Lodger, q: Lodger, room: RoomNow): boolean {
  if (!unit.model) return false;
  const { shares, order } = holdsOf(unit.model);
  const lots = new Set([p.lot.id, q.lot.id]);
  const others = room.livingIn(unit.id).filter(({ lot }) => !lots.has(lot.id));
  const taken = new Set(others.map(({ lot }) => lot.spot?.cell));
  const open = shares ? [null] : order.filter((cell) => !taken.has(cell));
  const put: ReturnType<RoomNow['livingIn']>[number][] = [];
  const now: RoomNow = {
    ...room,
    livingIn: (id) => (id === unit.id ? [...others, ...put] : room.livingIn(id)),
  };
  return [p, q].every((thing) => {
    const cell = open.find((at) => {
      const answer = mayLive(thing, { unit, cell: at }, now);
      return answer === null || (!isRefusal(answer) && answer.length === 0);
    });
    if (cell === undefined) return false;
    put.push({ ...thing, lot: { ...thing.lot, spot: { unitId: unit.id, cell, rank: put.length } } });
    return true;
  });
}
