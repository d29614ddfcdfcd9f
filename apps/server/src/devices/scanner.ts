import { withCheckDigit } from '@red-shelf/core';
import { stashList, type Context } from '../services/context';

/** A thing lying within reach of the simulated scanner. */
export interface Scannable {
  readonly label: string;
  readonly barcode: string;
}
const MOST = 8;
/** Things that lie about but are in nobody's stash. */
const STRANGERS: readonly Scannable[] = [
  { label: 'A pad from the shop shelf', barcode: withCheckDigit('299000000417') },
  { label: 'A spool somebody brought along', barcode: withCheckDigit('299000000523') },
];

/** What the simulated scanner can be pointed at: some owned things that have a barcode, and two that are not owned. */
export async function scannables(context: Context): Promise<Scannable[]> {
  const owned = (await stashList(context).all()).flatMap(({ name, facts }) =>
    facts.barcode ? [{ label: name, barcode: facts.barcode }] : [],
  );
  return [...owned.slice(0, MOST), ...STRANGERS];
}
