import fc from 'fast-check';
import { holdsOf, type Model } from './models/models';
import { evenGrid } from './models/grid';
import { isRefusal, mayLive, suits, type Lodger, type RoomNow } from './mayLive';
import { poolFit } from './pool';
import type { Spot } from '../stash/spot';
import { testUnit } from './test/testUnit';
import type { Unit } from './unit';

const MM = 1000;
const size = (w: number, h: number, d: number) => ({ widthUm: w * MM, heightUm: h * MM, depthUm: d * MM });

const unit = (id: string, model: Model, rules: Partial<Unit['rules']> = {}): Unit =>
  testUnit({ id, model, rules: { kinds: ['companion'], ...rules } });
const box = (w: number, h: number, d: number): Model => ({
  model: 'loose',
  ...size(w, h, d),
  fillPercent: 100,
});

const EMPTY: RoomNow = { livingIn: () => [] };

type Thing = Lodger & { readonly lot: { readonly spot: Spot | null } };
const thing = (id: number, w: number, h: number, d: number, spot: Spot | null = null): Thing => ({
  supply: { id: `s${id}`, kind: 'companion', form: 'other', facts: { size: size(w, h, d) } },
  lot: { id: `l${id}`, as: 'whole', items: 1, left: 1, spot },
});

/** The most that find a place, by trying every place for every thing. */
function slowMost(things: readonly Thing[], units: readonly Unit[]): number {
  const open = units.map(({ model }) =>
    model?.model === 'grid' ? model.columnsUm.length * model.rowsUm.length : 0,
  );
  const taken = units.map(() => new Set<number>());
  const count = units.map(() => 0);
  const used = units.map(() => 0);
  let best = 0;
  const go = (i: number, placed: number): void => {
    best = Math.max(best, placed);
    const each = things[i];
    if (!each || placed + things.length - i <= best) return;
    for (const [u, where] of units.entries()) {
      if (count[u]! >= (where.rules.cap ?? Infinity) || !where.model) continue;
      const cells =
        where.model.model === 'grid' ? Array.from({ length: open[u]! }, (_, cell) => cell) : [null];
      for (const cell of cells) {
        if (cell !== null && taken[u]!.has(cell)) continue;
        if (suits(each, { unit: where, cell }) !== null) continue;
        const share = holdsOf(where.model).fill([each.supply.facts.size!]);
        if (share && used[u]! + share.have > share.of) continue;
        if (share) used[u]! += share.have;
        else taken[u]!.add(cell!);
        count[u]!++;
        go(i + 1, placed + 1);
        count[u]!--;
        if (share) used[u]! -= share.have;
        else taken[u]!.delete(cell!);
      }
    }
    go(i + 1, placed);
  };
  go(0, 0);
  return best;
}
const side = fc.integer({ min: 1, max: 4 });
const aGrid = fc
  .tuple(fc.array(side, { minLength: 1, maxLength: 2 }), fc.array(side, { minLength: 1, maxLength: 2 }), side)
  .map(([columns, rows, depth]): Model => ({
    ...evenGrid(1, 1, size(1, 1, depth)),
    columnsUm: columns.map((each) => each * MM),
    rowsUm: rows.map((each) => each * MM),
  }));
const aBox = fc.tuple(side, side, side).map(([w, h, d]) => box(w, h, d));
const aUnit = fc.record({
  model: fc.oneof(aGrid, aGrid, aBox),
  cap: fc.option(fc.integer({ min: 1, max: 3 })),
});

test('as many go over as in any way at all, and what is said of each place is true', () => {
  fc.assert(
    fc.property(
      fc.array(aUnit, { minLength: 1, maxLength: 3 }),
      fc.array(fc.tuple(side, side, side), { maxLength: 6 }),
      (given, sizes) => {
        const units = given.map(({ model, cap }, i) => unit(`u${i}`, model, cap === null ? {} : { cap }));
        const things = sizes.map(([w, h, d], i) => thing(i, w, h, d));
        const answer = poolFit(things, [], units);
        if (answer.most) expect(answer.fits.length).toBe(slowMost(things, units));
        else expect(answer.fits.length).toBeLessThanOrEqual(slowMost(things, units));
        expect(answer.fits.length + answer.leftOver.length).toBe(things.length);
        const places = answer.fits
          .filter(({ cell }) => cell !== null)
          .map(({ unitId, cell }) => `${unitId} ${cell}`);
        expect(new Set(places).size).toBe(places.length);
        for (const { thing: each, unitId, cell, warnings } of answer.fits) {
          expect(suits(each, { unit: units.find(({ id }) => id === unitId)!, cell })).toBeNull();
          expect(warnings).toEqual([]);
          expect(
            isRefusal(mayLive(each, { unit: units.find(({ id }) => id === unitId)!, cell }, EMPTY)),
          ).toBe(false);
        }
      },
    ),
    { numRuns: 2000, seed: 11 },
  );
});

describe('a rack into others', () => {
  const old = unit('a', evenGrid(1, 3, size(30, 20, 60)));
  const inOld = [0, 1, 2].map((cell) => thing(cell, 28, 18, 55, { unitId: 'a', cell, rank: 0 }));
  const room = { livingIn: (id: string) => (id === 'a' ? inOld : []) };

  test('all of it goes over, in its order, and the rack stands empty', () => {
    const answer = poolFit(inOld, [old], [unit('b', evenGrid(2, 2, size(30, 20, 60)))], room);
    expect(answer.fits.map(({ thing: { lot }, cell }) => [lot.id, cell])).toEqual([
      ['l0', 0],
      ['l1', 1],
      ['l2', 2],
    ]);
    expect(answer.freed).toEqual({ unitIds: ['a'], places: 3, left: 3 });
  });

  test('what has no place says so, what is too large says by how much', () => {
    const more = [...inOld, thing(9, 28, 40, 55)];
    const answer = poolFit(more, [old], [unit('b', evenGrid(1, 2, size(30, 20, 60)))], room);
    expect(answer.leftOver.map(({ because }) => because)).toEqual([
      { code: 'no_room' },
      { code: 'too_high', needUm: 40 * MM, haveUm: 20 * MM },
    ]);
    expect(answer.freed.unitIds).toEqual([]);
  });

  test('what stands there already keeps its place, and a limit holds', () => {
    const there = [thing(7, 10, 10, 10, { unitId: 'b', cell: 0, rank: 0 })];
    const full = { livingIn: (id: string) => (id === 'a' ? inOld : id === 'b' ? there : []) };
    const target = unit('b', evenGrid(2, 2, size(30, 20, 60)), { cap: 3 });
    const answer = poolFit(inOld, [old], [target], full);
    expect(answer.fits.map(({ cell }) => cell)).toEqual([1, 2]);
    expect(answer.leftOver).toHaveLength(1);
  });
});
