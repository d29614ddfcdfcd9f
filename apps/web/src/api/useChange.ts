import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ChangeView, SupplyView } from '@red-shelf/contract';
import { useSay } from '../frame/Say';
import { sayChange } from '../copy/change';
import { call, routes } from './client';
import { keys } from './queries';

/** An answer that carries the one supply it touched lets the long list be mended instead of fetched again. */
const ONE_SUPPLY: ReadonlySet<ChangeView['kind']> = new Set(['edit', 'act', 'add']);

/** Fetches again whatever a change may have touched. */
function useRefresh(): (answer: { change: ChangeView; supply?: SupplyView }) => Promise<void> {
  const client = useQueryClient();
  return async ({ change, supply }) => {
    const mended = supply !== undefined && ONE_SUPPLY.has(change.kind);
    if (mended)
      client.setQueryData<readonly SupplyView[]>(keys.supplies, (list) =>
        list?.some(({ id }) => id === supply.id)
          ? list.map((each) => (each.id === supply.id ? supply : each))
          : list && [...list, supply],
      );
    await Promise.all([
      ...(mended ? [] : [client.invalidateQueries({ queryKey: keys.supplies })]),
      client.invalidateQueries({ queryKey: keys.records }),
      client.invalidateQueries({ queryKey: keys.journal }),
      client.invalidateQueries({ queryKey: ['supply'] }),
      client.invalidateQueries({ queryKey: keys.wall }),
      client.invalidateQueries({ queryKey: keys.arrange }),
    ]);
  };
}

/**
 * A mutation that says what happened and offers to undo it.
 * Refusals are said too, unless `quiet` says the caller shows them itself; `silent` says nothing of success,
 * for book-keeping that goes with a change that was said already.
 */
export function useChange<Input, Answer extends { change: ChangeView; supply?: SupplyView }>(
  work: (input: Input) => Promise<Answer>,
  { quiet = false, silent = false }: { quiet?: boolean; silent?: boolean } = {},
) {
  const say = useSay();
  const refresh = useRefresh();
  const undo = useMutation({
    mutationFn: (id: string) => call(routes.undoChange, { id }),
    onSuccess: async (answer) => {
      const { change } = answer;
      await refresh(answer);
      say({ text: sayChange(change), undo: () => undo.mutate(change.id) });
    },
    onError: (error) => say({ text: error.message }),
  });
  return useMutation({
    mutationFn: work,
    onSuccess: async (answer) => {
      const { change } = answer;
      await refresh(answer);
      if (!silent) say({ text: sayChange(change), undo: () => undo.mutate(change.id) });
    },
    onError: (error) => {
      if (!quiet) say({ text: error.message });
    },
  });
}
