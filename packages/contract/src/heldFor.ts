import { formOf, holdsBack, lessHeld, type Posted, type Supply, takenBy } from '@red-shelf/core';
import type { GroupBody } from './group';
import type { RecordBody } from './records';

/** The kit or the project an act was done for; null where its id names neither. `recordOf` knows records by id. */
export function readHeldFor(
  heldFor: string,
  recordOf: (id: string) => { readonly body: RecordBody } | undefined,
): GroupBody | null {
  const body = recordOf(heldFor)?.body;
  return body?.sort === 'group' && holdsBack(body.what) ? body : null;
}

/** The kit or project once an act was done for it; null where it keeps as much back as before. */
export function afterUseFor(
  held: GroupBody,
  { id, kind, form }: Pick<Supply, 'id' | 'kind' | 'form'>,
  happening: Posted['happening'],
): GroupBody | null {
  const amount = takenBy(happening, formOf(kind, form).counting);
  const members = lessHeld(held.members, id, amount);
  return amount > 0 && members.some((each, i) => each.amount !== held.members[i]?.amount)
    ? { ...held, members }
    : null;
}
