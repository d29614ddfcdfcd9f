import type { Spot } from '../../stash/spot';
import { numbersFrom } from '../smooth/numbers';
import { DESK, planMoves, type Lift } from './planMoves';
import { stillToDo } from './stillToDo';
import { inWalkingOrder, type SharedRoom } from './walk';

const UNITS = ['A', 'B', 'C', 'D'];
const cellSpot = (at: number): Spot => ({ unitId: UNITS[Math.floor(at / 8)]!, cell: at % 8, rank: 0 });

/** Twenty things somewhere in 32 cells, and where they are to be. */
function scattered(seed: number) {
  const number = numbersFrom(seed);
  const spots = (): number[] => {
    const all = [...Array(32).keys()];
    return Array.from({ length: 20 }, () => all.splice(number() % all.length, 1)[0]!);
  };
  const map = (cells: number[]) => new Map(cells.map((cell, i) => [`t${i}`, cellSpot(cell)]));
  return { current: map(spots()), target: map(spots()), number };
}
const key = ({ unitId, cell }: Spot): string => `${unitId} ${cell}`;

/** Makes lifts one after another; fails where a destination is not empty. */
function carried(current: ReadonlyMap<string, Spot>, lifts: readonly Lift<string>[]): Map<string, Spot> {
  const now = new Map(current);
  for (const { id, from, to } of lifts) {
    expect(now.get(id)).toMatchObject(from.unitId === DESK ? { unitId: DESK } : from);
    if (to.unitId !== DESK && to.cell !== null)
      expect([...now.values()].filter((spot) => key(spot) === key(to))).toEqual([]);
    now.set(id, to);
  }
  return now;
}
const walks = (lifts: readonly Lift<string>[]): number =>
  lifts.filter(
    ({ from, to }, i) => from.unitId !== lifts[i - 1]?.from.unitId || to.unitId !== lifts[i - 1]?.to.unitId,
  ).length;

test('in walking order the same lifts are made, each into an empty spot, and one walks less', () => {
  let [before, after] = [0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    const { current, target } = scattered(seed);
    const plan = planMoves(current, target, { deskSpots: 1 });
    if (!plan.ok) throw new Error(plan.code);
    const walked = inWalkingOrder(plan.moves, (unitId) => UNITS.indexOf(unitId));
    expect(walked).toHaveLength(plan.moves.length);
    expect(carried(current, walked)).toEqual(target);
    before += walks(plan.moves);
    after += walks(walked);
  }
  expect(after).toBeLessThan(0.93 * before);
});

test('where things share a length nothing comes before there is room; where each waits, one goes to the desk', () => {
  const size: Record<string, number> = { a: 30, b: 30, c: 20 };
  const shared: SharedRoom<string> = {
    freeIn: (unitId) => ({ A: 10, B: 10 })[unitId] ?? null,
    sizeIn: (id) => size[id] ?? 0,
  };
  const spot = (unitId: string, rank = 0): Spot => ({ unitId, cell: null, rank });
  // Two full shelves exchange a thing each.
  const lifts: Lift<string>[] = [
    { id: 'a', from: spot('A'), to: spot('B') },
    { id: 'b', from: spot('B'), to: spot('A') },
  ];
  const walked = inWalkingOrder(lifts, () => 0, shared);
  expect(walked.map(({ id, from, to }) => `${id} ${from.unitId}${to.unitId}`)).toEqual([
    'a Adesk',
    'b BA',
    'a deskB',
  ]);
  // With room on one of them there is no need.
  const more = [...lifts, { id: 'c', from: spot('B', 1), to: spot('C') }];
  expect(inWalkingOrder(more, () => 0, shared).map(({ id }) => id)).toEqual(['c', 'a', 'b']);
});

test('whatever was done by hand in the middle, what is left leads where it was to lead, around what came in the way', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const { current, target, number } = scattered(seed);
    const all = stillToDo(current, target);
    expect(all.no).toBeNull();
    // Some lifts are made, and then somebody moves things about, and puts in two of their own.
    const now: Map<string, Spot | null> = carried(current, all.lifts.slice(0, number() % all.lifts.length));
    const taken = new Set([...now.values()].map((spot) => spot && key(spot)));
    const open = [...Array(32).keys()].map(cellSpot).filter((spot) => !taken.has(key(spot)));
    now.set('t1', open.pop()!);
    now.set('t2', null);
    now.set('own1', open.pop()!);
    now.set('own2', open.pop()!);
    now.delete('t3');
    const rest = stillToDo(now, target);
    expect(rest.gone).toEqual(['t3']);
    expect(rest.no).toBeNull();
    const end = carried(
      new Map([...now].map(([id, spot]) => [id, spot ?? { unitId: 'nowhere', cell: null, rank: 0 }])),
      rest.lifts.map((lift) =>
        lift.from.unitId === 'nowhere' ? { ...lift, from: { ...lift.from, rank: 0 } } : lift,
      ),
    );
    const kept = new Map(rest.kept.map(({ id, by }) => [id, by]));
    for (const [id, spot] of target) {
      if (id === 't3') continue;
      if (!kept.has(id)) expect(end.get(id)).toEqual(spot);
      // Who keeps it out really stands there.
      else expect(end.get(kept.get(id)!)).toMatchObject({ unitId: spot.unitId, cell: spot.cell });
    }
    expect(end.get('own1')).toEqual(now.get('own1'));
  }
});
