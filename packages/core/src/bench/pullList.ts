import { bodyOf } from '../stash/body';
import type { Spot } from '../stash/spot';
import type { Lodger } from '../storage/mayLive';
import { cellsBefore } from '../storage/models/grid';
import { holdsOf } from '../storage/models/models';
import { reachesIn } from '../storage/room/reach';
import { wayTo, type WayStep } from '../storage/room/way';
import { HAND_ID, pathTo, type Unit } from '../storage/unit';

/** A thing in its place. */
export interface Pulled extends Lodger {
  readonly lot: Lodger['lot'] & { readonly spot: Spot | null };
}
/** One thing to fetch. */
export interface PullRow<L extends Pulled> {
  readonly thing: L;
  readonly unit: Unit;
  readonly cell: number | null;
  /** From the room inwards: what is gone to, opened and lifted. */
  readonly way: readonly WayStep[];
  /** What stands before it in its own place and is taken out first. */
  readonly before: readonly L[];
}
/** A tray that had better be carried as it is. */
export interface PullTray {
  readonly unit: Unit;
  /** How many of the list are in it. */
  readonly takes: number;
  /** Of all that is in it, mg. */
  readonly massMg: number;
  /** What it takes of the desk, µm. */
  readonly widthUm: number;
  readonly depthUm: number;
}
export interface PullList<L extends Pulled> {
  readonly rows: readonly PullRow<L>[];
  readonly trays: readonly PullTray[];
  /** On the bench already. */
  readonly out: readonly L[];
  /** Nowhere that is known. */
  readonly lost: readonly L[];
}

/** From so many things on a tray is carried, if it is not heavier than this. */
const CARRY_FROM = 3;
const CARRIED_MG = 4_000_000;

/**
 * What is fetched for a job, in walking order: near pieces first, each unit in one go, within it by its cells. A tray that holds
 * three or more of them and that nothing fixes is carried whole where one arm carries it. Near n log n, with the units of the room.
 */
export function pullList<L extends Pulled>(
  things: readonly L[],
  units: readonly Unit[],
  livingIn: (unitId: string) => readonly L[],
): PullList<L> {
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const reaches = reachesIn(units);
  const rankOf = new Map(units.map(({ id }, i) => [id, i]));
  const pieceOf = (unit: Unit): Unit => pathTo(unit, byId).find(({ sort }) => sort !== 'room') ?? unit;
  const away = (unit: Unit): number => reaches.get(unit.id)?.awayUm ?? Infinity;
  const out = things.filter(({ lot }) => lot.spot?.unitId === HAND_ID);
  const placed = things.flatMap((thing) => {
    const unit =
      thing.lot.spot && thing.lot.spot.unitId !== HAND_ID ? byId.get(thing.lot.spot.unitId) : undefined;
    return unit ? [{ thing, unit, cell: thing.lot.spot?.cell ?? null }] : [];
  });
  const known = new Set([...out, ...placed.map(({ thing }) => thing)]);
  const rows = placed
    .map((row): PullRow<L> => ({ ...row, way: wayTo(row.unit, units), before: standsBefore(row, livingIn) }))
    .sort((p, q) => {
      const [a, b] = [pieceOf(p.unit), pieceOf(q.unit)];
      return (
        (a.id === b.id
          ? 0
          : compare(away(a), away(b)) || (rankOf.get(a.id) ?? 0) - (rankOf.get(b.id) ?? 0)) ||
        (rankOf.get(p.unit.id) ?? 0) - (rankOf.get(q.unit.id) ?? 0) ||
        (p.cell ?? 0) - (q.cell ?? 0) ||
        (p.thing.lot.spot?.rank ?? 0) - (q.thing.lot.spot?.rank ?? 0)
      );
    });
  const inside = new Set(units.map(({ parentId }) => parentId));
  const trays = [...new Set(rows.map(({ unit }) => unit))].flatMap((unit) => {
    const takes = rows.filter((row) => row.unit === unit).length;
    const tray =
      takes >= CARRY_FROM && !inside.has(unit.id) ? carriedWhole(unit, takes, livingIn(unit.id)) : null;
    return tray ? [tray] : [];
  });
  return { rows, trays, out, lost: things.filter((thing) => !known.has(thing)) };
}

const compare = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);

function standsBefore<L extends Pulled>(
  { unit, cell }: { readonly unit: Unit; readonly cell: number | null },
  livingIn: (unitId: string) => readonly L[],
): L[] {
  if (unit.model?.model !== 'grid' || cell === null) return [];
  const before = new Set(cellsBefore(unit.model, cell));
  return livingIn(unit.id).filter(({ lot }) => lot.spot?.cell !== null && before.has(lot.spot?.cell ?? -1));
}

/** A tray that is carried with all that is in it; null where it is fixed, or heavier than one arm carries. */
export function carriedWhole<U extends Unit>(
  unit: U,
  takes: number,
  all: readonly Lodger[],
): (PullTray & { readonly unit: U }) | null {
  const { fixedTo } = unit.facts;
  if (!unit.model || unit.sort !== 'unit' || (fixedTo && fixedTo !== 'nothing')) return null;
  const massMg = all.reduce((sum, { supply, lot }) => sum + bodyOf(supply, lot).massMg, 0);
  if (massMg > CARRIED_MG) return null;
  const holds = holdsOf(unit.model);
  const { widthUm = holds.outside().w, depthUm = holds.space(holds.shares ? null : 0).depthUm } =
    unit.facts.outsideUm ?? {};
  return { unit, takes, massMg, widthUm, depthUm };
}
