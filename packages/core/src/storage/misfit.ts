import type { EnvelopeMm } from '../kinds/definition';
import { fitInSlot, type FitRefusal } from './unit';

/** A thing no rack of its kind takes, and by how little the best one fails. */
export interface Misfit<T> {
  readonly item: T;
  readonly refusal: FitRefusal;
}

/**
 * Things whose outside fits no slot among the units made for their kind: what came with a bulk lot and does not suit
 * the room. Kinds without any unit are not asked about.
 */
export function misfits<T extends { readonly kind: string }>(
  items: readonly T[],
  sizeOf: (item: T) => EnvelopeMm,
  units: readonly { readonly holds: readonly string[]; readonly slot: EnvelopeMm }[],
): Misfit<T>[] {
  return items.flatMap((item): Misfit<T>[] => {
    const refusals = units
      .filter(({ holds }) => holds.includes(item.kind))
      .map(({ slot }) => fitInSlot(sizeOf(item), slot));
    if (refusals.length === 0 || refusals.includes(null)) return [];
    const by = ({ needMm, haveMm }: FitRefusal): number => needMm - haveMm;
    const [closest] = refusals
      .filter((refusal): refusal is FitRefusal => refusal !== null)
      .sort((p, q) => by(p) - by(q));
    return closest ? [{ item, refusal: closest }] : [];
  });
}
