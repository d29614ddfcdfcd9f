import type { FamilyGroup } from '../colour/families';
import type { StockHistory } from '../stash/idle';
import { isIdle } from '../stash/idle';
import { labelPrint, slotLabels, type Labelled } from './labels';
import { holdsOf } from './models/models';
import { roomIn, type Unit } from './unit';

/** Why a place hurts, in counted values. */
export type Pain =
  | { readonly code: 'over_full'; readonly have: number; readonly of: number }
  | { readonly code: 'scattered'; readonly breaks: number; readonly families: number }
  | { readonly code: 'unlabelled' }
  | { readonly code: 'labels_old' }
  | { readonly code: 'unused'; readonly have: number; readonly of: number }
  | { readonly code: 'worn' };

interface Lives extends StockHistory, Labelled {
  readonly group: FamilyGroup;
}

/** From this share of its room on, a place is over-full: there is no slot left to grow into. */
const FULL_FROM = 0.95;
const MUCH_UNUSED = 0.4;

/**
 * What is wrong with one place, and how badly: 0 is a place that works, about 1 for each thing that is as bad as it gets.
 * `contents` are its slots in reading order, or its things where they lie loose; `now` is ms since 1970. A place that is sorted by something else than
 * family (`byFamily` false) is not asked whether its families stand together.
 */
export function painOf<T extends Lives>(
  unit: Pick<Unit, 'label' | 'model' | 'rules' | 'facts'>,
  contents: readonly (T | null)[],
  now: number,
  byFamily = true,
): { readonly pains: readonly Pain[]; readonly score: number } {
  const here = contents.filter((item): item is T => item !== null);
  const pains: { pain: Pain; weight: number }[] = [];
  const { facts } = unit;
  const room = roomIn(unit);
  const fullness = room ? here.length / room : 0;
  if (here.length > 0 && fullness >= FULL_FROM)
    pains.push({ pain: { code: 'over_full', have: here.length, of: room ?? 0 }, weight: fullness });
  const families = new Set(here.map(({ group }) => group)).size;
  // A place in order breaks once between two families; every break more is something out of order.
  const inTurn = unit.model ? holdsOf(unit.model).order.flatMap((cell) => contents[cell] ?? []) : [];
  const breaks =
    inTurn.filter(({ group }, i) => i > 0 && inTurn[i - 1]?.group !== group).length -
    Math.max(0, families - 1);
  if (byFamily && breaks > 0)
    pains.push({
      pain: { code: 'scattered', breaks, families },
      weight: Math.min(1, (breaks / here.length) * 4),
    });
  if (here.length > 0 && !facts.labelled) pains.push({ pain: { code: 'unlabelled' }, weight: 0.5 });
  else if (facts.labelled && facts.labelled.print !== labelPrint(slotLabels(unit, contents)))
    pains.push({ pain: { code: 'labels_old' }, weight: 0.35 });
  const unused = here.filter((item) => isIdle(item, now)).length;
  if (unused / Math.max(1, here.length) >= MUCH_UNUSED)
    pains.push({ pain: { code: 'unused', have: unused, of: here.length }, weight: unused / here.length });
  if (facts.standing === 'worn') pains.push({ pain: { code: 'worn' }, weight: 0.6 });
  pains.sort((p, q) => q.weight - p.weight);
  return { pains: pains.map(({ pain }) => pain), score: pains.reduce((sum, { weight }) => sum + weight, 0) };
}
