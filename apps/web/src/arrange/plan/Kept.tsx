import type { Stash } from '../../api/queries';
import { listOf, many } from '../../copy/words';
import { Note } from '../../ui/Note';
import type { Carrying } from './usePlan';

const NAMED = 3;

/** Things whose spot something else has that is no part of the plan: they stay where they are. */
export function Kept({ kept, stash }: { readonly kept: Carrying['kept']; readonly stash: Stash }) {
  if (kept.length === 0) return null;
  const nameOf = (lotId: string): string =>
    stash.all.find(({ holdings }) => holdings.some(({ id }) => id === lotId))?.name ?? 'something';
  const named = kept.slice(0, NAMED).map(({ id, by }) => `${nameOf(id)} (${nameOf(by)} stands there)`);
  const more = kept.length - NAMED;
  return (
    <Note sort="attention">
      {`Left where they are, since their place was taken meanwhile: ${listOf(more > 0 ? [...named, many(more, 'other')] : named)}.`}
    </Note>
  );
}
