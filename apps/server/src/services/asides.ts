import { heldByGroups, writeAside } from '@red-shelf/core';
import { standingRecords } from '../db/recordRepository';
import type { Readable } from '../db/tx';

/** What open projects keep back of each supply, as a list says it. */
export async function asidesIn(db: Readable): Promise<ReadonlyMap<string, string>> {
  const projects = (await standingRecords(db)).flatMap(({ id, body }) =>
    body.sort === 'group' && body.what === 'project' ? [{ ...body, id }] : [],
  );
  return new Map(
    [...heldByGroups(projects)].map(([supplyId, held]) => [
      supplyId,
      writeAside(held.map(({ name, amount }) => ({ project: name, amount }))),
    ]),
  );
}
