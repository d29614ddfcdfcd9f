import { eq, sql } from 'drizzle-orm';
import { changes, commands, holdings, records, supplies, units } from '../db/schema';
import type { Tx } from '../db/tx';
import type { Command } from './command';
import { Refusal } from './refusal';
import type { Context } from './context';

/**
 * Does a command in one transaction, its answer kept with it: sent again after a lost answer it is not done again. A
 * refusal is not kept; the same command may succeed later. What it makes is named after it: the first thing as the
 * command itself, the next ones numbered.
 */
export const runCommand = <A>(
  { store, ports, ...context }: Context,
  { id, at, name }: Command,
  work: (context: Context) => Promise<A>,
): Promise<A> =>
  store.write(async (tx) => {
    const now = ports.now();
    if (id !== undefined) {
      const [known] = await tx.select().from(commands).where(eq(commands.id, id));
      if (known && known.name !== name)
        throw new Refusal(422, 'command_reused', 'That name was used for another command already.');
      if (known) return JSON.parse(known.answer) as A;
      await refuseDone(tx, id);
    }
    // A clock that runs ahead must not write into the future.
    const doneAt = at !== undefined && at < now ? at : now;
    let made = 0;
    const named = id !== undefined && {
      commandId: id,
      nextMade: () => (made++ === 0 ? id : `${id}-${made - 1}`),
    };
    const answer = await work({
      ...context,
      ports: { ...ports, doneAt: () => doneAt, ...named },
      store: { ...store, read: tx, write: (inner) => inner(tx) },
    });
    if (id !== undefined)
      await tx.insert(commands).values({ id, name, at: doneAt, answer: JSON.stringify(answer) });
    return answer;
  });

/** What was done under a name whose answer is not kept any more, or came with a document, is not done again. */
async function refuseDone(tx: Tx, id: string): Promise<void> {
  const places = [changes, supplies, units, records, holdings].map(
    (table) => sql`select 1 from ${table} where ${table.id} = ${id}`,
  );
  const { rows } = await tx.run(sql.join(places, sql` union all `));
  if (rows.length > 0)
    throw new Refusal(409, 'done_already', 'That was done already, some time ago; nothing was done twice.');
}
