import type { Size } from '../../kinds/definition';
import { volumeUl, type Box, type ModelDefinition } from './definition';
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

export const loose: ModelDefinition<LooseModel> = {
  id: 'loose',
  name: 'Loose',
  shares: true,
  openFront: false,
  cells: () => 0,
  order: () => [],
  address: (label) => label,
  space: ({ widthUm, heightUm, depthUm }) => ({ widthUm, heightUm, depthUm }),
  fill: (model, contents) => ({
    haveUl: contents.reduce((sum, size) => sum + volumeUl(size), 0),
    ofUl: Math.round((volumeUl(model) * model.fillPercent) / 100),
  }),
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
