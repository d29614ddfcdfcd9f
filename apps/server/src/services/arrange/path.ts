import {
  holdsOf,
  mayLive,
  REACHES,
  staysAt,
  zonesOf,
  type PathUnit,
  type Reach,
  type RoomNow,
} from '@red-shelf/core';
import type { ArrangeAsked, UnitView } from '@red-shelf/contract';
import { Refusal } from '../refusal';
import type { Item } from './item';

/** A unit as it is filled: what stays in it keeps its cells, its share of the length, and counts for its limit. */
export function toPathUnit(unit: UnitView, staying: readonly Item[], room: RoomNow): PathUnit<Item> {
  const { model, rules, facts } = unit;
  // Whether a place is taken is the arranging's own business; whether it suits is not.
  const open: RoomNow = { ...room, livingIn: () => [] };
  const takes: PathUnit<Item>['takes'] = (item, cell) => mayLive(item, { unit, cell }, open);
  if (!model) return { id: unit.id, cells: 0, zones: [], takes };
  // A limit counts what stays, too.
  const most = Math.max(0, (rules.cap ?? Infinity) - staying.length);
  const near = facts.tolerance === 'family' ? { near: 1 } : {};
  const holds = holdsOf(model);
  if (!holds.shares) {
    const blocked = new Set([
      ...staying.flatMap(({ lot }) => lot.spot?.cell ?? []),
      ...holds.order.filter((cell) => staysAt(unit, cell)),
    ]);
    return { id: unit.id, cells: holds.cells, zones: zonesOf(model, blocked, most), takes, ...near };
  }
  const full = holds.fill(staying.map(({ all }) => all));
  const sizes = new Map<string, number>();
  const sizeOf = ({ all, size }: Item): number => {
    const known = sizes.get(size);
    if (known !== undefined) return known;
    const found = holds.fill([all])?.have ?? 0;
    sizes.set(size, found);
    return found;
  };
  const free = Math.max(0, (full?.of ?? 0) - (full?.have ?? 0));
  return {
    id: unit.id,
    cells: 0,
    zones: [{ cell: null, open: [], room: most, shared: { free, sizeOf } }],
    anyOrder: holds.overflows === 'too full',
    takes,
    ...near,
  };
}

/** Where an order begins with use or with the season, what is used now goes nearest: near places are filled first. */
export function byReach(
  units: readonly UnitView[],
  reachOf: (unitId: string) => Reach['reach'],
  { recipes = {} }: ArrangeAsked,
): readonly UnitView[] {
  if (!Object.values(recipes).some(([first]) => first === 'how often used' || first === 'in season'))
    return units;
  const rank = ({ id }: UnitView): number => REACHES.indexOf(reachOf(id));
  return [...units].sort((p, q) => rank(p) - rank(q));
}

/** Refuses places that cannot be arranged into. */
export function refuseAway(units: readonly UnitView[]): void {
  const away = units.find(
    ({ facts: { standing = 'active' } }) => standing === 'spare' || standing === 'retired',
  );
  if (away) throw new Refusal(422, 'off_wall', `${away.name} is put away; bring it back to the wall first.`);
  const stays = units.filter(({ facts }) => facts.stays);
  if (stays.length === units.length)
    throw new Refusal(
      422,
      'all_stay',
      `${stays.map(({ name }) => name).join(', ')}: you said to leave it as it is. Choose another place, or take that back where its sizes are.`,
    );
}
