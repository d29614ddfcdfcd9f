import { addressIn, HAND_ID, type PlaceSpot } from '@red-shelf/core';
import { useMemo } from 'react';
import { useStash } from './queries';

/** What a spot is called in a sentence: its address, the bench, or a place that is there no more. */
export function useSpotName(): (spot: PlaceSpot) => string {
  const { stash } = useStash();
  return useMemo(() => {
    const byId = new Map((stash?.wall.all ?? []).map((unit) => [unit.id, unit]));
    return ({ unitId, cell }) => {
      if (unitId === HAND_ID) return 'the bench';
      const unit = byId.get(unitId);
      return unit ? addressIn(unit, cell) : 'a place that is gone';
    };
  }, [stash]);
}
