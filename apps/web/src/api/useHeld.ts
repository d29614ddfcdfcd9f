import { heldByKits, type Held } from '@red-shelf/core';
import { useMemo } from 'react';
import { recordsOf, useRecords } from './queries';

/** What kits hold back of a supply. */
export function useHeld(supplyId: string): readonly Held[] {
  const { data } = useRecords();
  const held = useMemo(() => heldByKits(recordsOf(data, 'group').map(({ body }) => body)), [data]);
  return held.get(supplyId) ?? [];
}
