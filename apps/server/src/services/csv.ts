import { writeFile } from 'node:fs/promises';
import { addressIn, inStash, placedLots, writeCsv } from '@red-shelf/core';
import { allSupplies } from '../db/supplyRepository';
import { standingUnits } from '../db/unitRepository';
import type { Context } from './context';
import { supplyToView, unitToView } from './views';

/** Writes the stash as it is into a file, as a list; what was let go stays in the document. */
export async function writeCsvTo({ store }: Context, file: string): Promise<void> {
  const rows = (await allSupplies(store.read)).filter(({ supply }) => inStash(supply));
  const units = new Map((await standingUnits(store.read)).map((unit) => [unit.id, unitToView(unit)]));
  const list = rows.map((row) => {
    const { items, left } = supplyToView(row).stock;
    const place = placedLots(row.lots)
      .flatMap(({ spot }) => {
        const unit = units.get(spot?.unitId ?? '');
        return unit && unit.label !== '' && spot ? [addressIn(unit, spot.cell)] : [];
      })
      .join(', ');
    return { ...row.supply, items, left, place };
  });
  await writeFile(file, writeCsv(list));
}
