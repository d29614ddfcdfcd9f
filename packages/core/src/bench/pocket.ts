import type { Spot } from '../stash/spot';

/** A supply with what of it lies where. */
export interface Pocketed {
  readonly id: string;
  readonly kind: string;
  readonly group: string;
  readonly holdings: readonly { readonly as: string; readonly items: number; readonly spot: Spot | null }[];
}

/** Where scraps of a supply go, the best first: where its own lie, then those of its family, then any of its kind. Each place once. */
export function pocketsFor(
  supply: Pocketed,
  all: readonly Pocketed[],
  isPlace: (unitId: string) => boolean,
): Spot[] {
  const found = new Map<string, { readonly spot: Spot; weight: number }>();
  for (const other of all) {
    if (other.kind !== supply.kind) continue;
    const near = other.id === supply.id ? 1e6 : other.group === supply.group ? 1e3 : 1;
    for (const { as, items, spot } of other.holdings) {
      if (as !== 'scrap' || items === 0 || !spot || !isPlace(spot.unitId)) continue;
      const key = `${spot.unitId} ${spot.cell}`;
      const known = found.get(key);
      if (known) known.weight += near * items;
      else found.set(key, { spot, weight: near * items });
    }
  }
  return [...found.values()].sort((a, b) => b.weight - a.weight).map(({ spot }) => spot);
}
