import { lessHeld, type Posted, takenBy, afterSpending, type Facts } from '@red-shelf/core';
import type { GroupBody, RecordBody } from './records';

/** What an act was done for: a kit, or a project by its name. */
export type HeldFor =
  | { readonly sort: 'kit'; readonly name: string; readonly body: GroupBody }
  | { readonly sort: 'project'; readonly name: string };

/** Reads what an act says it was for; `recordOf` knows records by id. */
export function readHeldFor(
  heldFor: string,
  recordOf: (id: string) => { readonly body: RecordBody } | undefined,
): HeldFor {
  const body = recordOf(heldFor)?.body;
  return body?.sort === 'group' && body.what === 'kit'
    ? { sort: 'kit', name: body.name, body }
    : { sort: 'project', name: heldFor };
}

/** What an act leaves aside: the supply's facts, and the kit, where those change. */
export function afterUseFor(
  held: HeldFor,
  supplyId: string,
  facts: Facts,
  happening: Posted['happening'],
): { facts: Facts | null; kit: GroupBody | null } {
  const amount = takenBy(happening);
  if (amount === 0) return { facts: null, kit: null };
  if (held.sort === 'kit')
    return { facts: null, kit: { ...held.body, members: lessHeld(held.body.members, supplyId, amount) } };
  const next = afterSpending(facts, held.name, amount);
  const changed = JSON.stringify(next.reserved) !== JSON.stringify(facts.reserved ?? []);
  return { facts: changed ? next : null, kit: null };
}
