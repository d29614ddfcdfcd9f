import type { Size } from '../kinds/definition';
import { MAY_STICK_OUT } from '../fit/inSpace';
import { holdsOf, type Model } from './models/models';
import type { Unit } from './unit';

/**
 * What there is for a thing in a place of a unit, µm, and whether it may stand out of the front. A tray that lies is measured as it is
 * seen, from above: its rows are depth, its depth is height, and without a lid or a drawer around it things may stand out above.
 */
export function insideAt(
  { facts }: Pick<Unit, 'facts'>,
  model: Model,
  cell: number | null,
): { readonly space: Size; readonly openFront: boolean } {
  const { space: of, openFront } = holdsOf(model);
  const space = of(cell);
  if (!facts.lies || model.model !== 'grid') return { space, openFront };
  const high = facts.opens ? space.depthUm : Math.floor(space.depthUm / (1 - MAY_STICK_OUT));
  return {
    space: { widthUm: space.widthUm, heightUm: high, depthUm: space.heightUm },
    openFront: false,
  };
}
