import type { Kind, Size } from '../../kinds/definition';
import { openingPlan, type OpeningPlan } from '../../fit/openingPlan';
import { UNIT_TEMPLATES } from '../templates';
import { placesIn, unitFromTemplate, type Unit } from '../unit';
import { outsideOf } from './front';

/** A set of units that goes into a gap. */
export interface GapFill {
  /** What stands in it: units that are spare, or sorts one could get, each with how many and where one of them is. */
  readonly take: readonly { readonly unit: Unit; readonly spare: boolean; readonly count: number }[];
  /** Things there is a place for in all of them; null where some share out a length, a height or a volume. */
  readonly places: number | null;
  readonly plan: OpeningPlan;
}

/** More sorts at once fill a gap a little better and look like a jumble. */
const SORTS_SHOWN = 4;

/**
 * What could stand in a gap, the fullest first: what is spare already, alone, and each sort of unit that is made for a kind, as often as it
 * goes in. `gap` and all sizes in µm. Units that do not go in at all are left out.
 */
export function gapFills(gap: Size, spare: readonly Unit[], kind: Kind | null): readonly GapFill[] {
  const made = (unit: Unit): boolean => kind === null || unit.rules.kinds.includes(kind);
  const spares = spare.filter(made);
  const sorts = UNIT_TEMPLATES.map((template) => ({ ...unitFromTemplate(template), id: template.id })).filter(
    made,
  );
  const tries = [...(spares.length > 0 ? [spares] : []), ...sorts.map((sort) => [sort])];
  const fills = tries.flatMap((units): GapFill[] => {
    const isSpare = units === spares;
    const sized = units.flatMap((unit) => {
      const size = outsideOf(unit);
      return size ? [{ unit, size, ...(isSpare ? { count: 1 } : {}) }] : [];
    });
    const plan = openingPlan(sized, gap);
    const take = sized.flatMap(({ unit }, i) => {
      const count = plan.take[i] ?? 0;
      return count > 0 ? [{ unit, spare: isSpare, count }] : [];
    });
    if (take.length === 0) return [];
    const shared = take.some(({ unit }) => unit.model?.model !== 'grid');
    const places = shared ? null : take.reduce((sum, { unit, count }) => sum + count * placesIn(unit), 0);
    return [{ take, places, plan }];
  });
  // What is there already comes first: it costs nothing.
  const [own, others] = [
    fills.filter(({ take }) => take[0]?.spare),
    fills.filter(({ take }) => !take[0]?.spare),
  ];
  others.sort((p, q) => q.plan.usedShare - p.plan.usedShare);
  return [...own, ...others.slice(0, SORTS_SHOWN)];
}
