import { bodyOf } from '../stash/body';
import { volumeUl } from '../storage/models/definition';
import type { SortSubject, Verdict } from './candidates';

/** Room a thing takes: along the shelf in mm, in litres, and how many slots. */
export interface Space {
  readonly alongMm: number;
  readonly litres: number;
  readonly slots: number;
}
const NONE: Space = { alongMm: 0, litres: 0, slots: 0 };

/** The room a supply takes as it stands (`bodyOf`), all its whole things together. */
export function spaceOf({
  kind,
  form,
  stock,
  facts,
}: Pick<SortSubject, 'kind' | 'form' | 'stock' | 'facts'>): Space {
  const { all } = bodyOf({ kind, form, facts }, { as: 'whole', items: stock.items, left: stock.left });
  return { alongMm: all.widthUm / 1000, litres: volumeUl(all) / 1e6, slots: 1 };
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
