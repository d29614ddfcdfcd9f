import { FAMILY_GROUP_INFO, formOf, sayLeft } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';

/** "Slot B2·04, Marsh Lantern, green, full pad, 2 · half". */
export function saySlot(address: string, supply: SupplyView | null): string {
  if (!supply) return `Slot ${address}, open`;
  const form = formOf(supply.kind, supply.form);
  const family = FAMILY_GROUP_INFO[supply.group].name.toLowerCase();
  return `Slot ${address}, ${supply.name}, ${family}, ${form.name}, ${sayLeft(supply.stock, form)}`;
}
