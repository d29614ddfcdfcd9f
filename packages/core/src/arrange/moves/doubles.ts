import type { Holding } from '../../stash/holding';

/** A lot, as one of its like may stand in for it. */
type Lot = Pick<Holding, 'id' | 'supplyId' | 'as' | 'left' | 'items' | 'sizeUm'>;

/**
 * Tells of two lots whether one is as good as the other: of one supply, and with as much left. Undefined where no two are, so that
 * nobody need ask.
 */
export function doublesIn(lots: readonly Lot[]): ((a: string, b: string) => boolean) | undefined {
  const sorts = new Map<string, string>();
  const seen = new Set<string>();
  let some = false;
  for (const { id, supplyId, as, left, items, sizeUm } of lots) {
    const sort = [supplyId, as, left, items, sizeUm?.widthUm, sizeUm?.heightUm].join(' ');
    sorts.set(id, sort);
    some ||= seen.has(sort);
    seen.add(sort);
  }
  return some ? (a, b) => sorts.get(a) === sorts.get(b) : undefined;
}
