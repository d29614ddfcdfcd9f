import {
  envelopeOf,
  findTemplate,
  fitInSlot,
  formOf,
  isOnWall,
  slotCount,
  type FitRefusal,
} from '@red-shelf/core';
import type {
  ChangeView,
  EditedUnit,
  NewUnit,
  Place,
  SupplyView,
  UnitView,
  WallView,
} from '@red-shelf/contract';
import { findSupply } from '../db/supplyRepository';
import {
  allPlacements,
  placementAt,
  setting,
  standingUnits,
  unitRecord,
  type UnitRecord,
} from '../db/wallRepository';
import { notFound, Refusal } from '../http/problem';
import type { Tx } from '../db/open';
import { refuseStale, type Context } from './context';
import { ROOM_NAME } from './document';
import { Recorder } from './recorder';
import { supplyToView, unitToView } from './views';

export async function getWall({ store }: Context): Promise<WallView> {
  const units = await standingUnits(store.read);
  return { roomName: (await setting(store.read, ROOM_NAME)) || 'My wall', units: units.map(unitToView) };
}

/** The first letter no standing unit has: A to Z, then AA to ZZ. */
function freeLetter(taken: ReadonlySet<string>): string {
  const alphabet = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
  const all = [...alphabet, ...alphabet.flatMap((first) => alphabet.map((second) => first + second))];
  const letter = all.find((candidate) => !taken.has(candidate));
  if (!letter)
    throw new Refusal(422, 'too_many_units', 'There are more units than letters to label them with.');
  return letter;
}

/** Sizes are kept as whole micrometres. */
const um = (mm: number): number => Math.round(mm * 1000);

export function unitRecordFrom(id: string, letter: string, position: number, given: NewUnit): UnitRecord {
  const template = findTemplate(given.template);
  if (!template) throw notFound('kind of unit');
  const slot = given.slot ?? template.slot;
  return {
    id,
    version: 1,
    position,
    letter,
    name: given.name,
    template: template.id,
    rows: given.rows,
    columns: given.columns,
    slotWidthUm: um(slot.widthMm),
    slotHeightUm: um(slot.heightMm),
    slotDepthUm: um(slot.depthMm),
    facts: {},
    removedAt: null,
  };
}

export async function addUnit(
  { store, ports }: Context,
  given: NewUnit,
): Promise<{ unit: UnitView; change: ChangeView }> {
  return store.write(async (tx) => {
    const standing = await standingUnits(tx);
    const letter = freeLetter(new Set(standing.map((unit) => unit.letter)));
    const position = Math.max(-1, ...standing.map((unit) => unit.position)) + 1;
    const recorder = new Recorder(tx, ports);
    const record = unitRecordFrom(ports.newId(), letter, position, given);
    await recorder.addUnit(record);
    return { unit: unitToView(record), change: await recorder.finish('unit', record.name, 1) };
  });
}

/** Renames a unit, changes what is known of it, or moves it in the order of the wall. Off the wall it holds nothing. */
export async function editUnit(
  { store, ports }: Context,
  id: string,
  given: EditedUnit,
): Promise<{ unit: UnitView; change: ChangeView }> {
  return store.write(async (tx) => {
    const unit = await unitRecord(tx, id);
    if (!unit || unit.removedAt) throw notFound('unit');
    refuseStale(given.version, unitToView(unit), given);
    const recorder = new Recorder(tx, ports);
    if (isOnWall(unit.facts) && !isOnWall(given.facts)) {
      const inside = (await allPlacements(tx)).filter(({ unitId }) => unitId === id);
      await recorder.setPlaces(new Map(inside.map(({ supplyId }) => [supplyId, null])));
    }
    const edited = { ...unit, name: given.name, facts: given.facts, version: unit.version + 1 };
    if (given.after === undefined || given.after === id) await recorder.writeUnit(unit, edited);
    else await reorder(tx, recorder, unit, edited, given.after);
    const now = await unitRecord(tx, id);
    if (!now) throw notFound('unit');
    return { unit: unitToView(now), change: await recorder.finish('unit', given.name, 1) };
  });
}

/** Puts a unit behind another, or to the front, and numbers the rest anew. */
async function reorder(
  tx: Tx,
  recorder: Recorder,
  unit: UnitRecord,
  edited: UnitRecord,
  after: string | null,
): Promise<void> {
  const others = (await standingUnits(tx)).filter(({ id }) => id !== unit.id);
  const at = after === null ? 0 : others.findIndex(({ id }) => id === after) + 1;
  if (after !== null && at === 0) throw notFound('unit');
  const order = [...others.slice(0, at), unit, ...others.slice(at)];
  for (const [position, each] of order.entries()) {
    if (each.id === unit.id) await recorder.writeUnit(unit, { ...edited, position });
    else if (each.position !== position)
      await recorder.writeUnit(each, { ...each, position, version: each.version + 1 });
  }
}

/** Takes a unit down. What lived in it stays in the stash, without a place. */
export async function removeUnit(
  { store, ports }: Context,
  id: string,
  version: number,
): Promise<ChangeView> {
  return store.write(async (tx) => {
    const unit = await unitRecord(tx, id);
    if (!unit || unit.removedAt) throw notFound('unit');
    refuseStale(version, unit);
    const inside = (await allPlacements(tx)).filter(({ unitId }) => unitId === id);
    const recorder = new Recorder(tx, ports);
    await recorder.setPlaces(new Map(inside.map(({ supplyId }) => [supplyId, null])));
    await recorder.writeUnit(unit, { ...unit, version: version + 1, removedAt: ports.now() });
    return recorder.finish('unit', unit.name, 1);
  });
}

const SIDE: Record<FitRefusal['code'], string> = { too_wide: 'wide', too_high: 'high', too_deep: 'deep' };

/** Sets one supply down in a slot, or lifts it out for good. */
export async function placeSupply(
  { store, ports }: Context,
  id: string,
  place: Place | null,
): Promise<{ supply: SupplyView; change: ChangeView }> {
  return store.write(async (tx) => {
    const found = await findSupply(tx, id);
    if (!found) throw notFound('supply');
    if (place) {
      const unit = await unitRecord(tx, place.unitId);
      if (!unit || unit.removedAt || place.slot >= slotCount(unit)) throw notFound('slot');
      if (!isOnWall(unit.facts))
        throw new Refusal(422, 'off_wall', `${unit.name} is put away; bring it back to the wall first.`);
      const there = await placementAt(tx, place.unitId, place.slot);
      if (there && there.supplyId !== id)
        throw new Refusal(409, 'slot_taken', 'Something else lives in that slot. Lift it out first.');
      const form = formOf(found.supply.kind, found.supply.form);
      const refusal = fitInSlot(envelopeOf(found.supply), unitToView(unit).slot);
      if (refusal)
        throw new Refusal(
          422,
          refusal.code,
          `It does not fit: a ${form.name} is ${refusal.needMm} mm ${SIDE[refusal.code]}, the slot ${refusal.haveMm} mm.`,
        );
    }
    const recorder = new Recorder(tx, ports);
    await recorder.setPlaces(new Map([[id, place]]));
    const change = await recorder.finish('place', found.supply.name, 1);
    const now = await findSupply(tx, id);
    if (!now) throw notFound('supply');
    return { supply: supplyToView(now), change };
  });
}
