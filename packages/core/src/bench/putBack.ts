import { isRefusal, mayLive, type Lodger, type RoomNow } from '../storage/mayLive';
import { holdsOf } from '../storage/models/models';
import type { Spot } from '../stash/spot';
import type { Unit } from '../storage/unit';

/** Where something goes back to, and whether that is where it stood. */
export interface BackTo {
  readonly unitId: string;
  readonly cell: number | null;
  readonly exact: boolean;
}

/**
 * Where a thing that is out goes back to, as its place allows: to the spot it stood in; where that is taken, to the nearest open
 * one of the same place, unless things go back exactly there. Null where it has to be found another.
 */
export function backTo(
  thing: Lodger,
  from: Pick<Spot, 'unitId' | 'cell'> | null,
  unit: Unit | undefined,
  room: RoomNow,
): BackTo | null {
  if (!from || !unit) return null;
  const may = (cell: number | null): boolean => !isRefusal(mayLive(thing, { unit, cell }, room));
  if (may(from.cell)) return { unitId: unit.id, cell: from.cell, exact: true };
  if (!unit.model || unit.facts.tolerance === 'exact' || from.cell === null) return null;
  const stood = from.cell;
  const open = holdsOf(unit.model)
    .order.filter(may)
    .sort((p, q) => Math.abs(p - stood) - Math.abs(q - stood));
  const [cell] = open;
  return cell === undefined ? null : { unitId: unit.id, cell, exact: false };
}
