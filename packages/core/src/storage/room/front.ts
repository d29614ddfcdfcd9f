import type { Size } from '../../kinds/definition';
import { holdsOf, type Model } from '../models/models';
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

/** The whole outside of a unit, µm: as measured, else what its insides and walls come to; null for a piece nobody measured. */
export function outsideOf(unit: Pick<Unit, 'model' | 'facts'>): Size | null {
  const { model, facts } = unit;
  if (facts.outsideUm) return facts.outsideUm;
  const front = frontOf(unit);
  if (!front || !model) return null;
  const { h } = holdsOf(model).outside(true);
  const depthUm = facts.lies && model.model === 'grid' ? h : holdsOf(model).space(cellIn(model)).depthUm;
  return { widthUm: front.w, heightUm: front.h, depthUm: depthUm + WALL_UM };
}
const cellIn = ({ model }: Model): number | null => (model === 'grid' ? 0 : null);
