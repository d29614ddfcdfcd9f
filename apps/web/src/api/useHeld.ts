import { heldByKits, type Held } from '@red-shelf/core';
import { useMemo } from 'react';
import { recordsOf, useRecords } from './queries';

/** What kits hold back of a supply. */
export function useHeld(supplyId: string): readonly Held[] {
  const { data } = useRecords();
  const held = useMemo(
    () => heldByKits(recordsOf(data, 'group').map(({ id, body }) => ({ ...body, id }))),
    [data],
  );
  return held.get(supplyId) ?? [];
}
