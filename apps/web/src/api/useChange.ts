import type { ChangeView, KeptView, LiftedView, SupplyView } from '@red-shelf/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { sayAsked, sayChange, sayKept, sayLifted, sayUndone, sayWaits } from '../copy/change';
import { useSay } from '../ui/Say';
import { order, routes, type Order } from './client';
import { knownNow, outboxOf, perform, refreshNow, type Done } from './outgoing';
import { sayOutgrown } from './outgrown';

/** What every change answers with, and what some add to it. */
interface Changed {
  readonly change: ChangeView;
  readonly supply?: SupplyView;
  readonly lifted?: LiftedView;
  readonly kept?: KeptView;
}

/** What happened, with what had to give way. */
const sayAll = ({ answer: { change, lifted = [], kept = [] }, waits, told }: Done<Changed>): string =>
  waits && !told
    ? sayAsked(change)
    : sayChange(change) + sayLifted(lifted) + sayKept(kept) + (waits ? sayWaits : '');

/** Takes a change back: one that was never sent is simply not done; of any other the server is asked. */
function useUndo(): (id: string) => void {
  const [say, client] = [useSay(), useQueryClient()];
  const undo = async (id: string): Promise<void> => {
    if (await outboxOf(client).cancel(id)) return say({ text: sayUndone });
    const done = await perform(client, order(routes.undoChange, { id, body: {} }), true);
    say({ text: sayAll(done), undo: () => start(done.answer.change.id) });
  };
  const start = (id: string): void => {
    undo(id).catch((error: Error) => say({ text: error.message }));
  };
  return start;
}

/**
 * A change that says what happened and offers to undo it. What can be foretold shows at once; the server's word follows.
 * Refusals are said too, unless `quiet` says the caller shows them itself and so waits for the server's word; `silent`
 * says nothing of success, for book-keeping that goes with a change that was said already.
 */
export function useChange<Input, Answer extends Changed>(
  work: (input: Input) => Order<Answer> | Promise<Answer>,
  { quiet = false, silent = false }: { quiet?: boolean; silent?: boolean } = {},
) {
  const [say, client, undo] = [useSay(), useQueryClient(), useUndo()];
  return useMutation({
    // A change is not held back for want of a network: it is kept.
    networkMode: 'always',
    mutationFn: async (input: Input): Promise<Answer> => {
      const asked = work(input);
      const known = knownNow(client);
      const done = isPromise(asked)
        ? { answer: await asked, waits: false, shown: false, told: true }
        : await perform(client, asked, quiet || asked.route === 'undoChange');
      const grown = known ? sayOutgrown(done.answer.supply, known) : '';
      if (!silent) say({ text: sayAll(done) + grown, undo: () => undo(done.answer.change.id) });
      if (!done.shown) await refreshNow(client);
      return done.answer;
    },
    onError: (error) => {
      if (!quiet) say({ text: error.message });
    },
  });
}

const isPromise = <A>(asked: Order<A> | Promise<A>): asked is Promise<A> => 'then' in asked;
