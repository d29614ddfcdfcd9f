import { freeLabel, mayStandIn, MOST_DEEP, movedBehind, ROOM_ID, unitLettered } from '@red-shelf/core';
import type { ChangeView, EditedUnit, LiftedView, newUnit, UnitView, WallView } from '@red-shelf/contract';
import type { z } from 'zod';
import type { Tx } from '../db/tx';
import { standingUnits, unitRecord, type UnitRecord } from '../db/unitRepository';
import { notFound, Refusal } from './refusal';
import { refuseStale, type Context } from './context';
import { keepInPlace, liftUnfitIn } from './placing';
import { madeId } from './ports';
import { Recorder } from './recorder';
import { unitToView } from './views';

interface ChangedUnit {
  unit: UnitView;
  change: ChangeView;
  lifted: LiftedView;
}

/** The room and the units in it; the hand is not drawn. */
export async function getWall({ store }: Context): Promise<WallView> {
  const standing = await standingUnits(store.read);
  return {
    roomName: standing.find(({ id }) => id === ROOM_ID)?.name ?? '',
    units: standing.filter(({ sort }) => sort === 'unit' || sort === 'piece').map(unitToView),
  };
}

/** A letter for a unit that asks for none. */
export function nextLabel(units: readonly UnitRecord[], butId?: string): string {
  const label = freeLabel(units, butId);
  if (label === null)
    throw new Refusal(422, 'too_many_units', 'There are more units than letters to label them with.');
  return label;
}

function refuseLabel(label: string, units: readonly UnitRecord[], but?: string): void {
  const other = unitLettered(units, label, but);
  if (other)
    throw new Refusal(422, 'letter_taken', `${other.name} has the letter ${label} already; choose another.`, {
      fields: [{ path: 'label', code: 'custom', message: `${other.name} has the letter ${label} already.` }],
    });
}

function refuseParent(id: string, parentId: string, units: readonly UnitRecord[]): void {
  const no = mayStandIn(id, parentId, units);
  if (no === 'no_such_unit') throw notFound('unit to stand in');
  if (no === 'too_deep')
    throw new Refusal(
      422,
      'too_deep',
      `That would be more than ${MOST_DEEP} things inside one another. Put it further up.`,
    );
  if (no) throw new Refusal(422, 'invalid', 'A unit cannot stand in itself, or in what stands in it.');
}

/** A unit says how it holds things; a piece holds only units. */
function refuseModel({ sort, model }: Pick<UnitRecord, 'sort' | 'model'>): void {
  if (sort === 'unit' && !model)
    throw new Refusal(422, 'invalid', 'A unit needs sizes: say how it holds things.');
  if (sort === 'piece' && model)
    throw new Refusal(422, 'invalid', 'A piece holds units; put a unit into it that holds the things.');
}

export async function addUnit(
  { store, ports }: Context,
  given: z.output<typeof newUnit>,
): Promise<ChangedUnit> {
  return store.write(async (tx) => {
    const standing = await standingUnits(tx);
    const { template, parentId = ROOM_ID, label: asked, facts, ...said } = given;
    refuseModel(given);
    const label = given.sort === 'piece' ? '' : (asked ?? nextLabel(standing));
    if (given.sort === 'unit') refuseLabel(label, standing);
    const id = madeId(ports);
    refuseParent(id, parentId, standing);
    const record: UnitRecord = {
      ...said,
      id,
      version: 1,
      parentId,
      position:
        Math.max(-1, ...standing.map(({ sort, position }) => (sort === given.sort ? position : -1))) + 1,
      label,
      facts: { ...facts, ...(template === undefined ? {} : { template }) },
      removedAt: null,
    };
    const recorder = new Recorder(tx, ports);
    await recorder.putUnit(null, record);
    return { unit: unitToView(record), change: await recorder.finish('unit', record.name, 1), lifted: [] };
  });
}

async function mustFindUnit(tx: Tx, id: string): Promise<UnitRecord> {
  const unit = await unitRecord(tx, id);
  if (!unit || unit.removedAt || unit.sort === 'room' || unit.sort === 'hand') throw notFound('unit');
  return unit;
}

/**
 * Changes what a unit is: sizes, what it is made for, letter, name, what is known of it, where it stands in the order of
 * the wall. What no longer fits has no place any more, and is named.
 */
export async function editUnit(
  { store, ports }: Context,
  id: string,
  given: EditedUnit,
): Promise<ChangedUnit> {
  return store.write(async (tx) => {
    const unit = await mustFindUnit(tx, id);
    const { version, after, label = unit.label, parentId = unit.parentId ?? ROOM_ID, ...said } = given;
    refuseStale(version, unitToView(unit), given);
    const standing = await standingUnits(tx);
    refuseModel({ ...said, sort: unit.sort });
    if (unit.sort === 'unit') refuseLabel(label, standing, id);
    refuseParent(id, parentId, standing);
    const recorder = new Recorder(tx, ports);
    const edited = {
      ...unit,
      ...said,
      label: unit.sort === 'piece' ? '' : label,
      parentId,
      version: version + 1,
    };
    const lifted = await keepInPlace(tx, recorder, unit, edited);
    if (after === undefined || after === id || unit.sort === 'piece') await recorder.putUnit(unit, edited);
    else await reorder(standing, recorder, unit, edited, after);
    const now = await mustFindUnit(tx, id);
    return { unit: unitToView(now), change: await recorder.finish('unit', given.name, 1), lifted };
  });
}

/** Puts a unit behind another, or to the front, and numbers the rest anew: what they say stays as it was. */
async function reorder(
  standing: readonly UnitRecord[],
  recorder: Recorder,
  unit: UnitRecord,
  edited: UnitRecord,
  after: string | null,
): Promise<void> {
  const order = movedBehind(
    standing.filter(({ sort }) => sort === 'unit'),
    unit,
    after,
  );
  if (!order) throw notFound('unit');
  for (const [position, each] of order.entries()) {
    if (each.id === unit.id) await recorder.putUnit(unit, { ...edited, position });
    else if (each.position !== position) await recorder.putUnit(each, { ...each, position });
  }
}

/** Units that stand in one that goes move out to where it stood. */
export async function emptyOfUnits(tx: Tx, recorder: Recorder, unit: UnitRecord): Promise<void> {
  for (const inside of await standingUnits(tx))
    if (inside.parentId === unit.id)
      await recorder.putUnit(inside, { ...inside, parentId: unit.parentId, version: inside.version + 1 });
}

/** Takes a unit down. What lived in it stays in the stash, without a place. */
export async function removeUnit(
  { store, ports }: Context,
  id: string,
  version: number,
): Promise<ChangeView> {
  return store.write(async (tx) => {
    const unit = await mustFindUnit(tx, id);
    refuseStale(version, unitToView(unit));
    const recorder = new Recorder(tx, ports);
    const removed = { ...unit, version: version + 1, removedAt: ports.now() };
    await liftUnfitIn(tx, recorder, removed);
    await emptyOfUnits(tx, recorder, unit);
    await recorder.putUnit(unit, removed);
    return recorder.finish('unit', unit.name, 1);
  });
}
