import type { Size } from '../../kinds/definition';
import { holdsOf } from '../models/models';
import type { Unit } from '../unit';

/** How wide and high something is from the front, µm. */
export interface Front {
  readonly w: number;
  readonly h: number;
}

const WALL_UM = 4000;

/**
 * The outside of a unit as one stands before it, µm: as measured, else what its insides and walls come to; null for a piece nobody
 * measured. A tray that lies shows its depth as height.
 */
export function frontOf({ model, facts }: Pick<Unit, 'model' | 'facts'>): Front | null {
  if (facts.outsideUm) return { w: facts.outsideUm.widthUm, h: facts.outsideUm.heightUm };
  if (!model) return null;
  const { w, h } = holdsOf(model).outside(true);
  return facts.lies && model.model === 'grid' ? { w, h: model.depthUm + WALL_UM } : { w, h };
}

/** The inside a unit can be put into, µm; null where nobody measured it. Depth is left out where it is not known. */
export function insideOf({
  model,
  facts,
}: Pick<Unit, 'model' | 'facts'>): (Front & { readonly d: number | null }) | null {
  if (model && model.model !== 'grid') {
    const { widthUm, heightUm, depthUm }: Size = holdsOf(model).space(null);
    return { w: widthUm, h: heightUm, d: depthUm };
  }
  const front = frontOf({ model, facts });
  return front && { ...front, d: facts.outsideUm?.depthUm ?? null };
}
