import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ChangeView } from '@red-shelf/contract';
import { useSay } from '../frame/Say';
import { sayChange } from '../copy/change';
import { call, routes } from './client';
import { keys } from './queries';

/** Fetches again whatever a change may have touched. */
function useRefresh(): () => Promise<void> {
  const client = useQueryClient();
  return async () => {
    await Promise.all([
      client.invalidateQueries({ queryKey: keys.supplies }),
      client.invalidateQueries({ queryKey: ['supply'] }),
      client.invalidateQueries({ queryKey: keys.wall }),
      client.invalidateQueries({ queryKey: keys.arrange }),
    ]);
  };
}

/**
 * A mutation that says what happened and offers to undo it.
 * Refusals are said too, unless `quiet` says the caller shows them itself.
 */
export function useChange<Input, Answer extends { change: ChangeView }>(
  work: (input: Input) => Promise<Answer>,
  { quiet = false }: { quiet?: boolean } = {},
) {
  const say = useSay();
  const refresh = useRefresh();
  const undo = useMutation({
    mutationFn: (id: string) => call(routes.undoChange, { id }),
    onSuccess: async ({ change }) => {
      await refresh();
      say({ text: sayChange(change), undo: () => undo.mutate(change.id) });
    },
    onError: (error) => say({ text: error.message }),
  });
  return useMutation({
    mutationFn: work,
    onSuccess: async ({ change }) => {
      await refresh();
      say({ text: sayChange(change), undo: () => undo.mutate(change.id) });
    },
    onError: (error) => {
      if (!quiet) say({ text: error.message });
    },
  });
}
