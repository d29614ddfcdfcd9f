import type { Spot } from '../../stash/spot';
import { planMoves, type Lift, type MoveOptions, type NoPlan } from './planMoves';

/** Where a thing is that is in no place, or is to have none. */
const NOWHERE = 'nowhere';
const nowhere = (rank: number): Spot => ({ unitId: NOWHERE, cell: null, rank });
/** Whether a spot is none. */
export const isNowhere = ({ unitId }: Pick<Spot, 'unitId'>): boolean => unitId === NOWHERE;

/** What keeps a thing from where it was to go: what stands there now and is no part of the plan. */
export interface Kept<Id> {
  readonly id: Id;
  readonly by: Id;
}
export interface StillToDo<Id> {
  readonly lifts: readonly Lift<Id>[];
  /** Things of the plan that stand where it wants them. */
  readonly done: number;
  readonly kept: readonly Kept<Id>[];
  /** Things of the plan that are there no more. */
  readonly gone: readonly Id[];
  /** Why there is no way, where there is none. */
  readonly no: NoPlan | null;
}

const keyOf = ({ unitId, cell }: Spot): string => `${unitId} ${cell}`;

/**
 * What is still to be lifted from how things really stand to how a plan wants them, whoever moved what meanwhile. A thing whose spot
 * was taken by one that is no part of the plan stays where it is, and says by which; what is there no more is left out. `current` is
 * everything there is, null for what has no place; a target of null takes a thing out. n log n.
 */
export function stillToDo<Id>(
  current: ReadonlyMap<Id, Spot | null>,
  target: ReadonlyMap<Id, Spot | null>,
  options: Omit<MoveOptions<Id>, 'open'> = {},
): StillToDo<Id> {
  const gone = [...target.keys()].filter((id) => !current.has(id));
  const now = new Map([...current].map(([id, spot], i) => [id, spot ?? nowhere(i)]));
  const wanted = new Map<Id, Spot>();
  let done = 0;
  let out = 0;
  for (const [id, spot] of target) {
    if (!current.has(id)) continue;
    if (spot === null && (current.get(id) ?? null) === null) done++;
    else wanted.set(id, spot ?? nowhere(out++));
  }
  const kept = keptOut(now, wanted);
  for (const { id } of kept) wanted.delete(id);
  const plan = planMoves(now, wanted, { deskSpots: 1, ...options });
  const lifts = plan.ok ? plan.moves : [];
  const moving = new Set(lifts.map(({ id }) => id));
  for (const id of wanted.keys()) if (!moving.has(id)) done++;
  return { lifts, done: plan.ok ? done : 0, kept, gone, no: plan.ok ? null : plan.code };
}

/** Things whose spot something has that stays; what is kept out stays itself, and may keep out another. */
function keptOut<Id>(now: ReadonlyMap<Id, Spot>, wanted: ReadonlyMap<Id, Spot>): Kept<Id>[] {
  const there = new Map(
    [...now].flatMap(([id, spot]) => (spot.cell === null ? [] : [[keyOf(spot), id] as const])),
  );
  const wants = new Map(
    [...wanted].flatMap(([id, spot]) => (spot.cell === null ? [] : [[keyOf(spot), id] as const])),
  );
  const staying = [...now.keys()].filter((id) => !wanted.has(id));
  const kept: Kept<Id>[] = [];
  for (let by = staying.pop(); by !== undefined; by = staying.pop()) {
    const spot = now.get(by);
    const id =
      spot && spot.cell !== null && there.get(keyOf(spot)) === by ? wants.get(keyOf(spot)) : undefined;
    if (id === undefined || id === by) continue;
    wants.delete(keyOf(spot as Spot));
    kept.push({ id, by });
    staying.push(id);
  }
  return kept;
}
