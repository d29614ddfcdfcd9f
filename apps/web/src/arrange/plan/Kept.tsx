import type { Stash } from '../../api/queries';
import { listOf, many } from '../../copy/words';
import { Note } from '../../ui/Note';
import type { Carrying } from './usePlan';

const NAMED = 3;

/** "Fern Gate, Kiln Door and 4 others". */
function some(names: readonly string[]): string {
  const more = names.length - NAMED;
  return listOf(more > 0 ? [...names.slice(0, NAMED), many(more, 'other')] : names);
}

interface KeptProps {
  readonly carrying: Pick<Carrying, 'kept' | 'lost'>;
  readonly stash: Stash;
}

/** Things that stay where they are: something that is no part of the plan has their spot, or their place is there no more. */
export function Kept({ carrying: { kept, lost }, stash }: KeptProps) {
  const nameOf = (lotId: string): string =>
    stash.all.find(({ holdings }) => holdings.some(({ id }) => id === lotId))?.name ?? 'something';
  return (
    <>
      {kept.length > 0 && (
        <Note sort="attention">
          {`Left where they are, since their place was taken meanwhile: ${some(
            kept.map(({ id, by }) => `${nameOf(id)} (${nameOf(by)} stands there)`),
          )}.`}
        </Note>
      )}
      {lost.length > 0 && (
        <Note sort="attention">
          {`Left where they are, since their place is there no more: ${some(lost.map(({ supply }) => supply.name))}. Plan anew to find them another.`}
        </Note>
      )}
    </>
  );
}
