import { bodyOf } from '../../stash/body';
import type { Lodger } from '../../storage/mayLive';
import { holdsOf } from '../../storage/models/models';
import type { Unit } from '../../storage/unit';
import type { SharedRoom } from './walk';

/**
 * How much is free where things share a length or a height, and how much of it each takes there: what `inWalkingOrder` asks. A heap is
 * never too full to put something on. `things` are all there are, by lot.
 */
export function sharedRoom(
  units: readonly Pick<Unit, 'id' | 'model'>[],
  things: ReadonlyMap<string, Lodger>,
): SharedRoom<string> {
  const models = new Map(
    units.flatMap(({ id, model }) => {
      const holds = model && holdsOf(model);
      return holds?.shares && holds.overflows !== 'too full' ? [[id, holds] as const] : [];
    }),
  );
  const there = new Map<string, Lodger[]>();
  for (const thing of things.values()) {
    const unitId = thing.lot.spot?.unitId ?? '';
    if (!models.has(unitId)) continue;
    const list = there.get(unitId);
    if (list) list.push(thing);
    else there.set(unitId, [thing]);
  }
  return {
    sizeIn: (lotId, unitId) => {
      const thing = things.get(lotId);
      return (thing && models.get(unitId)?.fill([bodyOf(thing.supply, thing.lot).all])?.have) ?? 0;
    },
    freeIn: (unitId) => {
      const sizes = (there.get(unitId) ?? []).map(({ supply, lot }) => bodyOf(supply, lot).all);
      const full = models.get(unitId)?.fill(sizes);
      return full ? full.of - full.have : null;
    },
  };
}
