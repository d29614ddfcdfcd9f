import { FAMILY_GROUP_INFO, formOf } from '@red-shelf/core';
import type { Living } from '../api/contents';
import { sayLotAmount } from '../copy/lots';

/** "Slot B2·04, Marsh Lantern, green, full pad, 2 · half"; "In K, …" where things lie loose. */
export function saySlot(address: string, living: Living | null, loose = false): string {
  const place = loose ? `In ${address}` : `Slot ${address}`;
  if (!living) return `${place}, open`;
  const { supply, lot } = living;
  const family = FAMILY_GROUP_INFO[supply.group].name.toLowerCase();
  const form = formOf(supply.kind, supply.form);
  return `${place}, ${supply.name}, ${family}, ${form.name}, ${sayLotAmount(supply, lot)}`;
}
