import { loadOn, pathTo, type Unit } from '@red-shelf/core';
import { massIn, useContents } from '../../api/contents';
import { usePreferences, useStash } from '../../api/queries';
import { sayLoad } from '../../copy/room';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';

interface LoadNoteProps {
  readonly unitId: string;
  /** What its maker says it may bear, mg, as it is typed now. */
  readonly bearsMg: number | undefined;
}

/** What everything in a unit, and in what stands in it, weighs about, against what it may bear; what nobody knows is asked for. */
export function LoadNote({ unitId, bearsMg }: LoadNoteProps) {
  const { stash } = useStash();
  const { units } = usePreferences().preferences;
  const contents = useContents(stash);
  if (!stash) return null;
  const byId = new Map<string, Unit>(stash.wall.all.map((unit) => [unit.id, unit]));
  const masses = stash.wall.all
    .filter((unit) => pathTo<Unit>(unit, byId).some(({ id }) => id === unitId))
    .map((unit) => massIn(contents.get(unit.id)));
  const load = loadOn(masses, bearsMg);
  if (load.massMg === 0) return null;
  return load.state === 'overloaded' ? (
    <Note sort="attention">{sayLoad(load, units)}</Note>
  ) : (
    <Txt look="quiet">{sayLoad(load, units)}</Txt>
  );
}
