import { fullWhen, holdsOf, SETTLING_MS } from '@red-shelf/core';
import type { ArrangePreview } from '@red-shelf/contract';
import type { Planned } from './plan';

const dayOf = (time: number): string => new Date(time).toISOString().slice(0, 10);

/** When each group and each place with cells will be full, the soonest first. */
export function fullIn(
  { moving, units, target, sortable, grouping }: Planned,
  after: ArrangePreview['after'],
  now: string,
): ArrangePreview['full'] {
  const came = new Map(moving.map(({ supplyId, of }) => [supplyId, Date.parse(of.createdAt)]));
  // What was written down in the first weeks was there before.
  const since = [...came.values()].reduce((least, time) => Math.min(least, time), Infinity) + SETTLING_MS;
  const at = Date.parse(now);
  if (!(since < at)) return [];
  const when = (open: number, ids: Iterable<string>): ArrangePreview['full'][number]['when'] => {
    const bought = [...new Set(ids)].flatMap((id) => came.get(id) ?? []);
    const found = fullWhen(open, bought, since, at);
    return found && { median: dayOf(found.median), low: dayOf(found.low), high: dayOf(found.high) };
  };
  const open = new Map<string, number>();
  for (const slots of target.held.values())
    for (const group of slots.values()) open.set(group, (open.get(group) ?? 0) + 1);
  const members = new Map<string, string[]>();
  for (const id of came.keys()) {
    const thing = sortable.get(id);
    const group = thing ? grouping.groupOf(thing) : '';
    members.set(group, [...(members.get(group) ?? []), id]);
  }
  const groups = [...members].map(([group, ids]) => {
    const left = open.get(group) ?? 0;
    return { what: 'group' as const, id: group, open: left, when: when(left, ids) };
  });
  const places = units.flatMap(({ id, model }) => {
    if (!model || holdsOf(model).shares) return [];
    const slots = after.units.find(({ unitId }) => unitId === id)?.slots ?? [];
    const left = holdsOf(model).order.filter((cell) => (slots[cell] ?? null) === null).length;
    const there = slots.flatMap((slot) => slot ?? []);
    return [{ what: 'unit' as const, id, open: left, when: when(left, there) }];
  });
  const soon = ({ when: found }: ArrangePreview['full'][number]): string => found?.median ?? 'never';
  return [...groups, ...places].sort((p, q) => (soon(p) < soon(q) ? -1 : soon(p) > soon(q) ? 1 : 0));
}
