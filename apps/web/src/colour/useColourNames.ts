import { fold } from '@red-shelf/core';
import type { ColourName } from '@red-shelf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { call, routes } from '../api/client';

/** Words, not codes: a hex or a number names no colour. */
const WORDS = /^\p{L}{2}[\p{L} '’-]{0,40}$/u;
const NONE: readonly ColourName[] = [];

/** Colours with such a name, from the server's list, the best first; none for what is no word. */
export function useColourNames(text: string): readonly ColourName[] {
  const query = text.trim();
  const enabled = WORDS.test(query);
  const { data } = useQuery({
    queryKey: ['colour names', query],
    queryFn: () => call(routes.colourNames, { body: { query } }),
    enabled,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
  return (enabled && data?.names) || NONE;
}

/** The one among them that is called just so; null when none is. */
export const calledSo = (text: string, names: readonly ColourName[]): ColourName | null =>
  names.find(({ name }) => fold(name) === fold(text.trim())) ?? null;
