import type { FormDefinition } from '../kinds/definition';
import type { Facts } from '../stash/facts';
import type { Holding } from '../stash/holding';
import type { Posted } from '../stock/post';
import type { Verdict } from './candidates';

/** What a verdict does to a supply's facts. A kept trial becomes current. */
export function factsAfter({ decideOn, ...facts }: Facts, verdict: Verdict): Facts {
  switch (verdict) {
    case 'keep':
      return facts.status === 'trial' || facts.status === 'leaving'
        ? { ...facts, status: 'current' }
        : { ...facts, ...(decideOn ? { decideOn } : {}) };
    case 'use once':
      return { ...facts, status: 'leaving', tags: [...new Set([...(facts.tags ?? []), 'use once'])] };
    case 'pass on':
      return { ...facts, status: 'leaving', grade: 'give away' };
    case 'let go':
      return { ...facts, status: 'gone' };
  }
}

/** Everything that is left is gone: every lot becomes nothing, and history says how much that was. Null where there was nothing. */
export function farewell(
  lots: readonly Holding[],
  { counting }: Pick<FormDefinition, 'counting'>,
): Posted | null {
  const left = lots.filter((lot) => lot.items > 0 || lot.left > 0);
  if (left.length === 0) return null;
  const amount = left.reduce((sum, lot) => {
    if (lot.as !== 'whole') return sum;
    return sum + (counting === 'fill' ? lot.items : lot.left);
  }, 0);
  return {
    happening: { act: 'discard', of: 'whole', amount },
    postings: left.map(({ id }) => ({ holdingId: id, items: 0, left: 0, how: 'to' })),
    made: [],
  };
}
