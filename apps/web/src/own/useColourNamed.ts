import { fold } from '@red-shelf/core';
import type { ColourName } from '@red-shelf/contract';
import { useQuery } from '@tanstack/react-query';
import { call, routes } from '../api/client';

/** The colour a word is the name of (salmon, petrol, dusty rose), by the server's list of names; null when it is none. */
export function useColourNamed(text: string): ColourName | null {
  const query = text.trim();
  const { data } = useQuery({
    queryKey: ['colour names', query],
    queryFn: () => call(routes.colourNames, { body: { query } }),
    enabled: /^\p{L}{3}[\p{L} '’-]{0,40}$/u.test(query),
    staleTime: Infinity,
    retry: false,
  });
  return data?.names.find(({ name }) => fold(name) === fold(query)) ?? null;
}
