import { pocketFit, type PocketFit } from '../fit/pocket';
import { bodyOf } from '../stash/body';
import { isOfPaper } from './care';
import type { Lodger } from './mayLive';
import { holdsOf } from './models/models';
import { endOf, type Unit } from './unit';

/** A wider strip than this is no trim any more, µm. */
const MOST_TRIM_UM = 15_000;

/**
 * What has to be cut off a sheet that is too large for a pocket, where that is little; null where it fits, where it is no sheet or no
 * pocket, or where too much would go.
 */
export function trimFor(
  { supply, lot }: Lodger,
  { unit, cell }: { readonly unit: Unit; readonly cell: number | null },
): PocketFit | null {
  if (!unit.model || endOf(unit) !== 'pocket' || !isOfPaper(supply)) return null;
  const { widthUm, heightUm, depthUm } = bodyOf(supply, lot).one;
  const pocket = holdsOf(unit.model).space(cell);
  // The two large sides of a thin thing, as it would be slid in.
  const across = widthUm < depthUm ? depthUm : widthUm;
  const fit = pocketFit({ widthUm: across, heightUm }, pocket, { mayTrimUm: MOST_TRIM_UM });
  return fit.verdict === 'trim' ? fit : null;
}
