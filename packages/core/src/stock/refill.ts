import { formFor } from '../stash/formFor';
import type { Bodied } from '../stash/body';
import type { Holding } from '../stash/holding';
import type { Weights } from './event';
import type { RefillFrom, StockRequest } from './post';
import { densityOf } from './weigh';

type Bottle = Bodied & { readonly id: string; readonly lots: readonly Holding[] };

/** Why it cannot be filled: it came out lighter than it went in, or what it is filled from holds nothing to fill from. */
export type RefillRefusal = { readonly code: 'lighter' | 'no_bottle' };

const numberIn = ({ facts }: Bodied, id: string): number | undefined => {
  const value = facts.attributes?.[id];
  return typeof value === 'number' && value > 0 ? value : undefined;
};

/**
 * A refill as it is planned: what goes in and what the bottle gives, by mass where it was weighed (mg) and the masses or
 * contents are known; else it is filled up, and the bottle gives one of its uses.
 */
export function refillRequest(
  into: Bodied & { readonly id: string },
  bottle: Bottle | null,
  request: Extract<StockRequest, { act: 'refill' }>,
): StockRequest | RefillRefusal {
  const { weights } = request;
  if (weights && weights.afterMg < weights.beforeMg) return { code: 'lighter' };
  if (bottle && (bottle.id === into.id || formFor(bottle).counting !== 'fill')) return { code: 'no_bottle' };
  return {
    ...request,
    ...(weights ? givenTo(into, weights) : {}),
    ...(bottle ? { from: takenFrom(bottle, weights) } : {}),
  };
}

/** Uses that a gain in mass gives, where the masses empty and full are known. */
function givenTo(into: Bodied, { beforeMg, afterMg }: Weights): { gives?: number } {
  const [empty, full] = [numberIn(into, 'emptyMass'), numberIn(into, 'fullMass')];
  if (empty === undefined || full === undefined || full <= empty) return {};
  return { gives: Math.round(((afterMg - beforeMg) / (full - empty)) * (formFor(into).usesPerFill ?? 1)) };
}

function takenFrom(bottle: Bottle, weights: Weights | undefined): RefillFrom {
  const form = formFor(bottle);
  const volumeUl = numberIn(bottle, 'volume') ?? form.volumeUl;
  const gainedUl =
    weights && (weights.afterMg - weights.beforeMg) / densityOf(bottle.facts.attributes?.chemistry);
  const amount =
    gainedUl !== undefined && volumeUl !== undefined
      ? Math.max(1, Math.round((gainedUl / volumeUl) * (form.usesPerFill ?? 1)))
      : 1;
  return { supplyId: bottle.id, amount, lots: bottle.lots.filter(({ as }) => as === 'whole') };
}
