import { isOnWall, isScarce } from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import type { Stash } from '../api/queries';
import { Choice } from '../ui/Choice';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { unitTitle } from '../copy/supply';

/** Retired things cannot be bought again; a project that mixes them with current ones should know. */
export function Mixed({ members }: { readonly members: readonly SupplyView[] }) {
  const scarce = members.filter(isScarce);
  if (scarce.length === 0 || scarce.length === members.length) return null;
  return (
    <Note sort="attention">
      {`${scarce.map(({ name }) => name).join(', ')}: cannot be bought again. Use sparingly, or choose a stand-in before you count on it.`}
    </Note>
  );
}

/** The rack that holds a palette instead of a family. */
export function Home({
  body,
  stash,
  onChange,
}: {
  readonly body: GroupBody;
  readonly stash: Stash;
  readonly onChange: (next: GroupBody) => void;
}) {
  const units = stash.wall.units.filter(isOnWall);
  const home = units.find(({ id }) => id === body.home);
  return (
    <>
      <Choice
        label="It lives together in"
        options={units.map(unitTitle)}
        value={home ? unitTitle(home) : ''}
        onChange={(word) =>
          onChange({ ...body, home: units.find((unit) => unitTitle(unit) === word)?.id ?? null })
        }
        optional
      />
      {home && (
        <Txt look="quiet">
          Arrange keeps {unitTitle(home)} for this palette, and puts nothing else into it.
        </Txt>
      )}
    </>
  );
}
