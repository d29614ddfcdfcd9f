import {
  oldReservationsOf,
  projectNames,
  projectRow,
  withoutReservations,
  type RecordBody,
} from '@red-shelf/contract';
import { desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { contentOf } from './fingerprint';
import type { RecordRow } from './recordRepository';
import { changes, records, supplies } from './schema';
import { supplyRecords, type SupplyRecord } from './supplyRepository';
import { chunks, latestSeq, type Tx } from './tx';

interface Was<T> {
  readonly id: string;
  readonly before: T | null;
  readonly after: string;
}
interface Told {
  readonly supplies?: readonly Was<SupplyRecord>[];
  readonly records?: readonly Was<RecordRow>[];
}
/** The projects there are while supplies stand as they do. */
type Projects = (standing: ReadonlyMap<string, SupplyRecord>) => RecordRow[];

const bare = (supply: SupplyRecord): SupplyRecord => ({
  ...supply,
  facts: withoutReservations(supply.facts),
});
const asides = (supply: SupplyRecord): string => JSON.stringify(oldReservationsOf(supply.facts));

/**
 * What was put aside once stood in the facts of each supply, for a project by its name. Each name becomes a project that
 * keeps it back, and what was done can still be undone.
 */
export async function unpackReservations(tx: Tx): Promise<void> {
  const standing = await tx
    .select({ id: supplies.id })
    .from(supplies)
    .where(sql`json_type(${supplies.facts}, '$.reserved') is not null`);
  const once = await changesNaming(tx, ['"reserved"']);
  const before = once.flatMap(({ inverse }) =>
    (inverse.supplies ?? []).flatMap((was) =>
      was.before && 'reserved' in was.before.facts ? [was.before] : [],
    ),
  );
  const ids = [...new Set([...standing, ...before].map(({ id }) => id))];
  if (ids.length === 0) return;
  const now = new Map(
    (await Promise.all(chunks(ids).map((some) => supplyRecords(tx, some)))).flatMap((some) => [...some]),
  );
  const names = [...projectNames([...now.values(), ...before]).values()];
  const at = new Date(0).toISOString();
  const projects: Projects = (left) =>
    names.map((name, i) => {
      const row = projectRow(i, name, [...left.values()], at);
      return { ...row, sort: 'group', body: row.body as RecordBody };
    });
  // Clients that know everything so far learn of it as the newest.
  const seq = (await latestSeq(tx)) + 1;
  await tx
    .insert(records)
    .values(projects(now).map((row) => ({ ...row, seq })))
    .onConflictDoNothing();
  for (const some of chunks(standing))
    await tx
      .update(supplies)
      .set({ facts: sql`json_remove(${supplies.facts}, '$.reserved')`, seq })
      .where(
        inArray(
          supplies.id,
          some.map(({ id }) => id),
        ),
      );
  const left = new Map(now);
  for (const { id, inverse } of await changesNaming(tx, ids))
    await tx
      .update(changes)
      .set({ inverse: told(inverse, left, projects) })
      .where(eq(changes.id, id));
}

/** Changes that can still be undone and whose inverse speaks of one of these, the latest first. */
async function changesNaming(tx: Tx, words: readonly string[]): Promise<{ id: string; inverse: Told }[]> {
  const named = words.map((word) => sql`instr(${changes.inverse}, ${word}) > 0`);
  const found = [];
  for (const some of chunks(named))
    found.push(
      ...(await tx
        .select({ id: changes.id, seq: changes.seq, inverse: changes.inverse })
        .from(changes)
        .where(sql`${isNull(changes.undoneBy)} and (${sql.join(some, sql` or `)})`)
        .orderBy(desc(changes.seq))),
    );
  const byId = new Map(found.map((each) => [each.id, each]));
  return [...byId.values()]
    .sort((a, b) => b.seq - a.seq)
    .map(({ id, inverse }) => ({ id, inverse: inverse as Told }));
}

/** What a change did, told of supplies without and projects with what was put aside. `left` goes back to before it. */
function told(inverse: Told, left: Map<string, SupplyRecord>, projects: Projects): Told {
  const after = projects(left);
  let aside = false;
  const supplies = (inverse.supplies ?? []).map((was): Was<SupplyRecord> => {
    const standing = left.get(was.id);
    const before = was.before && bare(was.before);
    if (!standing || contentOf(standing) !== was.after) return { ...was, before };
    aside ||= was.before !== null && asides(standing) !== asides(was.before);
    if (was.before) left.set(was.id, was.before);
    return { ...was, before, after: contentOf(bare(standing)) };
  });
  if (!aside) return { ...inverse, supplies };
  const kept = projects(left).flatMap((before, i): Was<RecordRow>[] => {
    const then = after[i];
    return then && contentOf(then) !== contentOf(before)
      ? [{ id: before.id, before, after: contentOf(then) }]
      : [];
  });
  return { ...inverse, supplies, records: [...(inverse.records ?? []), ...kept] };
}
