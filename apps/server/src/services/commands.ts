import { eq } from 'drizzle-orm';
import { commands } from '../db/schema';
import { Refusal } from '../http/problem';
import type { Context } from './context';

/** A command as the client named it. */
export interface Command {
  /** What is asked, and of what. */
  readonly name: string;
  readonly id?: string | undefined;
  /** When the person did it; now when left out. */
  readonly at?: string | undefined;
}

/**
 * Does a command in one transaction, its answer kept with it: sent again after a lost answer it is not done again. A
 * refusal is not kept; the same command may succeed later.
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
    }
    // A clock that runs ahead must not write into the future.
    const doneAt = at !== undefined && at < now ? at : now;
    const answer = await work({
      ...context,
      ports: { ...ports, doneAt: () => doneAt },
      store: { ...store, read: tx, write: (inner) => inner(tx) },
    });
    if (id !== undefined)
      await tx.insert(commands).values({ id, name, at: doneAt, answer: JSON.stringify(answer) });
    return answer;
  });
