import type { FlatSize } from '../stash/holding';
import type { CutPiece } from './event';

/** Whether two sizes are one; that nobody said either is one, too. */
export const sameSize = (a: FlatSize | null, b: FlatSize | null): boolean =>
  a?.widthUm === b?.widthUm && a?.heightUm === b?.heightUm;

/** Pieces of one sort and size together, so that one lot takes them. */
export function oneEach(pieces: readonly CutPiece[]): CutPiece[] {
  const found: CutPiece[] = [];
  for (const piece of pieces) {
    const at = found.findIndex(({ as, sizeUm }) => as === piece.as && sameSize(sizeUm, piece.sizeUm));
    const same = found[at];
    if (same) found[at] = { ...same, items: same.items + piece.items };
    else found.push(piece);
  }
  return found;
}
