import { writeFile } from 'node:fs/promises';
import { addressIn, inStash, placedLots, writeCsv, writeLots, type PlaceSpot } from '@red-shelf/core';
import { asidesIn } from './asides';
import { allSupplies } from '../db/supplyRepository';
import { standingUnits } from '../db/unitRepository';
import type { Context } from './context';
import { supplyToView, unitToView } from './views';

/** Writes the stash as it is into a file, as a list; what was let go stays in the document. */
export async function writeCsvTo({ store }: Context, file: string): Promise<void> {
  const { rows, standing, asides } = await store.snapshot(async (db) => ({
    rows: (await allSupplies(db)).filter(({ supply }) => inStash(supply)),
    standing: await standingUnits(db),
    asides: await asidesIn(db),
  }));
  const units = new Map(standing.map((unit) => [unit.id, unitToView(unit)]));
  const placeOf = (spot: PlaceSpot | null): string => {
    const unit = units.get(spot?.unitId ?? '');
    return unit && unit.label !== '' && spot ? addressIn(unit, spot.cell) : '';
  };
  const list = rows.map((row) => {
    const { items, left } = supplyToView(row).stock;
    const places = placedLots(row.lots).map(({ spot }) => placeOf(spot));
    const lots = row.lots.map((lot) => ({ ...lot, place: placeOf(lot.spot) }));
    return {
      ...row.supply,
      items,
      left,
      place: places.filter(Boolean).join(', '),
      lots: writeLots(lots, row.supply),
      aside: asides.get(row.supply.id) ?? '',
    };
  });
  await writeFile(file, writeCsv(list));
}
