import { outOfSeason } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useMemo, useState } from 'react';
import { usePreferences } from '../api/queries';

/** What of a list is in season, where the person wants the rest out of sight; a search looks everywhere. */
export function useInSeason(
  supplies: readonly SupplyView[],
  searching: boolean,
): { shown: readonly SupplyView[]; hidden: number } {
  const { preferences } = usePreferences();
  const [opened] = useState(() => Date.now());
  const { hideOutOfSeason, hemisphere } = preferences;
  return useMemo(() => {
    if (!hideOutOfSeason || searching) return { shown: supplies, hidden: 0 };
    const shown = supplies.filter(({ facts }) => !outOfSeason(facts, opened, hemisphere));
    return { shown, hidden: supplies.length - shown.length };
  }, [supplies, searching, hideOutOfSeason, hemisphere, opened]);
}
