import { HAND_ID, isNowhere, isOnWall, isSpotOf, sharedRoom, type PlaceSpot } from '@red-shelf/core';
import { spotsOf, type Place, type PlanBody } from '@red-shelf/contract';
import { useEffect, useMemo, useState } from 'react';
import type { Living } from '../../api/contents';
import type { Stash } from '../../api/queries';
import { placesFor } from './placeFor';
import type { Step } from './step';
import { askTodo, sizeKey, withoutDone, type Todo, type TodoQuestion } from './todo';

export interface Carrying extends Pick<Todo, 'done' | 'kept' | 'no'> {
  readonly steps: readonly Step[];
  readonly of: number;
  /** Things whose place is not there any more: they stay where they are. */
  readonly lost: readonly Living[];
  /** What is asked of the server for steps that are made together. */
  readonly placesOf: (steps: readonly Step[]) => readonly (Place | null)[];
}

/** The desk of a plan is the bench. */
const real = (spot: PlaceSpot): PlaceSpot | null =>
  isNowhere(spot) ? null : spot.unitId === 'desk' ? { unitId: HAND_ID, cell: null, rank: 0 } : spot;

const thingsOf = (stash: Stash): ReadonlyMap<string, Living> =>
  new Map(stash.all.flatMap((supply) => supply.holdings.map((lot) => [lot.id, { supply, lot }] as const)));

const asked = new WeakMap<Living['lot'], TodoQuestion['lots'][number]>();
/** What a question says of a lot; made once for a state of it. */
function lotOf({ supply, lot }: Living): TodoQuestion['lots'][number] {
  const known = asked.get(lot);
  if (known) return known;
  const { id, as, left, items, sizeUm } = lot;
  const made = { id, as, left, items, sizeUm, supplyId: supply.id };
  asked.set(lot, made);
  return made;
}

/** Where a plan wants things, as far as such a spot is there still; and what lost its place. */
function wantedIn(body: PlanBody, { wall }: Stash) {
  const units = new Map(wall.units.map((unit) => [unit.id, unit]));
  const isThere = ({ unitId, cell }: PlaceSpot): boolean => {
    const unit = units.get(unitId);
    return unit?.model !== undefined && unit.model !== null && isOnWall(unit) && isSpotOf(unit.model, cell);
  };
  const wanted = [...spotsOf(body, 'to')];
  return {
    target: new Map(wanted.filter(([, spot]) => spot === null || isThere(spot))),
    lost: wanted.flatMap(([id, spot]) => (spot === null || isThere(spot) ? [] : [id])),
  };
}

/** All that decides what is still to be lifted, small enough to be sent to a worker. */
function questionOf(
  target: TodoQuestion['target'],
  { wall }: Stash,
  things: ReadonlyMap<string, Living>,
): TodoQuestion {
  const room = sharedRoom(wall.units, things);
  const free = new Map<string, number>();
  const sizes = new Map<string, number>();
  const lots: TodoQuestion['lots'][number][] = [];
  for (const [id, spot] of target) {
    const thing = things.get(id);
    if (!thing) continue;
    if (spot && spot.cell !== null) lots.push(lotOf(thing));
    for (const each of [spot, thing.lot.spot]) {
      if (!each || each.cell !== null) continue;
      const left = free.get(each.unitId) ?? room.freeIn(each.unitId);
      if (left === null) continue;
      free.set(each.unitId, left);
      sizes.set(sizeKey(id, each.unitId), room.sizeIn(id, each.unitId));
    }
  }
  const now = new Map([...things].map(([id, { lot }]) => [id, lot.spot]));
  const ranks = new Map(wall.units.map(({ id }, i) => [id, i]));
  return { now, target, lots, ranks, free, sizes };
}

/** What of a plan is still to be lifted, from how things stand now, whoever moved what. */
function carryingOf(
  { lifts, done, kept, no }: Todo,
  { now, target }: TodoQuestion,
  things: ReadonlyMap<string, Living>,
  lost: readonly string[],
): Carrying {
  const waiting = new Set(lifts.map(({ id }) => id));
  const steps = lifts.flatMap((lift): Step[] => {
    const thing = things.get(lift.id);
    return thing ? [{ thing, from: real(lift.from), to: real(lift.to), lift }] : [];
  });
  return {
    ...{ steps, done, kept, no, of: done + waiting.size },
    lost: lost.flatMap((id) => things.get(id) ?? []),
    placesOf: (each) => placesFor(each, target, now, waiting),
  };
}

interface Known {
  readonly question: TodoQuestion;
  readonly todo: Todo;
}

/** Null until it is known. */
export function useCarrying(body: PlanBody | undefined, stash: Stash | undefined): Carrying | null {
  const [known, setKnown] = useState<Known | null>(null);
  const units = stash?.wall.units;
  // A plan and places that come anew from the server, and say the same, are the same.
  const said = useMemo(() => (body ? JSON.stringify(body) : ''), [body]);
  const stands = useMemo(() => units?.map(({ id, version }) => `${id} ${version}`).join(), [units]);
  const wanted = useMemo(() => (body && stash ? wantedIn(body, stash) : null), [said, stands]);
  const things = useMemo(() => (stash ? thingsOf(stash) : null), [stash]);
  const question = useMemo(
    () => (wanted && stash && things ? questionOf(wanted.target, stash, things) : null),
    [wanted, stash, things],
  );
  // What a lift changes is known at once; anything else is asked.
  const told = useMemo((): Known | null => {
    if (!known || !question || known.question === question) return known;
    const todo = withoutDone(known.todo, known.question, question);
    return todo ? { question, todo } : known;
  }, [known, question]);
  useEffect(() => {
    if (!question || told?.question === question) return undefined;
    let left = false;
    void askTodo(question).then((todo) => left || setKnown({ question, todo }));
    return () => {
      left = true;
    };
  }, [question, told]);
  return useMemo(
    () =>
      told && things && wanted && told.question.target === wanted.target
        ? carryingOf(told.todo, told.question, things, wanted.lost)
        : null,
    [told, things, wanted],
  );
}
