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

/** What would come to one place that does something to it, by rule; what stands there already is none of it. */
function sufferingIn(
  unit: UnitView,
  { before, after }: ArrangePreview,
  stash: Stash,
  { marksOf, habits }: ReturnType<typeof useRoom>,
): Suffering[] {
  const slotsIn = (side: ArrangePreview['before']) =>
    side.units.find(({ unitId }) => unitId === unit.id)?.slots ?? [];
  const there = new Set(slotsIn(before));
  const signs = marksOf?.(unit);
  if (!signs) return [];
  const left = new Set(unit.facts.accepted?.map(({ rule }) => rule));
  const found = new Map<CareId, SupplyView[]>();
  for (const id of slotsIn(after)) {
    const supply = id === null || there.has(id) ? undefined : stash.byId.get(id);
    const lot = supply && mainOf(supply);
    if (!supply || !lot) continue;
    for (const rule of careFor(supply, signs, bodyOf(supply, lot).massMg)) {
      if (left.has(rule) || habits?.has(rule)) continue;
      found.set(rule, [...(found.get(rule) ?? []), supply]);
    }
  }
  return [...found].map(([rule, things]) => ({ rule, unit, things }));
}

/** The same of all places of a plan, a few at a time, so that the page answers meanwhile; called with all of it. Returns what stops it. */
function judgeAll(
  plan: ArrangePreview,
  stash: Stash,
  room: ReturnType<typeof useRoom>,
  then: (found: readonly Suffering[]) => void,
): () => void {
  const ids = new Set(plan.after.units.map(({ unitId }) => unitId));
  const units = stash.wall.units.filter(({ id }) => ids.has(id));
  const found: Suffering[] = [];
  let timer: ReturnType<typeof setTimeout>;
  const some = (from: number): void => {
    for (const unit of units.slice(from, from + AT_ONCE)) found.push(...sufferingIn(unit, plan, stash, room));
    if (from + AT_ONCE >= units.length) then(found);
    else timer = setTimeout(some, 0, from + AT_ONCE);
  };
  timer = setTimeout(some, 0, 0);
  return () => clearTimeout(timer);
}

/** So many places are judged in one task. */
const AT_ONCE = 12;
const NAMED = 3;

/** Asked of the rules before anything is moved: what the new places would do to what comes there. */
export const WouldSuffer = memo(function WouldSuffer({ plan, stash }: WouldSufferProps) {
  const room = useRoom(stash);
  const [suffering, setSuffering] = useState<readonly Suffering[]>([]);
  useEffect(() => judgeAll(plan, stash, room, setSuffering), [plan, stash, room]);
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
