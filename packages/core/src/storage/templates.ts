import { GRIDS } from './templates/grids';
import type { UnitTemplate } from './templates/make';
import { PILES } from './templates/piles';
import { RUNS } from './templates/runs';
import { TRAYS } from './templates/trays';

export type { UnitTemplate } from './templates/make';

/** Everything a person can start a unit from; sizes of one's own need none. */
export const UNIT_TEMPLATES: readonly UnitTemplate[] = [...GRIDS, ...RUNS, ...PILES, ...TRAYS];

export const findTemplate = (id: string): UnitTemplate | undefined =>
  UNIT_TEMPLATES.find((template) => template.id === id);
