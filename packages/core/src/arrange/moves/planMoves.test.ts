import fc from 'fast-check';
import type { Spot } from '../../stash/spot';
import { numbersFrom } from '../smooth/numbers';
import { planMoves, type MoveOptions } from './planMoves';

const at = (cell: number): Spot => ({ unitId: 'a', cell, rank: 0 });
const DESK: Spot = { unitId: 'desk', cell: 0, rank: 0 };
const keyOf = ({ unitId, cell, rank }: Spot): string => `${unitId} ${cell} ${rank}`;
type Places = ReadonlyMap<string, Spot>;
const places = (row: string): Map<string, Spot> =>
  new Map([...row].flatMap((id, cell) => (id === '.' ? [] : [[id, at(cell)] as const])));

/** Carries the moves out, and fails where one begins or ends where it cannot. */
function carriedOut(
  current: Places,
  moves: readonly { id: string; from: Spot; to: Spot }[],
): Map<string, Spot> {
  const now = new Map(current);
  for (const { id, from, to } of moves) {
    expect(now.get(id)).toEqual(from);
    expect([...now.values()].map(keyOf)).not.toContain(keyOf(to));
    now.set(id, to);
  }
  return now;
}

/** The fewest lifts, by looking at every state that can be reached (breadth first); null where there is no way. */
function fewest(
  current: Places,
  target: Places,
  spots: readonly Spot[],
  letterOf: (id: string) => string,
): number | null {
  const ids = [...current.keys()];
  const said = (spot: Spot): string => keyOf(spot);
  const stateOf = (where: readonly string[]): string =>
    ids
      .map((id, i) => `${letterOf(id)}${where[i]}`)
      .sort()
      .join();
  const wanted = [...target].map(([id, spot]) => `${letterOf(id)}${said(spot)}`);
  const fixed = ids.filter((id) => !target.has(id));
  let states = [ids.map((id) => said(current.get(id) ?? DESK))];
  const seen = new Set(states.map(stateOf));
  for (let lifts = 0; states.length > 0; lifts++) {
    const next: string[][] = [];
    for (const where of states) {
      const there = new Set(ids.map((id, i) => `${letterOf(id)}${where[i]}`));
      if (wanted.every((each) => there.has(each))) return lifts;
      ids.forEach((id, i) => {
        if (fixed.includes(id)) return;
        for (const spot of spots) {
          if (where.includes(said(spot))) continue;
          const after = where.map((each, j) => (j === i ? said(spot) : each));
          const state = stateOf(after);
          if (seen.has(state)) continue;
          seen.add(state);
          next.push(after);
        }
      });
    }
    states = next;
  }
  return null;
}

const shuffled = (row: readonly string[], seed: number): string => {
  const number = numbersFrom(seed);
  const left = [...row];
  return Array.from(row, () => left.splice(number() % left.length, 1)[0]).join('');
};

test.each([
  ['nothing to do', 'abc.', 'abc.', 0],
  ['one into an open spot', 'ab.', 'a.b', 1],
  ['a way that ends in an open spot', 'abc.', '.abc', 3],
  ['two that change places go over the desk', 'ab', 'ba', 3],
  ['a round of three and a swap', 'abcde', 'bcaed', 7],
])('%s', (_, from, to, lifts) => {
  const plan = planMoves(places(from), places(to), { deskSpots: 1 });
  expect(plan.ok && plan.moves.length).toBe(lifts);
  if (plan.ok) expect(carriedOut(places(from), plan.moves)).toEqual(places(to));
});

test('as few lifts as looking at every state finds, with and without things that are alike, with and without a desk', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 0, max: 2 }),
      fc.nat(),
      fc.boolean(),
      fc.integer({ min: 1, max: 5 }),
      (things, open, seed, desk, letters) => {
        const row = [...'abcde'.slice(0, things), ...'..'.slice(0, open)];
        const [current, target] = [places(shuffled(row, seed)), places(shuffled(row, seed + 1))];
        const letterOf = (id: string): string => String((id.charCodeAt(0) - 97) % letters);
        const options: MoveOptions<string> = {
          deskSpots: desk ? 1 : 0,
          open: row.flatMap((_, cell) =>
            [...current.values()].some((spot) => spot.cell === cell) ? [] : [at(cell)],
          ),
          ...(letters < 5 && { same: (a: string, b: string) => letterOf(a) === letterOf(b) }),
        };
        const spots = [...row.map((_, cell) => at(cell)), ...(desk ? [DESK] : [])];
        const alike = letters < 5 ? letterOf : (id: string) => id;
        const least = fewest(current, target, spots, alike);
        const plan = planMoves(current, target, options);
        expect(plan.ok ? plan.moves.length : null).toBe(least);
        if (!plan.ok) return expect(plan.code).toBe('no_open_spot');
        const now = carriedOut(current, plan.moves);
        const standing = (where: Places): string[] =>
          [...where].map(([id, spot]) => `${alike(id)} ${keyOf(spot)}`).sort();
        expect(standing(now)).toEqual(standing(target));
        return undefined;
      },
    ),
    { numRuns: 2000 },
  );
});

test('what has no target stays, and is in the way where it stands', () => {
  const current = places('ax.');
  expect(planMoves(current, new Map([['a', at(2)]]))).toMatchObject({ ok: true, moves: [{ id: 'a' }] });
  expect(planMoves(current, new Map([['a', at(1)]]))).toEqual({ ok: false, code: 'blocked' });
});

test('on a shelf only the order counts: what keeps it stays, whatever its number is then', () => {
  const on = (row: string): Map<string, Spot> =>
    new Map([...row].map((id, rank) => [id, { unitId: 's', cell: null, rank }]));
  const moved = (from: string, to: string): string[] => {
    const plan = planMoves(on(from), on(to));
    return plan.ok ? plan.moves.map(({ id }) => id) : [plan.code];
  };
  expect(moved('abcdef', 'bcdefa')).toEqual(['a']);
  expect(moved('abcdef', 'badcfe')).toHaveLength(3);
  const plan = planMoves(new Map([...on('abc'), ['n', at(0)]]), on('anbc'));
  expect(plan.ok && plan.moves).toEqual([{ id: 'n', from: at(0), to: { unitId: 's', cell: null, rank: 1 } }]);
});

test('what cannot be is said', () => {
  expect(planMoves(places('a'), places('b'))).toEqual({ ok: false, code: 'not_there' });
  expect(planMoves(places('ab'), new Map([...places('ab'), ['a', at(1)]]))).toEqual({
    ok: false,
    code: 'spot_twice',
  });
  expect(planMoves(places('ab'), places('ba'))).toEqual({ ok: false, code: 'no_open_spot' });
  const narrow = { open: [at(5)], takes: (id: string) => id === 'b' };
  const plan = planMoves(places('ab'), places('ba'), narrow);
  expect(plan.ok && plan.moves[0]).toEqual({ id: 'b', from: at(1), to: at(5) });
});

test('where things share a length, those that keep their order among one another stay, whatever their ranks', () => {
  const at = (rank: number): Spot => ({ unitId: 'shelf', cell: null, rank });
  const row = (ids: string): Map<string, Spot> => new Map([...ids].map((id, rank) => [id, at(rank)]));
  const lifted = (from: string, to: string): string => {
    const plan = planMoves(row(from), row(to));
    if (!plan.ok) throw new Error(plan.code);
    const moved = new Set(plan.moves.map(({ id }) => id));
    // What stays keeps its order.
    expect([...from].filter((id) => !moved.has(id)).join('')).toBe(
      [...to].filter((id) => !moved.has(id)).join(''),
    );
    return String(moved.size);
  };
  expect(lifted('0123', '1320')).toBe('2');
  expect(lifted('abcdef', 'bcdefa')).toBe('1');
  expect(lifted('abcd', 'dcba')).toBe('3');
  expect(lifted('abcd', 'abcd')).toBe('0');
});
