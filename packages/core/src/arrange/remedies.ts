import { bodyOf } from '../stash/body';
import { isRefusal, mayLive, suits, type Lodger, type RoomNow } from '../storage/mayLive';
import { cellSorts } from '../storage/misfit';
import { holdsOf } from '../storage/models/models';
import { UNIT_TEMPLATES } from '../storage/templates';
import { isOnWall, roomIn, unitFromTemplate, type Unit } from '../storage/unit';

/** What would place some of the things that are left over. */
export interface RemedyFor<T> {
  readonly items: readonly T[];
  /** A unit that stands already and was not asked to take them; else null. */
  readonly unitId: string | null;
  /** A template of which one more would take them; else null. */
  readonly template: string | null;
  /** How many of them go in. */
  readonly takes: number;
}

/** Things that go into the same places; what is left over is treated alike. */
const shapeOf = ({ supply, lot }: Lodger): string => {
  const { widthUm, heightUm, depthUm } = bodyOf(supply, lot).one;
  return [supply.kind, supply.form, widthUm, heightUm, depthUm].join(' ');
};

/**
 * The cheapest remedy for what is left over, for each sort of thing: a unit that stands there with room for any of them, the one that
 * takes most; else one more from the smallest template that takes all, or as many as any. Nothing where nothing known takes them.
 */
export function remediesFor<T extends Lodger>(
  leftOver: readonly T[],
  others: readonly Unit[],
  room: RoomNow,
): RemedyFor<T>[] {
  const sorts = new Map<string, T[]>();
  for (const item of leftOver) {
    const sort = sorts.get(shapeOf(item));
    if (sort) sort.push(item);
    else sorts.set(shapeOf(item), [item]);
  }
  return [...sorts.values()].flatMap((items): RemedyFor<T>[] => {
    const standing = others
      .filter(isOnWall)
      .map((unit) => ({ unit, takes: takesOf(items, unit, room) }))
      .sort((p, q) => q.takes - p.takes)[0];
    if (standing && standing.takes > 0)
      return [{ items, unitId: standing.unit.id, template: null, takes: standing.takes }];
    const nothing: RoomNow = { livingIn: () => [] };
    const fresh = UNIT_TEMPLATES.map((template) => {
      const unit = unitFromTemplate(template);
      return { template, takes: takesOf(items, unit, nothing), places: roomIn(unit) ?? Infinity };
    }).sort((p, q) => q.takes - p.takes || p.places - q.places)[0];
    if (!fresh || fresh.takes === 0) return [];
    return [{ items, unitId: null, template: fresh.template.id, takes: fresh.takes }];
  });
}

/** How many of some things that are alike go into a unit beside what is there. */
function takesOf<T extends Lodger>(items: readonly T[], unit: Unit, room: RoomNow): number {
  const [first] = items;
  if (!first || !unit.model) return 0;
  const holds = holdsOf(unit.model);
  const there = room.livingIn(unit.id);
  const most = Math.min(items.length, (unit.rules.cap ?? Infinity) - there.length);
  const bare: RoomNow = { ...room, livingIn: () => [] };
  const good = (cell: number | null): boolean => {
    const answer = mayLive(first, { unit, cell }, bare);
    return answer === null || (!isRefusal(answer) && !answer.some(({ code }) => STAYS_OUT.has(code)));
  };
  if (!holds.shares) {
    const taken = new Set(there.map(({ lot }) => lot.spot?.cell));
    const sorts = cellSorts(unit).filter((cell) => suits(first, { unit, cell }) === null && good(cell));
    const sizes = new Set(sorts.map((cell) => JSON.stringify(holds.space(cell))));
    const open = holds.order.filter(
      (cell) => !taken.has(cell) && sizes.has(JSON.stringify(holds.space(cell))),
    );
    return Math.max(0, Math.min(most, open.length));
  }
  if (!good(null)) return 0;
  const sizes = there.map(({ supply, lot }) => bodyOf(supply, lot).all);
  let takes = 0;
  for (const { supply, lot } of items.slice(0, Math.max(0, most))) {
    sizes.push(bodyOf(supply, lot).all);
    const full = holds.fill(sizes);
    if (full && full.have > full.of) break;
    takes++;
  }
  return takes;
}

const STAYS_OUT: ReadonlySet<string> = new Set(['kept_for_others', 'belongs_elsewhere']);
