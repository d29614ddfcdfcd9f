import { isOnWall, offerSlots, setDownFrom, type Offer, type SetDownPlan } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { isLoose, useContents, useRoom, type Living } from '../../api/contents';
import type { Stash } from '../../api/queries';
import type { SlotChoice } from '../../draw/UnitBlock';

/** Where things go that are carried, where one points; undefined while one points nowhere. */
export interface Aim {
  readonly unit: UnitView;
  readonly cell: number | null;
  readonly plan: SetDownPlan<Living>;
}

const OFFERED = 3;

/** What would come of setting down what is carried at the place one points at, before it is done. */
export function useAim(
  stash: Stash,
  carried: readonly Living[],
  choice: SlotChoice | null,
): { readonly aim: Aim | undefined; readonly others: readonly Offer<UnitView, Living>[] } {
  const room = useRoom(stash);
  const contents = useContents(stash);
  const aim = useMemo((): Aim | undefined => {
    const unit = stash.wall.units.find(({ id }) => id === choice?.unitId);
    if (!unit || !choice || carried.length === 0) return undefined;
    const cell = isLoose(unit) ? null : choice.slot;
    const groupOf = (id: string) => stash.byId.get(id)?.group;
    const plan = setDownFrom(
      carried,
      { unit, cell },
      room,
      ({ supply: { group } }, other) => groupOf(other.supply.id) === group,
    );
    return { unit, cell, plan };
  }, [stash, carried, choice, room]);
  const refused = aim?.plan.refused[0]?.thing;
  /** What would take a thing that was refused. */
  const others = useMemo(() => {
    if (!refused) return [];
    const units = stash.wall.units.filter(isOnWall).map((unit) => ({
      unit,
      slots: (contents.get(unit.id) ?? []).map((each) => each && { ...each, hex: each.supply.hex }),
    }));
    const offers = offerSlots({ ...refused, hex: refused.supply.hex }, units, room);
    // What is kept for the too much of this place is first.
    const isOverflow = ({ unit }: (typeof offers)[number]): boolean =>
      unit.facts.overflowOf === choice?.unitId;
    return [...offers.filter(isOverflow), ...offers.filter((each) => !isOverflow(each))].slice(0, OFFERED);
  }, [refused, stash, contents, room, choice]);
  return { aim, others };
}
