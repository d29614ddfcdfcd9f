import { useMutation, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { ChangeView, KeptView, LiftedView, SupplyView } from '@red-shelf/contract';
import { useSay } from '../frame/Say';
import { sayChange, sayKept, sayLifted } from '../copy/change';
import { call, routes } from './client';
import { bringsAll, keys, mendSupply } from './queries';

/** What every change answers with, and what some add to it. */
interface Changed {
  readonly change: ChangeView;
  readonly supply?: SupplyView;
  readonly lifted?: LiftedView;
  readonly kept?: KeptView;
}

/** Fetches again whatever a change may have touched. */
async function refresh(client: QueryClient): Promise<void> {
  // The list's news bring the walls and the records; without a list they are asked for themselves.
  const rest = bringsAll(client) ? [] : [keys.wall, keys.records];
  await Promise.all([
    // Also while no screen shows the list: walls and records come with it.
    client.refetchQueries({ queryKey: keys.supplies, type: 'all' }),
    ...[...rest, keys.journal, ['supply'] as const, keys.arrange].map((queryKey) =>
      client.invalidateQueries({ queryKey }),
    ),
  ]);
}

/** What happened, with what had to give way. */
const sayAll = ({ change, lifted = [], kept = [] }: Changed): string =>
  sayChange(change) + sayLifted(lifted) + sayKept(kept);

/**
 * A mutation that says what happened and offers to undo it. The answer shows at once; the lists follow.
 * Refusals are said too, unless `quiet` says the caller shows them itself; `silent` says nothing of success,
 * for book-keeping that goes with a change that was said already.
 */
export function useChange<Input, Answer extends Changed>(
  work: (input: Input) => Promise<Answer>,
  { quiet = false, silent = false }: { quiet?: boolean; silent?: boolean } = {},
) {
  const say = useSay();
  const client = useQueryClient();
  const undo = useMutation({
    mutationFn: (id: string) => call(routes.undoChange, { id }),
    onSuccess: (answer) => {
      say({ text: sayAll(answer), undo: () => undo.mutate(answer.change.id) });
      return refresh(client);
    },
    onError: (error) => say({ text: error.message }),
  });
  return useMutation({
    mutationFn: work,
    onSuccess: (answer) => {
      if (answer.supply) mendSupply(client, answer.supply);
      if (!silent) say({ text: sayAll(answer), undo: () => undo.mutate(answer.change.id) });
      return refresh(client);
    },
    onError: (error) => {
      if (!quiet) say({ text: error.message });
    },
  });
}
