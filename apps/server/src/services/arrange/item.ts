import { bodyOf, useOf, type Lodger, type PlaceSpot, type Placing, type Size } from '@red-shelf/core';
import type { HoldingView, SupplyView } from '@red-shelf/contract';

/** A lot of whole things: what arranging moves. Packs, bases and scraps stay where they are. */
export interface Item extends Placing, Lodger {
  readonly supplyId: string;
  readonly of: SupplyView;
  readonly lot: HoldingView;
  readonly spot: PlaceSpot | null;
  /** The outside of all of it, and the same in letters. */
  readonly all: Size;
  readonly size: string;
}

/** A lot as it is arranged. `home` is where it is kept, where that was decided. */
export function toItem(of: SupplyView, lot: HoldingView, home?: string): Item {
  const { one, all } = bodyOf(of, lot);
  const { widthUm, heightUm, depthUm } = one;
  const bore = of.facts.attributes?.bore;
  return {
    id: lot.id,
    supplyId: of.id,
    spot: lot.spot,
    uses: useOf(of),
    // Things of one kind and size, at home in one place or nowhere, may live in the same places.
    alike: [of.kind, of.form, widthUm, heightUm, depthUm, typeof bore === 'number' ? bore : '', home].join(
      ' ',
    ),
    all,
    size: `${all.widthUm} ${all.heightUm} ${all.depthUm}`,
    supply: of,
    of,
    lot,
  };
}
