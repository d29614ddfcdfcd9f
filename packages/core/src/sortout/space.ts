import { formOf } from '../kinds/registry';
import { envelopeOf } from '../supply/envelope';
import type { SortSubject, Verdict } from './candidates';

/** Room a thing takes: along the shelf in mm, in litres, and how many slots. */
export interface Space {
  readonly alongMm: number;
  readonly litres: number;
  readonly slots: number;
}
const NONE: Space = { alongMm: 0, litres: 0, slots: 0 };

/** Envelopes of card are those of about twenty sheets. */
const SHEETS_IN_ENVELOPE = 20;

/** The room a supply takes as it stands, from its own size where it is known, else its form's. */
export function spaceOf({ kind, form: formId, stock, facts }: SortSubject): Space {
  const form = formOf(kind, formId);
  const { widthMm, heightMm, depthMm } = envelopeOf({ kind, form: formId, facts });
  const copies =
    form.counting === 'fill'
      ? Math.max(1, stock.items)
      : form.counting === 'sheets'
        ? Math.max(0.2, stock.left / SHEETS_IN_ENVELOPE)
        : 1;
  return { alongMm: widthMm * copies, litres: (widthMm * heightMm * depthMm * copies) / 1e6, slots: 1 };
}

const addSpace = (a: Space, b: Space): Space => ({
  alongMm: a.alongMm + b.alongMm,
  litres: a.litres + b.litres,
  slots: a.slots + b.slots,
});

/** What each verdict frees: the room its things took (use once, when it is used up; keep frees nothing). */
export function spaceFreed(
  decided: readonly { readonly space: Space; readonly verdict: Verdict }[],
): Readonly<Record<Verdict, Space & { readonly count: number }>> {
  const total: Record<Verdict, Space & { count: number }> = {
    keep: { ...NONE, count: 0 },
    'use once': { ...NONE, count: 0 },
    'pass on': { ...NONE, count: 0 },
    'let go': { ...NONE, count: 0 },
  };
  for (const { space, verdict } of decided)
    total[verdict] = { ...addSpace(total[verdict], space), count: total[verdict].count + 1 };
  return total;
}
