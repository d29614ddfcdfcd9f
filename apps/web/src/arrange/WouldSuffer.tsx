import { bodyOf, careFor, type CareId } from '@red-shelf/core';
import type { ArrangePreview, SupplyView, UnitView } from '@red-shelf/contract';
import { memo, useEffect, useState } from 'react';
import { mainOf, useRoom } from '../api/contents';
import type { Stash } from '../api/queries';
import { sayCare } from '../copy/care';
import { unitTitle } from '../copy/supply';
import { listOf, many } from '../copy/words';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

interface WouldSufferProps {
  readonly plan: ArrangePreview;
  readonly stash: Stash;
}
interface Suffering {
  readonly rule: CareId;
  readonly unit: UnitView;
  readonly things: readonly SupplyView[];
}

/** What would come to a place that does something to it, by rule and unit; what stands there already is none of it. */
function sufferingIn(
  { before, after }: ArrangePreview,
  stash: Stash,
  { marksOf, habits }: ReturnType<typeof useRoom>,
): Suffering[] {
  const found = new Map<string, Suffering>();
  for (const { unitId, slots } of after.units) {
    const unit = stash.wall.units.find(({ id }) => id === unitId);
    const there = new Set(before.units.find((each) => each.unitId === unitId)?.slots);
    const signs = unit && marksOf?.(unit);
    if (!unit || !signs) continue;
    const left = new Set(unit.facts.accepted?.map(({ rule }) => rule));
    for (const id of slots) {
      const supply = id === null || there.has(id) ? undefined : stash.byId.get(id);
      const lot = supply && mainOf(supply);
      if (!supply || !lot) continue;
      for (const rule of careFor(supply, signs, bodyOf(supply, lot).massMg)) {
        if (left.has(rule) || habits?.has(rule)) continue;
        const key = `${rule} ${unitId}`;
        found.set(key, { rule, unit, things: [...(found.get(key)?.things ?? []), supply] });
      }
    }
  }
  return [...found.values()];
}

const NAMED = 3;

/** Asked of the rules before anything is moved: what the new places would do to what comes there. */
export const WouldSuffer = memo(function WouldSuffer({ plan, stash }: WouldSufferProps) {
  const room = useRoom(stash);
  const [suffering, setSuffering] = useState<readonly Suffering[]>([]);
  // In a task of its own: of thousands of things it takes as long as a drawing.
  useEffect(() => {
    const timer = setTimeout(() => setSuffering(sufferingIn(plan, stash, room)));
    return () => clearTimeout(timer);
  }, [plan, stash, room]);
  return suffering.map(({ rule, unit, things }) => {
    const names = things.slice(0, NAMED).map(({ name }) => name);
    const more = things.length - names.length;
    return (
      <Note key={`${rule} ${unit.id}`} sort="attention">
        <Txt>{`In ${unitTitle(unit)}: ${sayCare(rule)}`}</Txt>
        <Txt look="quiet">{listOf([...names, ...(more > 0 ? [many(more, 'other')] : [])])}</Txt>
      </Note>
    );
  });
});
