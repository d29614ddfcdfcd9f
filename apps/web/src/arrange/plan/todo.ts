import {
  doublesIn,
  inWalkingOrder,
  isNowhere,
  stillToDo,
  type Holding,
  type Lift,
  type PlaceSpot,
  type StillToDo,
} from '@red-shelf/core';
import { workerAsker } from '../../api/askWorker';

type Spots = ReadonlyMap<string, PlaceSpot | null>;

/** How things stand and how a plan wants them, with all that decides the way from one to the other. */
export interface TodoQuestion {
  readonly now: Spots;
  readonly target: Spots;
  /** Lots that are to stand in cells of their own: of these some may be as good as one another. */
  readonly lots: readonly Pick<Holding, 'id' | 'supplyId' | 'as' | 'left' | 'items' | 'sizeUm'>[];
  /** Units in the order one walks past them. */
  readonly ranks: ReadonlyMap<string, number>;
  /** Where things share a length or a height: how much is free, and how much a lot takes (`sizeKey`). */
  readonly free: ReadonlyMap<string, number>;
  readonly sizes: ReadonlyMap<string, number>;
}
export interface Todo extends Pick<StillToDo<string>, 'done' | 'kept' | 'no'> {
  readonly lifts: readonly Lift<string>[];
}

export const sizeKey = (lotId: string, unitId: string): string => `${lotId}\n${unitId}`;

/** What is still to be lifted, in walking order; the same on either side of the worker. */
export function whatToDo({ now, target, lots, ranks, free, sizes }: TodoQuestion): Todo {
  const same = doublesIn(lots);
  const { lifts, done, kept, no } = stillToDo(now, target, same ? { same } : {});
  const walked = inWalkingOrder(lifts, (id) => ranks.get(id) ?? ranks.size, {
    freeIn: (unitId) => free.get(unitId) ?? null,
    sizeIn: (lotId, unitId) => sizes.get(sizeKey(lotId, unitId)) ?? 0,
  });
  return { lifts: walked, done, kept, no };
}

/** The same in a worker: of thousands of things it takes longer than a frame. */
export const askTodo = workerAsker<TodoQuestion, Todo>(
  () => new Worker(new URL('./todo.worker', window.location.href)),
  whatToDo,
);

const isSamePlace = (a: PlaceSpot | null, b: PlaceSpot | null): boolean =>
  a?.unitId === b?.unitId && (a?.cell ?? null) === (b?.cell ?? null);

/**
 * What is left where nothing happened since but lifts of the list itself, each of a thing that is lifted once: the list without them.
 * Null where anything else did.
 */
export function withoutDone(todo: Todo, before: TodoQuestion, after: TodoQuestion): Todo | null {
  if (before.target !== after.target || before.now.size !== after.now.size || todo.no) return null;
  const moved = new Set<string>();
  for (const [id, spot] of after.now) {
    const stood = before.now.get(id);
    if (stood === undefined) return null;
    if (!isSamePlace(stood, spot)) moved.add(id);
  }
  const times = new Map<string, number>();
  for (const { id } of todo.lifts) times.set(id, (times.get(id) ?? 0) + 1);
  const left = todo.lifts.filter(({ id, to }) => {
    const spot = after.now.get(id) ?? null;
    return !(moved.has(id) && times.get(id) === 1 && isSamePlace(spot, isNowhere(to) ? null : to));
  });
  const done = todo.lifts.length - left.length;
  return done === moved.size ? { ...todo, lifts: left, done: todo.done + done } : null;
}
