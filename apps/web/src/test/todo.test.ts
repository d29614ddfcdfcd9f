import fc from 'fast-check';
import { withoutDone, whatToDo, type TodoQuestion } from '../arrange/plan/todo';

type Spot = { unitId: string; cell: number | null; rank: number };
const on = (cell: number): Spot => ({ unitId: 'u', cell, rank: 0 });
const question = (now: TodoQuestion['now'], target: TodoQuestion['target']): TodoQuestion => ({
  ...{ now, target, lots: [], ranks: new Map([['u', 0]]), free: new Map(), sizes: new Map() },
});

/** Things in cells, and where they are to go: another cell each. */
const rooms = fc
  .tuple(fc.integer({ min: 2, max: 9 }), fc.nat())
  .map(([count, seed]): { now: Map<string, Spot>; target: Map<string, Spot> } => {
    const cells = Array.from({ length: count + 2 }, (_, i) => i);
    const turned = cells.map((cell) => (cell * 7 + seed) % cells.length);
    const ids = Array.from({ length: count }, (_, i) => `t${i}`);
    return {
      now: new Map(ids.map((id, i) => [id, on(i)])),
      target: new Map(
        ids.map((id, i) => [id, on(new Set(turned).size === cells.length ? (turned[i] ?? i) : i)]),
      ),
    };
  });

test('what is left after a lift of the list is the list without it, and is what would be worked out anew', () => {
  fc.assert(
    fc.property(rooms, fc.nat(), ({ now, target }, pick) => {
      let asked = question(now, target);
      let todo = whatToDo(asked);
      expect(todo.no).toBeNull();
      for (let left = todo.lifts.length; left > 0; left--) {
        const lift = todo.lifts[0]!;
        const then = question(
          new Map(asked.now).set(lift.id, lift.to.unitId === 'desk' ? null : lift.to),
          target,
        );
        const quick = withoutDone(todo, asked, then);
        const anew = whatToDo(then);
        if (quick) expect(quick.lifts).toHaveLength(anew.lifts.length);
        [asked, todo] = [then, quick ?? anew];
        // What goes by way of the desk is worked out anew.
        if (lift.to.unitId === 'desk') expect(quick).toBeNull();
      }
      expect(todo.lifts).toHaveLength(0);
      // Anything else that moved is no lift of the list.
      const [other] = [...now.keys()].slice(pick % now.size);
      const strange = question(new Map(now).set(other ?? 't0', on(90)), target);
      expect(withoutDone(whatToDo(question(now, target)), question(now, target), strange)).toBeNull();
    }),
    { numRuns: 60, seed: 3 },
  );
});
