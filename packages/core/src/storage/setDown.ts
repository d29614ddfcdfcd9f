import { isRefusal, mayLive, wayIn, type Lodger, type Refusal, type RoomNow, type Warning } from './mayLive';
import { insideAt } from './inside';
import { holdsOf } from './models/models';
import type { Unit } from './unit';

type Carried = Lodger & { readonly lot: { readonly spot: { readonly unitId: string } | null } };

/** One of the things carried, and what comes of setting it down. */
export interface SetDown<T> {
  readonly thing: T;
  /** Where it goes; null where things share the place. */
  readonly cell: number | null;
  readonly warnings: readonly Warning[];
  /** How much is left beside, above and before it, µm; null where it does not go in. */
  readonly clear: { readonly acrossUm: number; readonly aboveUm: number; readonly beforeUm: number } | null;
}
export interface SetDownPlan<T> {
  readonly set: readonly SetDown<T>[];
  readonly refused: readonly { readonly thing: T; readonly refusal: Refusal }[];
}

type Living = ReturnType<RoomNow['livingIn']>[number];

/**
 * What happens when things that are carried are set down in a unit, beginning at a cell: the first goes there, or, where the unit is
 * kept that loosely (its `tolerance`), to the nearest cell that takes it, of its family if it matters; else it is refused. Each of the
 * others goes to the next open cell, in the order the unit is filled, that takes it. Where things share a place each is judged
 * with those set down before it. What is carried is nowhere else meanwhile. `alike` says whether two are of one family.
 */
export function setDownFrom<T extends Carried>(
  things: readonly T[],
  { unit, cell }: { readonly unit: Unit; readonly cell: number | null },
  room: RoomNow,
  alike: (one: T, other: Lodger) => boolean = () => false,
): SetDownPlan<T> {
  const carried = new Set(things.map(({ lot }) => lot.id));
  const there: Living[] = [];
  const now: RoomNow = {
    ...room,
    livingIn: (unitId) => [
      ...room.livingIn(unitId).filter(({ lot }) => !carried.has(lot.id)),
      ...(unitId === unit.id ? there : []),
    ],
  };
  const cells = cellsFrom(unit, cell);
  const set: SetDown<T>[] = [];
  const refused: { thing: T; refusal: Refusal }[] = [];
  things.forEach((thing, i) => {
    // Only the first is set where one points, or near it; the others follow where they can.
    const tried =
      i === 0 ? aroundCell(unit, cell, now.livingIn(unit.id), (other) => alike(thing, other)) : cells;
    let no: Refusal = { code: 'no_such_spot' };
    for (const at of tried) {
      const answer = mayLive(thing, { unit, cell: at }, now);
      if (isRefusal(answer)) {
        if (no.code === 'no_such_spot' || no.code === 'taken') no = answer;
        continue;
      }
      there.push({
        ...thing,
        lot: { ...thing.lot, spot: { unitId: unit.id, cell: at, rank: there.length } },
      });
      set.push({ thing, cell: at, warnings: answer ?? [], clear: clearance(thing, unit, at) });
      return;
    }
    refused.push({ thing, refusal: no });
  });
  return { set, refused };
}

function cellsFrom({ model }: Unit, cell: number | null): readonly (number | null)[] {
  if (!model || cell === null) return [null];
  const { order } = holdsOf(model);
  const from = order.indexOf(cell);
  // A cell that is left out when the unit is filled takes what is put there by hand.
  return from < 0 ? [cell] : order.slice(from);
}

/** Where a thing goes that is set down at a cell: there first, then as far from it as the unit allows, the nearest in filling order first. */
function aroundCell(
  { model, facts: { tolerance } }: Unit,
  cell: number | null,
  living: readonly Living[],
  isAlike: (other: Lodger) => boolean,
): readonly (number | null)[] {
  if (!model || cell === null || tolerance === undefined || tolerance === 'exact') return [cell];
  const { order } = holdsOf(model);
  const from = order.indexOf(cell);
  if (from < 0) return [cell];
  const near = [...order.keys()]
    .filter((at) => at !== from)
    .sort((a, b) => Math.abs(a - from) - Math.abs(b - from) || a - b);
  if (tolerance === 'anywhere') return [cell, ...near.map((at) => order[at] ?? null)];
  const byCell = new Map(living.map((each) => [each.lot.spot?.cell ?? null, each]));
  // In its family is where the nearest thing before or behind is of it.
  const besideFamily = (at: number): boolean =>
    [-1, 1].some((step) => {
      for (let i = at + step; i >= 0 && i < order.length; i += step) {
        const other = byCell.get(order[i] ?? null);
        if (other) return isAlike(other);
      }
      return false;
    });
  return [cell, ...near.filter(besideFamily).map((at) => order[at] ?? null)];
}

function clearance(thing: Lodger, unit: Unit, cell: number | null): SetDown<Lodger>['clear'] {
  const size = wayIn(thing, { unit, cell });
  if (!size || !unit.model) return null;
  const { widthUm, heightUm, depthUm } = insideAt(unit, unit.model, cell).space;
  return {
    acrossUm: widthUm - size.widthUm,
    aboveUm: heightUm - size.heightUm,
    beforeUm: depthUm - size.depthUm,
  };
}
