import type { FormDefinition, StockRefusal } from '@red-shelf/core';
import { Refusal } from './refusal';

/** Wording of the core's refusals; amounts of lengths are said in metres. */
export function refusePosting(refusal: StockRefusal, form: FormDefinition): Refusal {
  const say = (n: number): string => (form.counting === 'length' ? `${n / 1e6} m` : String(n));
  const sentences: Record<StockRefusal['code'], string> = {
    more_than_left: `Only ${say(refusal.have)} left by the ledger, not ${say(refusal.need)}. Count it first if that is wrong.`,
    nothing_to_refill: 'There is none on the shelf to refill. Buy or count it first.',
    not_refillable: 'This is counted one by one and cannot be refilled; use “buy” instead.',
    left_exceeds_items: `What is left (${say(refusal.need)} uses) is more than full ones hold (${say(refusal.have)}).`,
    no_such_part: 'This form keeps no such separate count.',
    no_such_lot: 'There is no such lot of it any more; look again.',
    too_many: `${say(refusal.need)} is more than anyone owns; check the number.`,
    bottle_empty:
      'The bottle it would be filled from is empty by the ledger. Count it first if that is wrong.',
  };
  return new Refusal(422, refusal.code, sentences[refusal.code]);
}
