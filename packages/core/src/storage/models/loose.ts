import type { Size } from '../../kinds/definition';
import { volumeUl, type Box, type ModelDefinition } from './definition';
import { SHARED } from './shared';
import type { LooseModel } from './looseSchema';

const RIM_UM = 4000;

/** Lays boxes in rows from the bottom up, at one scale; null when they do not all go in. */
function inRows(sizes: readonly Size[], w: number, h: number, scale: number): Box[] | null {
  const boxes: Box[] = [];
  let [x, floor, high] = [0, h, 0];
  for (const { widthUm, heightUm } of sizes) {
    const [wide, tall] = [Math.min(w, widthUm * scale), heightUm * scale];
    if (x + wide > w) [x, floor, high] = [0, floor - high, 0];
    if (tall > floor) return null;
    boxes.push({ x: RIM_UM + x, y: RIM_UM + floor - tall, w: wide, h: tall });
    x += wide;
    high = Math.max(high, tall);
  }
  return boxes;
}

const SHRINK = 0.86;

/** As many as fill the front, from the last one put in: they lie before or upon the others. */
function frontRow({ widthUm, heightUm }: LooseModel, contents: readonly Size[]): number[] {
  const front: number[] = [];
  let left = widthUm * heightUm;
  for (let i = contents.length - 1; i >= 0 && left > 0; i--) {
    const size = contents[i];
    if (!size) continue;
    left -= size.widthUm * size.heightUm;
    front.push(i);
  }
  return front;
}
function behindOthers(model: LooseModel, contents: readonly Size[]): readonly number[] {
  const front = new Set(frontRow(model, contents));
  return contents.flatMap((_, i) => (front.has(i) ? [] : [i]));
}

export const loose: ModelDefinition<LooseModel> = {
  ...SHARED,
  id: 'loose',
  name: 'Loose',
  openFront: false,
  space: ({ widthUm, heightUm, depthUm }) => ({ widthUm, heightUm, depthUm }),
  ways: () => 'any',
  fill: (model, contents) => ({
    measure: 'volume',
    have: contents.reduce((sum, size) => sum + volumeUl(size), 0),
    of: Math.round((volumeUl(model) * model.fillPercent) / 100),
  }),
  overflows: 'too full',
  hidden: behindOthers,
  // What lies behind others is reached by taking out those before it; which ones nobody knows who did not look.
  toReach: (model, contents, index) =>
    behindOthers(model, contents).includes(index) ? frontRow(model, contents) : [],
  outside: ({ widthUm, heightUm }) => ({ w: widthUm + 2 * RIM_UM, h: heightUm + 2 * RIM_UM }),
  // Drawn to scale while they go in side by side; what lies behind others is drawn smaller, so that all are seen.
  boxes: (model, contents) => {
    for (let scale = 1; scale > 0.001; scale *= SHRINK) {
      const boxes = inRows(contents, model.widthUm, model.heightUm, scale);
      if (boxes) return boxes;
    }
    return [];
  },
  fronts: () => [],
};
