import type { Spot } from '../../stash/spot';
import { classesOf, joinWays } from './matching';
import { staying } from './staying';

/** One thing is lifted from one spot and set down in another. */
export interface Lift<Id> {
  readonly id: Id;
  readonly from: Spot;
  readonly to: Spot;
}
export type NoPlan =
  /** A thing has a target and is nowhere now. */
  | 'not_there'
  /** Two things stand in one spot, or are to. */
  | 'spot_twice'
  /** What stands in a target has none itself, and stays. */
  | 'blocked'
  /** A closed round of things needs a spot beside, and there is none, on the desk or open. */
  | 'no_open_spot';
export type MovePlan<Id> =
  { readonly ok: true; readonly moves: readonly Lift<Id>[] } | { readonly ok: false; readonly code: NoPlan };

export interface MoveOptions<Id> {
  /** Spots that are open and may be used on the way. */
  readonly open?: readonly Spot[];
  /** How many things may lie on the desk meanwhile; one is as good as many. */
  readonly deskSpots?: number;
  /** Whether two things are as good as one another; it must hold for all of a class. */
  readonly same?: (a: Id, b: Id) => boolean;
  /** Whether a thing may stand in a spot on the way; anything anywhere when left out. */
  readonly takes?: (id: Id, spot: Spot) => boolean;
}

export const DESK = 'desk';
export const deskSpot: Spot = { unitId: DESK, cell: 0, rank: 0 };
export const keyOf = ({ unitId, cell, rank }: Spot): string => `${unitId} ${cell ?? '-'} ${rank}`;

/**
 * The fewest single lifts from how things stand to how they are to stand, in an order in which each lift's destination is empty when it
 * is reached. That is one for each thing that is not where it should be, and one more for each closed round of them (a stands where b
 * belongs, b where c does, c where a does), which needs a spot beside; things that are as good as one another (`same`) are matched so
 * that this is least. What has no target stays. Where things share a length or a height (no cell) only their order counts, and
 * what keeps its order stays. Near n log n in the things; with `same`, times the number of classes. Every class is a class of
 * equivalence: the fewest rounds left closed are one for each group of rounds that hang together by classes and by no open way.
 */
export function planMoves<Id>(
  current: ReadonlyMap<Id, Spot>,
  target: ReadonlyMap<Id, Spot>,
  { open = [], deskSpots = 0, same, takes = () => true }: MoveOptions<Id> = {},
): MovePlan<Id> {
  for (const id of target.keys()) if (!current.has(id)) return { ok: false, code: 'not_there' };
  const standing = occupants(inCells(current));
  if (!standing || !occupants(target)) return { ok: false, code: 'spot_twice' };
  const goals = goalsOf(current, target, standing, same);
  const spotOf = new Map([...target.values()].map((spot) => [keyOf(spot), spot]));
  for (const key of goals.values()) {
    const there = standing.get(key);
    if (there !== undefined && !goals.has(there)) return { ok: false, code: 'blocked' };
  }
  const moves: Lift<Id>[] = [];
  const now = new Map(current);
  const lift = (id: Id, to: Spot): void => {
    const from = now.get(id);
    if (!from) return;
    moves.push({ id, from, to });
    standing.delete(keyOf(from));
    if (to.unitId !== DESK && to.cell !== null) standing.set(keyOf(to), id);
    now.set(id, to);
  };
  const waiting = new Set(goals.keys());
  const comesTo = new Map([...goals].map(([id, key]) => [key, id]));
  /** Sets a thing down where it belongs, then what belongs where it stood, and so on. */
  const follow = (first: Id): void => {
    for (let id: Id | undefined = first; id !== undefined && waiting.has(id);) {
      const to = spotOf.get(goals.get(id) ?? '');
      const left: Spot | undefined = now.get(id);
      if (!to || !left) return;
      lift(id, to);
      waiting.delete(id);
      id = comesTo.get(keyOf(left));
    }
  };
  for (const [id, key] of goals) if (waiting.has(id) && !standing.has(key)) follow(id);
  // What still waits goes round in closed ways.
  const beside = [...(deskSpots > 0 ? [deskSpot] : []), ...open, ...inCells(current).values()];
  for (const id of goals.keys()) {
    if (!waiting.has(id)) continue;
    const free = beside.filter((spot) => !standing.has(keyOf(spot)));
    const round = roundFrom(id, goals, standing);
    const way = round.flatMap((each) => {
      const spot = free.find((one) => one.unitId === DESK || takes(each, one));
      return spot ? [{ each, spot }] : [];
    })[0];
    if (!way) return { ok: false, code: 'no_open_spot' };
    const stood = now.get(way.each);
    lift(way.each, way.spot);
    const next = stood && comesTo.get(keyOf(stood));
    if (next !== undefined) follow(next);
  }
  return { ok: true, moves };
}

/** What stands in cells of its own: where things share a place nothing is in the way of anything. */
const inCells = <Id>(spots: ReadonlyMap<Id, Spot>): ReadonlyMap<Id, Spot> =>
  new Map([...spots].filter(([, { cell }]) => cell !== null));

/** Who stands where; null where two stand in one cell. */
function occupants<Id>(spots: ReadonlyMap<Id, Spot>): Map<string, Id> | null {
  const standing = new Map<string, Id>();
  for (const [id, spot] of spots) {
    const key = keyOf(spot);
    if (standing.has(key)) return null;
    standing.set(key, id);
  }
  return standing;
}

/** Where each thing that must be lifted goes, by key, with the fewest closed rounds. */
function goalsOf<Id>(
  current: ReadonlyMap<Id, Spot>,
  target: ReadonlyMap<Id, Spot>,
  standing: ReadonlyMap<string, Id>,
  same: ((a: Id, b: Id) => boolean) | undefined,
): Map<Id, string> {
  const stays = staying(current, target);
  const goals = new Map<Id, string>();
  const classes = classesOf(
    [...target.keys()].filter((id) => !stays.has(id)),
    same,
  );
  const misplaced = classes.map((members) => {
    const wanted = new Set(members.flatMap((id) => keyIn(target, id)));
    // What stands in a cell of its class is in its place; where things share a place only their order says so.
    const right = members.filter(
      (id) => current.get(id)?.cell !== null && wanted.delete(keyIn(current, id)[0] ?? ''),
    );
    const others = members.filter((id) => !right.includes(id));
    const left = others.filter((id) => {
      const own = keyIn(target, id)[0] ?? '';
      if (!wanted.delete(own)) return true;
      goals.set(id, own);
      return false;
    });
    const free = [...wanted];
    left.forEach((id, i) => goals.set(id, free[i] ?? ''));
    return others;
  });
  joinWays(misplaced, goals, (id) => {
    const there = standing.get(goals.get(id) ?? '');
    return there !== undefined && goals.has(there) ? there : undefined;
  });
  return goals;
}

const keyIn = <Id>(spots: ReadonlyMap<Id, Spot>, id: Id): string[] => {
  const spot = spots.get(id);
  return spot ? [keyOf(spot)] : [];
};

/** The things of a closed round, from one of them on. */
function roundFrom<Id>(first: Id, goals: ReadonlyMap<Id, string>, standing: ReadonlyMap<string, Id>): Id[] {
  const round: Id[] = [];
  for (let id: Id | undefined = first; id !== undefined; id = standing.get(goals.get(id) ?? '')) {
    if (round.length > 0 && id === first) break;
    round.push(id);
  }
  return round;
}
