import { freeLabel, mayStandIn, movedBehind, ROOM_ID, unitLettered } from '@red-shelf/core';
import type { z } from 'zod';
import type { editedUnit, newUnit, UnitView } from '../wall';
import { foretold, type Foretold, type Known, type Naming } from './known';
import { keepInPlace, livingIn, lifting } from './lift';

/** The room and the hand stand always, and are not drawn. */
const ROOM = { id: ROOM_ID, parentId: null };

/** Whether a letter and what a unit stands in can be: null where they will be refused, or are not known. */
const mayBe = (units: readonly UnitView[], { id, sort, label, model, parentId }: UnitView): boolean =>
  (model === null) === (sort === 'piece') &&
  (sort === 'piece' || !unitLettered(units, label, id)) &&
  mayStandIn(id, parentId ?? ROOM_ID, [ROOM, ...units]) === null;

/** The wall with a unit put up. */
export function foretellUnit(
  known: Known,
  naming: Naming,
  { template, parentId = ROOM_ID, label, facts, ...said }: z.output<typeof newUnit>,
): Foretold | null {
  const units = known.units();
  const letter = said.sort === 'piece' ? '' : (label ?? freeLabel(units));
  if (letter === null) return null;
  const unit: UnitView = {
    ...said,
    id: naming.nextId(),
    version: 1,
    parentId,
    label: letter,
    facts: { ...facts, ...(template === undefined ? {} : { template }) },
  };
  if (!mayBe(units, unit)) return null;
  return foretold(naming, 'unit', unit.name, { units: [...units, unit] });
}

/** The wall with a unit changed, and what no longer fits in it lifted. */
export function foretellUnitEdit(
  known: Known,
  naming: Naming,
  id: string,
  { version, after, ...said }: z.output<typeof editedUnit>,
): Foretold | null {
  const units = known.units();
  const unit = known.unit(id);
  if (!unit || unit.version !== version) return null;
  const { label = unit.label, parentId = unit.parentId ?? ROOM_ID, ...rest } = said;
  const edited: UnitView = {
    ...unit,
    ...rest,
    label: unit.sort === 'piece' ? '' : label,
    parentId,
    version: version + 1,
  };
  if (!mayBe(units, edited)) return null;
  const stays = after === undefined || after === id || unit.sort === 'piece';
  const order = stays ? units : movedBehind(units, unit, after);
  if (!order) return null;
  return foretold(naming, 'unit', said.name, {
    units: order.map((each) => (each.id === id ? edited : each)),
    ...keepInPlace(known, naming, unit, edited),
  });
}

/** The wall with a unit taken down: what lived in it has no place, units in it move out to where it stood. */
export function foretellTakeDown(known: Known, naming: Naming, id: string, version: number): Foretold | null {
  const unit = known.unit(id);
  if (!unit || unit.version !== version) return null;
  const { supplies } = lifting(naming, livingIn(known, id));
  const movedOut = (each: UnitView): UnitView =>
    each.parentId === id ? { ...each, parentId: unit.parentId, version: each.version + 1 } : each;
  const units = known
    .units()
    .filter((each) => each.id !== id)
    .map(movedOut);
  return foretold(naming, 'unit', unit.name, { units, supplies });
}
