import { HAND_ID, isOnWall, pathTo, ROOM_ID } from '@red-shelf/core';
import type { ChangeView, EditedUnit, LiftedView, NewUnit, UnitView, WallView } from '@red-shelf/contract';
import type { Tx } from '../db/tx';
import { standingUnits, unitRecord, type UnitRecord } from '../db/unitRepository';
import { notFound, Refusal } from './refusal';
import { refuseStale, type Context } from './context';
import { liftUnfitIn } from './placing';
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

/** The first letter no standing unit has: A to Z, then AA to ZZ. */
export function freeLabel(taken: ReadonlySet<string>): string {
  const alphabet = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
  const all = [...alphabet, ...alphabet.flatMap((first) => alphabet.map((second) => first + second))];
  const label = all.find((candidate) => !taken.has(candidate));
  if (!label)
    throw new Refusal(422, 'too_many_units', 'There are more units than letters to label them with.');
  return label;
}

export const labelsOf = (units: readonly UnitRecord[], but?: string): Set<string> =>
  new Set(units.flatMap(({ id, sort, label }) => (sort === 'unit' && id !== but ? [label] : [])));

/** A letter stands on every label printed: no two units share one. */
function refuseLabel(label: string, units: readonly UnitRecord[], but?: string): void {
  const other = units.find((unit) => unit.sort === 'unit' && unit.id !== but && unit.label === label);
  if (other)
    throw new Refusal(422, 'letter_taken', `${other.name} has the letter ${label} already; choose another.`, {
      fields: [{ path: 'label', code: 'custom', message: `${other.name} has the letter ${label} already.` }],
    });
}

/** A unit stands in the room, or in another unit that does not stand in it. */
function refuseParent(id: string, parentId: string, units: readonly UnitRecord[]): void {
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const parent = byId.get(parentId);
  if (!parent || parentId === HAND_ID) throw notFound('unit to stand in');
  if (pathTo(parent, byId).some((above) => above.id === id))
    throw new Refusal(422, 'invalid', 'A unit cannot stand in itself, or in what stands in it.');
}

export async function addUnit({ store, ports }: Context, given: NewUnit): Promise<ChangedUnit> {
  return store.write(async (tx) => {
    const standing = await standingUnits(tx);
    const { template, parentId = ROOM_ID, label = freeLabel(labelsOf(standing)), ...said } = given;
    refuseLabel(label, standing);
    const id = madeId(ports);
    refuseParent(id, parentId, standing);
    const record: UnitRecord = {
      ...said,
      id,
      version: 1,
      parentId,
      sort: 'unit',
      position: Math.max(-1, ...standing.map(({ sort, position }) => (sort === 'unit' ? position : -1))) + 1,
      label,
      facts: template === undefined ? {} : { template },
      removedAt: null,
    };
    const recorder = new Recorder(tx, ports);
    await recorder.putUnit(null, record);
    return { unit: unitToView(record), change: await recorder.finish('unit', record.name, 1), lifted: [] };
  });
}

async function mustFindUnit(tx: Tx, id: string): Promise<UnitRecord> {
  const unit = await unitRecord(tx, id);
  if (!unit || unit.removedAt || unit.sort !== 'unit') throw notFound('unit');
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
    refuseLabel(label, standing, id);
    refuseParent(id, parentId, standing);
    const recorder = new Recorder(tx, ports);
    const edited = { ...unit, ...said, label, parentId, version: version + 1 };
    const lifted = await liftUnfitIn(tx, recorder, edited);
    if (after === undefined || after === id) await recorder.putUnit(unit, edited);
    else await reorder(standing, recorder, unit, edited, after);
    const now = await mustFindUnit(tx, id);
    return { unit: unitToView(now), change: await recorder.finish('unit', given.name, 1), lifted };
  });
}

/** Puts a unit behind another, or to the front, and numbers the rest anew. */
async function reorder(
  standing: readonly UnitRecord[],
  recorder: Recorder,
  unit: UnitRecord,
  edited: UnitRecord,
  after: string | null,
): Promise<void> {
  const others = standing.filter(({ id, sort }) => id !== unit.id && sort === 'unit');
  const at = after === null ? 0 : others.findIndex(({ id }) => id === after) + 1;
  if (after !== null && at === 0) throw notFound('unit');
  const order = [...others.slice(0, at), unit, ...others.slice(at)];
  for (const [position, each] of order.entries()) {
    if (each.id === unit.id) await recorder.putUnit(unit, { ...edited, position });
    else if (each.position !== position)
      await recorder.putUnit(each, { ...each, position, version: each.version + 1 });
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

/** Refuses units that cannot be arranged into. */
export function refuseNoCells(units: readonly UnitView[]): void {
  const away = units.find((unit) => !isOnWall(unit));
  if (away) throw new Refusal(422, 'off_wall', `${away.name} is put away; bring it back to the wall first.`);
  const loose = units.find(({ model }) => model?.model !== 'grid');
  if (loose)
    throw new Refusal(
      422,
      'no_cells',
      `Things lie loose in ${loose.name}, without an order. Choose racks that have cells.`,
    );
}
