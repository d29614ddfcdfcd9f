import type { Size } from '../../kinds/definition';
import type { ModelDefinition } from './definition';
import { SHARED } from './shared';
import { inTurn } from './inTurn';
import type { StackModel } from './stackSchema';

const RIM_UM = 4000;
/** A thing this much thinner than it is wide lies flat, whichever way it is measured. */
const FLAT_SHARE = 1 / 3;

/** How high a thing lies: what is flat lies on its large side, anything else as it stands. */
function thicknessUm({ widthUm, heightUm, depthUm }: Size): number {
  const [least = 0, next = 0] = [widthUm, heightUm, depthUm].sort((p, q) => p - q);
  return least <= next * FLAT_SHARE ? least : heightUm;
}

export const stack: ModelDefinition<StackModel> = {
  ...SHARED,
  id: 'stack',
  name: 'On one another',
  openFront: false,
  space: ({ widthUm, heightUm, depthUm }) => ({ widthUm, heightUm, depthUm }),
  ways: () => 'any',
  fill: ({ heightUm, fingerUm }, contents) => ({
    measure: 'height',
    have: contents.reduce((sum, size) => sum + thicknessUm(size), 0),
    of: heightUm - fingerUm,
  }),
  overflows: 'refused',
  // The edge of each is seen; only the uppermost can be taken as it lies.
  hidden: () => [],
  toReach: (_, contents, index) =>
    Array.from({ length: Math.max(0, contents.length - 1 - index) }, (_each, i) => contents.length - 1 - i),
  outside: ({ widthUm, heightUm }) => ({ w: widthUm + 2 * RIM_UM, h: heightUm + RIM_UM }),
  // The first lies at the bottom.
  boxes: ({ widthUm, heightUm }, contents) =>
    inTurn(contents.map(thicknessUm), heightUm).map(({ at, long }) => ({
      x: RIM_UM,
      y: heightUm - at - long,
      w: widthUm,
      h: long,
    })),
  seen: () => 'bar',
  fronts: () => [],
};
