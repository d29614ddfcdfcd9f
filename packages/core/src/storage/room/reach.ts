import { isRefusal, mayLive, type Lodger, type RoomNow } from '../mayLive';
import { pathTo, type Unit } from '../unit';
import type { UnitFacts } from '../unitFacts';
import { sceneOf } from './scene';
import { wayTo } from './way';

/** How one gets at a place from the seat. */
export interface Reach {
  readonly reach: NonNullable<UnitFacts['reach']>;
  /** From the seat along the wall, µm; null where nobody said where one sits. */
  readonly awayUm: number | null;
  /** Below the knee, within easy height, above the shoulder; easy where nobody measured. */
  readonly band: 'low' | 'easy' | 'high';
  /** What is opened or lifted first. */
  readonly steps: number;
}

/** What an arm reaches from a chair, and what a few steps do, µm. */
const ARM_UM = 900_000;
const STEPS_UM = 2_200_000;
const [KNEE_UM, SHOULDER_UM] = [450_000, 1_300_000];
const SORTS = ['near', 'mid', 'far'] as const;

type Placed = Pick<Unit, 'id' | 'parentId' | 'sort' | 'name' | 'model' | 'facts'>;

/**
 * The reach of every unit: how far it is from the seat, how high, and what must be opened or lifted first; each makes it one step less
 * at hand. What a person says of a place, or of what it stands in, counts instead.
 */
export function reachesIn(units: readonly Placed[]): ReadonlyMap<string, Reach> {
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const scene = sceneOf(units);
  const seat = scene.standing.find(({ unit }) => unit.facts.seat);
  const middle = seat && seat.box.x + seat.box.w / 2;
  return new Map(
    scene.standing.map(({ unit, box }): [string, Reach] => {
      const path = pathTo(unit, byId);
      const measured = path.some(({ facts }) => facts.pose !== undefined);
      const up = scene.h - box.y - box.h / 2;
      const band = !measured || (up >= KNEE_UM && up <= SHOULDER_UM) ? 'easy' : up < KNEE_UM ? 'low' : 'high';
      const awayUm =
        middle === undefined ? null : Math.max(0, Math.abs(box.x + box.w / 2 - middle) - box.w / 2);
      const steps = wayTo(unit, units).filter((step) => step.do !== 'go to').length;
      const said = path.reduce<Reach['reach'] | undefined>(
        (last, { facts }) => facts.reach ?? last,
        undefined,
      );
      const away = awayUm === null ? 1 : awayUm <= ARM_UM ? 0 : awayUm <= STEPS_UM ? 1 : 2;
      const worse = away + (band === 'easy' ? 0 : 1) + Math.min(1, steps);
      return [unit.id, { reach: said ?? SORTS[Math.min(2, worse)] ?? 'far', awayUm, band, steps }];
    }),
  );
}

/** Two lots that had better change places: the busy one stands farther than the idle one. */
export interface ReachSwap<T> {
  readonly busy: T;
  readonly idle: T;
}
/** A lot in its place, and how much it is used. */
export interface Reached extends Lodger {
  readonly unit: Unit;
  readonly cell: number | null;
  readonly uses: number;
}

/** So many of the busiest far ones are held against so many of the idlest near ones. */
const TRIED = 40;
/** What is used less often than this is not worth a swap. */
const BUSY_FROM = 3;

/**
 * Swaps that really can be made, the most used thing first: a thing that is used and stands farther away changes with one at hand that
 * is used less, where each may live in the other's place without a warning.
 */
export function reachSwaps<T extends Reached>(
  things: readonly T[],
  reaches: ReadonlyMap<string, Pick<Reach, 'reach'>>,
  room: RoomNow,
  most = 5,
): readonly ReachSwap<T>[] {
  const level = ({ unit }: T): number => SORTS.indexOf(reaches.get(unit.id)?.reach ?? 'mid');
  const busy = things
    .filter((thing) => level(thing) > 0 && thing.uses >= BUSY_FROM)
    .sort((p, q) => q.uses - p.uses)
    .slice(0, TRIED);
  const idle = things.filter((thing) => level(thing) < 2).sort((p, q) => p.uses - q.uses);
  const gone = new Set<string>();
  const swaps: ReachSwap<T>[] = [];
  for (const far of busy) {
    if (swaps.length >= most) break;
    const near = idle
      .filter((thing) => !gone.has(thing.lot.id) && level(thing) < level(far) && thing.uses * 2 < far.uses)
      .slice(0, TRIED)
      .find((thing) => mayChange(far, thing, room));
    if (!near) continue;
    gone.add(near.lot.id);
    swaps.push({ busy: far, idle: near });
  }
  return swaps;
}

function mayChange<T extends Reached>(p: T, q: T, room: RoomNow): boolean {
  const without: RoomNow = {
    ...room,
    livingIn: (unitId) =>
      room.livingIn(unitId).filter(({ lot }) => lot.id !== p.lot.id && lot.id !== q.lot.id),
  };
  return [
    [p, q],
    [q, p],
  ].every(([thing, place]) => {
    if (!thing || !place) return false;
    const answer = mayLive(thing, place, without);
    return answer === null || (!isRefusal(answer) && answer.length === 0);
  });
}
