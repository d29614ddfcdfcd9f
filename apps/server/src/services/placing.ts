import {
  becomesOne,
  countOfLot,
  formFor,
  formOf,
  HAND_ID,
  sameSpot,
  splitPostings,
  stayIn,
  unfitIn,
  type Holding,
  type PlaceSpot,
  type Refusal as NoPlace,
} from '@red-shelf/core';
import type { ChangeView, LiftedView, Place, SupplyView } from '@red-shelf/contract';
import { lotById, lotsOf } from '../db/holdingRepository';
import { supplyRecords, type SupplyRecord } from '../db/supplyRepository';
import type { Tx } from '../db/tx';
import { unitRecords, type UnitRecord } from '../db/unitRepository';
import { notFound, Refusal } from './refusal';
import { refuseStale, type Context } from './context';
import { madeId } from './ports';
import { Recorder } from './recorder';
import { lotsWithSupplies, Room, type LotOf } from './room';
import { mustFind } from './find';
import { supplyToView, unitToView } from './views';

const mm = (um: number): number => Math.round(um / 100) / 10;

/** Wording of why a thing may not live somewhere. */
export function refusePlace(no: NoPlace, { supply }: LotOf, unitName: string): Refusal {
  const form = formOf(supply.kind, supply.form).name;
  switch (no.code) {
    case 'too_wide':
    case 'too_high':
    case 'too_deep': {
      const side = { too_wide: 'wide', too_high: 'high', too_deep: 'deep' }[no.code];
      return new Refusal(
        422,
        no.code,
        `It does not fit: a ${form} is ${mm(no.needUm)} mm ${side}, the slot ${mm(no.haveUm)} mm.`,
      );
    }
    case 'run_full':
    case 'stack_full':
      return new Refusal(
        422,
        no.code,
        `It does not fit any more: it needs ${mm(no.needUm)} mm, and ${mm(no.haveUm)} mm are left.`,
      );
    case 'bore_too_small':
      return new Refusal(
        422,
        no.code,
        `The rod needs a hole of ${mm(no.needUm)} mm, and this one is ${mm(no.haveUm)} mm across.`,
      );
    case 'no_hole':
      return new Refusal(422, no.code, `A ${form} has no hole for the rod.`);
    case 'taken':
      return new Refusal(409, 'slot_taken', 'Something else lives in that slot. Lift it out first.');
    case 'limit_reached':
      return new Refusal(
        422,
        no.code,
        `${unitName} is limited to ${no.of} things and holds ${no.have}; something must leave first.`,
      );
    case 'off_wall':
      return new Refusal(422, no.code, `${unitName} is put away; bring it back to the wall first.`);
    case 'wrong_kind':
      return new Refusal(
        422,
        no.code,
        `${unitName} is not made for this kind of thing. Change what it is made for, or choose another place.`,
      );
    case 'let_go':
      return new Refusal(
        422,
        no.code,
        `“${supply.name}” was let go. Give it another standing first, if it is back.`,
      );
    case 'no_such_spot':
      return notFound('slot');
  }
}

/** Sets a lot down, or lifts it out for good; with an amount only that much of it. */
export async function placeHolding(
  { store, ports }: Context,
  id: string,
  { version, place, amount }: { version: number; place: Place | null; amount?: number | undefined },
): Promise<{ supply: SupplyView; change: ChangeView }> {
  return store.write(async (tx) => {
    const lot = await lotById(tx, id);
    if (!lot) throw notFound('lot');
    const found = await mustFind(tx, lot.supplyId);
    refuseStale(version, { ...supplyToView(found), version: lot.version });
    const recorder = new Recorder(tx, ports);
    const thing = { supply: found.supply, lot };
    const part = amount !== undefined && amount < countOf(thing) ? amount : undefined;
    if (amount !== undefined && amount > countOf(thing))
      throw new Refusal(
        422,
        'more_than_left',
        `There are only ${countOf(thing)} of it there, not ${amount}.`,
      );
    const room = await Room.of(tx, place ? [place.unitId] : []);
    const twin = place && found.lots.find((other) => joins(other, lot, place));
    if (part === undefined) room.lift(thing);
    const { to = null, others = [] } = (twin?.spot ? { to: twin.spot } : place && room.spotAt(place)) ?? {};
    if (to && !twin && !(lot.spot && part === undefined && isAt(lot.spot, to))) {
      const no = room.setDown(
        part === undefined ? thing : { ...thing, lot: { ...lot, id: '', spot: null } },
        to,
      );
      if (no) throw refusePlace(no, thing, room.unit(to.unitId)?.name ?? 'It');
    }
    if (twin || part !== undefined)
      await moveSome(recorder, thing, part ?? countOf(thing), to, twin ?? null, () => madeId(ports));
    else if (!sameSpot(lot.spot, to) || others.length > 0)
      await recorder.move([{ lotId: id, to }, ...others]);
    const change = await recorder.finish('place', found.supply.name, 1);
    return { supply: supplyToView(await mustFind(tx, lot.supplyId)), change };
  });
}

const isAt = (spot: PlaceSpot, { unitId, cell }: Place): boolean =>
  spot.unitId === unitId && spot.cell === cell;

/** How many a lot is when some of it is moved: things, sheets, pieces or µm. */
const countOf = ({ supply, lot }: LotOf): number => countOfLot(lot, formFor(supply));

/** Whether a lot put where another of the same supply, sort and size lives becomes one with it. */
const joins = (other: Holding, lot: Holding, place: Place): boolean =>
  other.spot !== null && isAt(other.spot, place) && becomesOne(other, lot);

/** Moves all of a lot to one of the same supply that is there: they become one. */
export const moveWhole = (
  recorder: Recorder,
  thing: LotOf,
  twin: Holding,
  to: PlaceSpot,
  newId: () => string,
): Promise<void> => moveSome(recorder, thing, countOf(thing), to, twin, newId);

/** Moves some of a lot: to one that is there already, or to a new one. Of pads and markers the fullest go. */
async function moveSome(
  recorder: Recorder,
  { supply, lot }: LotOf,
  amount: number,
  to: PlaceSpot | null,
  twin: Holding | null,
  newId: () => string,
): Promise<void> {
  const form = formFor(supply);
  let target = twin;
  if (!target) {
    const made = await recorder.addLots([
      { supplyId: supply.id, lot: { id: newId(), as: lot.as, sizeUm: lot.sizeUm } },
    ]);
    target = made.get(supply.id) ?? null;
  }
  if (!target) throw new Error('A lot was not made');
  const postings = splitPostings(lot, target.id, amount, form);
  const all = amount === countOfLot(lot, form);
  // A lot that went whole to its twin keeps no place of its own.
  const gone = all && lot.spot ? [{ lotId: lot.id, to: null }] : [];
  await recorder.move([...(twin ? [] : [{ lotId: target.id, to }]), ...gone], { [supply.id]: postings });
}

/** Lots of these supplies that no longer fit where they are, lifted and named. */
export async function liftUnfit(
  tx: Tx,
  recorder: Recorder,
  supplies: readonly SupplyRecord[],
): Promise<LiftedView> {
  const byId = new Map(supplies.map((supply) => [supply.id, supply]));
  const lots = [...(await lotsOf(tx, [...byId.keys()])).values()].flat().filter(({ spot }) => spot !== null);
  const units = await unitRecords(tx, [...new Set(lots.flatMap(({ spot }) => spot?.unitId ?? []))]);
  const unfit = [...units.values()].flatMap((unit) =>
    unfitIn(
      unitToView(unit),
      lots.flatMap((lot) => {
        const supply = byId.get(lot.supplyId);
        return supply && lot.spot?.unitId === unit.id ? [{ supply, lot }] : [];
      }),
    ),
  );
  return liftAll(recorder, unfit);
}

/** In a unit that is changed things keep their row and column; what that no longer takes is lifted and named. */
export async function keepInPlace(
  tx: Tx,
  recorder: Recorder,
  before: UnitRecord,
  after: UnitRecord,
): Promise<LiftedView> {
  const inside = await lotsWithSupplies(tx, [after.id]);
  const { moved, lifted } = stayIn(unitToView(before), unitToView(after), inside);
  await recorder.move([
    ...lifted.map(({ lot }) => ({ lotId: lot.id, to: null })),
    ...moved.map(({ thing: { lot }, cell }) => ({
      lotId: lot.id,
      to: { unitId: after.id, cell, rank: lot.spot?.rank ?? 0 },
    })),
  ]);
  return lifted.map(({ supply }) => ({ supplyId: supply.id, name: supply.name }));
}

/** What a unit that was changed no longer takes, lifted and named; all of it when it is gone or put away. */
export async function liftUnfitIn(tx: Tx, recorder: Recorder, unit: UnitRecord): Promise<LiftedView> {
  if (unit.id === HAND_ID) return [];
  const inside = await lotsWithSupplies(tx, [unit.id]);
  return liftAll(recorder, unit.removedAt === null ? unfitIn(unitToView(unit), inside) : inside);
}

async function liftAll(recorder: Recorder, things: readonly LotOf[]): Promise<LiftedView> {
  await recorder.move(things.map(({ lot }) => ({ lotId: lot.id, to: null })));
  return things.map(({ supply }) => ({ supplyId: supply.id, name: supply.name }));
}

/** Says how large a base or a scrap is; where it no longer fits it has no place any more. */
export async function sizeHolding(
  { store, ports }: Context,
  id: string,
  { version, sizeUm }: { version: number; sizeUm: Holding['sizeUm'] },
): Promise<{ supply: SupplyView; change: ChangeView; lifted: LiftedView }> {
  return store.write(async (tx) => {
    const lot = await lotById(tx, id);
    if (!lot) throw notFound('lot');
    const found = await mustFind(tx, lot.supplyId);
    refuseStale(version, { ...supplyToView(found), version: lot.version });
    if (lot.as !== 'base' && lot.as !== 'scrap')
      throw new Refusal(422, 'invalid', 'Only bases and scraps have a size of their own.');
    const recorder = new Recorder(tx, ports);
    await recorder.sizeLot(lot, sizeUm);
    const [supply] = [...(await supplyRecords(tx, [lot.supplyId])).values()];
    const lifted = supply ? await liftUnfit(tx, recorder, [supply]) : [];
    const change = await recorder.finish('lot', found.supply.name, 1);
    return { supply: supplyToView(await mustFind(tx, lot.supplyId)), change, lifted };
  });
}
