import type { ShareView } from '@red-shelf/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call, routes } from './client';

const KEY = ['share'] as const;
/** Devices come while one looks, ms. */
const LOOK_MS = 5_000;

/** Whether and where the stash can be reached from the house's network, and who was let in. */
export const useShare = () =>
  useQuery({ queryKey: KEY, queryFn: () => call(routes.share), staleTime: 0, refetchInterval: LOOK_MS });

/** What is decided about devices; each answers how things stand then. */
export function useShareActs() {
  const client = useQueryClient();
  const acts = {
    setPassphrase: (passphrase: string) => call(routes.setPassphrase, { body: { passphrase } }),
    name: ({ id, name }: { id: string; name: string }) => call(routes.nameDevice, { id, body: { name } }),
    shutOut: (id: string) => call(routes.shutOut, { id }),
  };
  const onSuccess = (view: ShareView): void => void client.setQueryData(KEY, view);
  return {
    setPassphrase: useMutation({ mutationFn: acts.setPassphrase, onSuccess }),
    name: useMutation({ mutationFn: acts.name, onSuccess }),
    shutOut: useMutation({ mutationFn: acts.shutOut, onSuccess }),
  };
}
