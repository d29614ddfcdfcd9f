import type { FormDefinition } from '../kinds/definition';
import type { Holding } from '../stash/holding';
import type { Posting, Shift } from './event';

type Form = Pick<FormDefinition, 'counting' | 'usesPerFill'>;
type Lot = Pick<Holding, 'id' | 'as' | 'items' | 'left'>;

/** How many a lot is when some of it is moved: things, sheets, pieces or µm. */
export const countOfLot = ({ as, items, left }: Lot, { counting }: Form): number =>
  as === 'whole' && counting !== 'fill' ? left : items;

/** Postings that bring an amount of one lot to another. Of pads and markers the fullest go. */
export function splitPostings(lot: Lot, toId: string, amount: number, form: Form): readonly Posting[] {
  const fill = lot.as === 'whole' && form.counting === 'fill';
  const all = amount === countOfLot(lot, form);
  const fullest = all ? lot.left : Math.min(lot.left, amount * (form.usesPerFill ?? 1));
  const [items, left] = fill ? [amount, fullest] : lot.as === 'whole' ? [0, amount] : [amount, 0];
  return [
    // What arrives is written first, so that what leaves is never clipped by it.
    { holdingId: toId, items, left, how: 'by' },
    { holdingId: lot.id, items: -items, left: -left, how: 'by' },
  ];
}

/** Whether a lot put where another of the same supply is becomes one with it: the same sort, the same size. */
export const becomesOne = (
  a: Pick<Holding, 'id' | 'as' | 'sizeUm'>,
  b: Pick<Holding, 'id' | 'as' | 'sizeUm'>,
): boolean =>
  a.id !== b.id &&
  a.as === b.as &&
  a.sizeUm?.widthUm === b.sizeUm?.widthUm &&
  a.sizeUm?.heightUm === b.sizeUm?.heightUm;

/** Packs, bases and scraps that a set of postings uses up: what is gone needs no place. */
export function emptiedShifts(
  postings: readonly Posting[],
  lots: ReadonlyMap<string, Pick<Holding, 'as' | 'items' | 'spot'>>,
): Shift[] {
  return postings.flatMap(({ holdingId, items, how }): Shift[] => {
    const lot = lots.get(holdingId);
    if (!lot?.spot || lot.as === 'whole') return [];
    const now = how === 'to' ? items : lot.items + items;
    return now <= 0 ? [{ holdingId, from: lot.spot, to: null }] : [];
  });
}
