import type { RecordBody } from './records';

type Group = Extract<RecordBody, { sort: 'group' }>;
type Members = Group['members'];

/** Members with one thing under another's name: where both are members they become one, and their amounts add up. */
function membersRenamed(members: Members, from: string, to: string): Members {
  const amounts = new Map<string, number>();
  for (const { supplyId, amount } of members) {
    const id = supplyId === from ? to : supplyId;
    amounts.set(id, (amounts.get(id) ?? 0) + amount);
  }
  return [...amounts].map(([supplyId, amount]) => ({ supplyId, amount }));
}
const once = (ids: readonly string[]): string[] => [...new Set(ids)];

/** A record that names a thing which became one with another, naming that; null where it does not name it. */
export function renamed(body: RecordBody, from: string, to: string): RecordBody | null {
  const swap = (id: string): string => (id === from ? to : id);
  if (body.sort === 'group') {
    const names = body.members.some(({ supplyId }) => supplyId === from) || body.matches.includes(from);
    if (!names) return null;
    const matches = once(body.matches.map(swap));
    return { ...body, members: membersRenamed(body.members, from, to), matches };
  }
  if (body.sort === 'drawers') {
    const begins = body.drawers.some(({ holds }) => holds.some(({ startsAt }) => startsAt === from));
    if (!begins) return null;
    const drawers = body.drawers.map((drawer) => ({
      ...drawer,
      holds: drawer.holds.map((hold) => ({ ...hold, startsAt: hold.startsAt && swap(hold.startsAt) })),
    }));
    return { ...body, drawers };
  }
  return null;
}
