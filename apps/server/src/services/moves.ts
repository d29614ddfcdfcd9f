import { becomesOne, type Holding, type PlaceSpot } from '@red-shelf/core';
import type { ChangeView, Place } from '@red-shelf/contract';
import { lotsByIds, lotsOf } from '../db/holdingRepository';
import { supplyRecords } from '../db/supplyRepository';
import type { Context } from './context';
import { refuseStale } from './context';
import { moveWhole, refusePlace } from './placing';
import { madeId } from './ports';
import { Recorder, type Move } from './recorder';
import { notFound } from './refusal';
import { Room } from './room';

interface Asked {
  readonly id: string;
  readonly version: number;
  readonly place: Place | null;
}

/** Sets several lots down, or lifts them, as one change: all are in hand first, so that they may change places. All or none. */
export async function moveHoldings(
  { store, ports }: Context,
  { moves }: { readonly moves: readonly Asked[] },
): Promise<ChangeView> {
  return store.write(async (tx) => {
    const lots = await lotsByIds(
      tx,
      moves.map(({ id }) => id),
    );
    const owners = [...new Set([...lots.values()].map(({ supplyId }) => supplyId))];
    const [supplies, siblings] = [await supplyRecords(tx, owners), await lotsOf(tx, owners)];
    const things = moves.map(({ id, version, place }) => {
      const lot = lots.get(id);
      const supply = supplies.get(lot?.supplyId ?? '');
      if (!lot || !supply || supply.removedAt !== null) throw notFound('lot');
      refuseStale(version, lot);
      return { supply, lot, place };
    });
    const units = things.flatMap(({ lot, place }) => [lot.spot?.unitId ?? [], place?.unitId ?? []].flat());
    const room = await Room.of(tx, units);
    for (const thing of things) room.lift(thing);
    const recorder = new Recorder(tx, ports);
    const moving = new Set(things.map(({ lot }) => lot.id));
    const plain = new Map<string, Move>();
    const joining: { thing: (typeof things)[number]; twin: Holding; to: PlaceSpot }[] = [];
    for (const thing of things) {
      const { supply, lot, place } = thing;
      const twin = (siblings.get(supply.id) ?? []).find(
        (other) =>
          place !== null &&
          !moving.has(other.id) &&
          other.spot?.unitId === place.unitId &&
          other.spot.cell === place.cell &&
          becomesOne(other, lot),
      );
      if (place && twin?.spot) {
        joining.push({ thing, twin, to: twin.spot });
        continue;
      }
      const found = place && room.spotAt(place);
      const to = found?.to ?? null;
      // What is numbered anew since something comes before it.
      for (const other of found?.others ?? []) plain.set(other.lotId, other);
      const no = to && room.setDown({ supply, lot: { ...lot, spot: null } }, to);
      if (no) throw refusePlace(no, thing, room.unit(to?.unitId ?? '')?.name ?? 'It');
      plain.set(lot.id, { lotId: lot.id, to });
    }
    await recorder.move([...plain.values()]);
    for (const { thing, twin, to } of joining)
      await moveWhole(recorder, thing, twin, to, () => madeId(ports));
    return recorder.finish('place', things[0]?.supply.name ?? '', things.length);
  });
}
