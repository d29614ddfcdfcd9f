import type { Spot } from '../../stash/spot';
import { DESK, deskSpot, keyOf, type Lift } from './planMoves';

/** How much things take of what they share in a unit, and how much is free there now; null for a unit with cells. */
export interface SharedRoom<Id> {
  readonly freeIn: (unitId: string) => number | null;
  readonly sizeIn: (id: Id, unitId: string) => number;
}

const NO_SHARING: SharedRoom<unknown> = { freeIn: () => null, sizeIn: () => 0 };

/**
 * The same lifts in an order in which a person walks little: all that go from one unit to another in one go, then from where they stand,
 * near units first (`rankOf`). Each spot is filled and left in the turn it was before, so that a destination is still empty when it is
 * reached; where things share a length, nothing comes before there is room, and where each waits for the other one is put on the desk.
 * Near n log n in the lifts, times the pairs of units.
 */
export function inWalkingOrder<Id>(
  lifts: readonly Lift<Id>[],
  rankOf: (unitId: string) => number,
  shared: SharedRoom<Id> = NO_SHARING,
): Lift<Id>[] {
  const { before, after } = dependencies(lifts);
  const waits = before.map((each) => each.size);
  const free = new Map<string, number>();
  const freeIn = (unitId: string): number | null => {
    const known = free.get(unitId) ?? shared.freeIn(unitId);
    if (known !== null) free.set(unitId, known);
    return known;
  };
  const fits = ({ id, to }: Lift<Id>): boolean => {
    const left = to.cell === null ? freeIn(to.unitId) : null;
    return left === null || shared.sizeIn(id, to.unitId) <= left;
  };
  const take = (id: Id, { unitId, cell }: Spot, sign: 1 | -1): void => {
    const left = cell === null ? freeIn(unitId) : null;
    if (left !== null) free.set(unitId, left - sign * shared.sizeIn(id, unitId));
  };
  const walks = new Walks(lifts, rankOf);
  const row: Lift<Id>[] = [];
  const onDesk = new Set<number>();
  const done = (at: number): void => {
    for (const next of after[at] ?? []) {
      waits[next] = (waits[next] ?? 0) - 1;
      if (waits[next] === 0) walks.add(next);
    }
  };
  waits.forEach((count, at) => count === 0 && walks.add(at));
  while (!walks.isEmpty()) {
    const at = walks.next((each) => lifts[each] !== undefined && fits(lifts[each]));
    if (at !== null) {
      const lift = lifts[at];
      if (!lift) continue;
      const from = onDesk.has(at) ? deskSpot : lift.from;
      row.push({ ...lift, from });
      take(lift.id, from, -1);
      take(lift.id, lift.to, 1);
      done(at);
      continue;
    }
    // Everything that is left waits for room where things share it: one goes to the desk and comes back.
    const stuck = walks.all().find((each) => !onDesk.has(each));
    const lift = stuck === undefined ? undefined : lifts[stuck];
    if (stuck === undefined || !lift) {
      // More than there is room for, whatever is done: as they were.
      for (const each of walks.all()) row.push(...(lifts[each] ? [{ ...lifts[each], from: deskSpot }] : []));
      break;
    }
    row.push({ ...lift, to: deskSpot });
    take(lift.id, lift.from, -1);
    onDesk.add(stuck);
  }
  return row;
}

/** Which lifts must come before which: those of one thing, and those that fill or leave one spot, in their turn. */
function dependencies<Id>(lifts: readonly Lift<Id>[]): { before: Set<number>[]; after: Set<number>[] } {
  const before = lifts.map(() => new Set<number>());
  const after = lifts.map(() => new Set<number>());
  const last = new Map<unknown, number>();
  lifts.forEach(({ id, from, to }, at) => {
    const touched = [id, ...[from, to].flatMap((spot) => (isSingle(spot) ? [keyOf(spot)] : []))];
    for (const key of touched) {
      const earlier = last.get(key);
      if (earlier !== undefined && earlier !== at) {
        before[at]?.add(earlier);
        after[earlier]?.add(at);
      }
      last.set(key, at);
    }
  });
  return { before, after };
}

/** Whether one thing at a time stands there. */
const isSingle = ({ unitId, cell }: Spot): boolean => cell !== null || unitId === DESK;

/** Lifts that may be made now, by the way they go. */
class Walks<Id> {
  private readonly ways = new Map<string, number[]>();
  private here: string | null = null;
  private at: string | null = null;

  constructor(
    private readonly lifts: readonly Lift<Id>[],
    private readonly rankOf: (unitId: string) => number,
  ) {}

  add(at: number): void {
    const way = this.wayOf(at);
    const list = this.ways.get(way);
    if (list) list.push(at);
    else this.ways.set(way, [at]);
  }
  isEmpty(): boolean {
    return this.ways.size === 0;
  }
  all(): number[] {
    return [...this.ways.values()].flat().sort((a, b) => a - b);
  }

  /** The next lift that fits: on the way one is on, else on the fullest way from where one stands, else on the fullest of all. */
  next(fits: (at: number) => boolean): number | null {
    const here = this.here === null ? null : this.from(this.here, fits);
    if (here !== null) return here;
    const ways = [...this.ways.keys()].map((way) => ({ way, cost: this.cost(way) }));
    for (const { way } of ways.sort((p, q) => p.cost - q.cost)) {
      const at = this.from(way, fits);
      if (at !== null) return at;
    }
    return null;
  }

  /** Takes the first lift of a way that fits. */
  private from(way: string, fits: (at: number) => boolean): number | null {
    const list = this.ways.get(way) ?? [];
    const i = list.findIndex(fits);
    const at = list[i];
    if (at === undefined) return null;
    list.splice(i, 1);
    if (list.length === 0) this.ways.delete(way);
    this.here = way;
    this.at = this.lifts[at]?.to.unitId ?? null;
    return at;
  }

  private wayOf(at: number): string {
    const lift = this.lifts[at];
    return lift ? `${lift.from.unitId}\n${lift.to.unitId}` : '';
  }
  private cost(way: string): number {
    const [from = ''] = way.split('\n');
    const near = from === this.at ? -1e6 : 0;
    return near - (this.ways.get(way)?.length ?? 0) * 1e3 + this.rankOf(from);
  }
}
