import { placesIn, stayIn } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { isLoose, type Contents, type Living } from '../../api/contents';
import { listOf, many } from '../../copy/words';
import { Note } from '../../ui/Note';

/** What is in a unit once it is another: what keeps its place under the cell that then is, and what has none. */
export function afterwards(
  before: UnitView,
  after: UnitView,
  slots: Contents,
): { readonly slots: Contents; readonly leaving: readonly Living[] } {
  const things = slots.flatMap((each) => each ?? []);
  const { moved, lifted } = stayIn(before, after, things);
  const leaving = new Set(lifted);
  const staying = things.filter((thing) => !leaving.has(thing));
  if (isLoose(after)) return { slots: staying, leaving: lifted };
  const cellOf = new Map(moved.map(({ thing, cell }) => [thing, cell]));
  const next = Array<Living | null>(placesIn(after)).fill(null);
  for (const thing of staying) next[cellOf.get(thing) ?? thing.lot.spot?.cell ?? 0] = thing;
  return { slots: next, leaving: lifted };
}

const NAMED = 6;

/** What will have no place, by name, before it is saved. */
export function Leaving({ things }: { readonly things: readonly Living[] }) {
  const names = things.slice(0, NAMED).map(({ supply }) => supply.name);
  const more = things.length - names.length;
  return (
    <Note sort="attention">
      {`${many(things.length, 'thing')} will have no place, and stay in the stash: ${listOf([
        ...names,
        ...(more > 0 ? [many(more, 'other')] : []),
      ])}.`}
    </Note>
  );
}
