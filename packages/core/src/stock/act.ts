import type { FormDefinition, Part } from '../kinds/definition';
import type { Act, Stock } from './ledger';

/** A thing a person wants to write into the ledger. */
export interface StockRequest {
  readonly act: Exclude<Act, 'undo'>;
  readonly amount?: number;
  readonly items?: number;
  readonly left?: number;
  readonly part?: Part | null;
}

/** Why it cannot be written, in measured values. */
export interface StockRefusal {
  readonly code:
    | 'more_than_left'
    | 'nothing_to_refill'
    | 'not_refillable'
    | 'left_exceeds_items'
    | 'too_many'
    | 'no_such_part';
  readonly need: number;
  readonly have: number;
}

/** More than this of anything is a slip of the finger: a million sheets, or a thousand kilometres. */
const TOO_MANY = { fill: 100_000, sheets: 1_000_000, pieces: 1_000_000, length: 1e12 } as const;

/** Checks a request against what is there. Null means it may be written. */
export function checkStockRequest(
  request: StockRequest,
  stock: Pick<Stock, 'items' | 'left'> & Partial<Pick<Stock, 'parts'>>,
  form: FormDefinition,
): StockRefusal | null {
  const { amount = 0, items = 0, left = 0 } = request;
  const fill = form.counting === 'fill';
  const most = TOO_MANY[form.counting];
  if (Math.max(amount, items, left) > most)
    return { code: 'too_many', need: Math.max(amount, items, left), have: most };
  if (request.part) return checkPart(request, request.part, stock.parts?.[request.part] ?? 0, form);
  switch (request.act) {
    case 'open':
      return checkPart({ ...request, act: 'use' }, 'packs', stock.parts?.packs ?? 0, form);
    case 'cut':
      if (!form.parts) return { code: 'no_such_part', need: 0, have: 0 };
      return amount > stock.left ? { code: 'more_than_left', need: amount, have: stock.left } : null;
    case 'use':
      return !fill && amount > stock.left ? { code: 'more_than_left', need: amount, have: stock.left } : null;
    case 'discard': {
      const have = fill ? stock.items : stock.left;
      return amount > have ? { code: 'more_than_left', need: amount, have } : null;
    }
    case 'refill':
      if (!fill) return { code: 'not_refillable', need: 0, have: 0 };
      return stock.items === 0 ? { code: 'nothing_to_refill', need: 1, have: 0 } : null;
    case 'count': {
      const room = items * (form.usesPerFill ?? 1);
      return fill && left > room ? { code: 'left_exceeds_items', need: left, have: room } : null;
    }
    case 'buy':
      return null;
  }
}

function checkPart(
  { act, amount = 0 }: StockRequest,
  part: Part,
  have: number,
  form: FormDefinition,
): StockRefusal | null {
  if (!form.parts?.includes(part)) return { code: 'no_such_part', need: 0, have: 0 };
  if (act === 'count' || act === 'buy') return null;
  return amount > have ? { code: 'more_than_left', need: amount, have } : null;
}
