import { heldByGroups, holdsBack, type Held } from '@red-shelf/core';
import type { GroupBody, RecordView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { recordsOf, useRecords } from './queries';

/** A kit or a project. */
export type Holder = RecordView & { body: GroupBody };

/** Kits that stand whole and projects that are open: what keeps some of the stash back. */
export function useHolders(): readonly Holder[] {
  const { data } = useRecords();
  return useMemo(
    () => recordsOf(data, 'group').filter(({ body }) => holdsBack(body.what) && body.dissolvedOn === null),
    [data],
  );
}

const NOTHING: readonly Held[] = [];

/** What kits and projects hold back, by supply. */
export function useAllHeld(): ReadonlyMap<string, readonly Held[]> {
  const holders = useHolders();
  return useMemo(() => heldByGroups(holders.map(({ id, body }) => ({ ...body, id }))), [holders]);
}

/** What kits and projects hold back of a supply. */
export const useHeld = (supplyId: string): readonly Held[] => useAllHeld().get(supplyId) ?? NOTHING;
