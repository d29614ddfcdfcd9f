import type { ImportCommit } from '@red-shelf/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { ApiError, call, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { othersFirst } from '../ui/othersFirst';

/** How often progress is asked for, ms. */
const ASK_EVERY = 250;

/** Runs one import to its end: starts it, follows it, can break it off, and offers undo when it is done. */
export function useImport(
  id: string,
  { onOutdated, onDone }: { onOutdated: () => void; onDone: () => void },
) {
  const client = useQueryClient();
  const key = ['import-progress', id];
  const start = useMutation({
    mutationFn: (body: ImportCommit) => call(routes.commitImport, { id, body }),
    onSuccess: (progress) => client.setQueryData(key, progress),
    onError: (error) => {
      if (error instanceof ApiError && error.problem.code === 'preview_outdated') onOutdated();
    },
  });
  const { data: progress } = useQuery({
    queryKey: key,
    queryFn: () => call(routes.importProgress, { id }),
    enabled: start.isSuccess,
    staleTime: 0,
    refetchInterval: ({ state }) => (state.data?.state === 'running' ? ASK_EVERY : false),
  });
  const finished = useChange((change: { id: string; count: number }) =>
    Promise.resolve({ change: { ...change, kind: 'import' as const, name: '' } }),
  );
  const told = useRef(false);
  const { changeId, state, total } = progress ?? {};
  const { mutate } = finished;
  useEffect(() => {
    if (state !== 'done' || !changeId || told.current) return;
    told.current = true;
    mutate({ id: changeId, count: total ?? 0 }, { onSuccess: () => void othersFirst().then(onDone) });
  }, [state, changeId, total, mutate, onDone]);
  const failure =
    start.error?.message ??
    (state === 'failed'
      ? (progress?.reason ?? null)
      : state === 'cancelled'
        ? 'Cancelled. Nothing was written.'
        : null);
  return {
    start,
    progress,
    failure,
    cancel: () =>
      void call(routes.cancelImport, { id }).then(() => client.invalidateQueries({ queryKey: key })),
  };
}
