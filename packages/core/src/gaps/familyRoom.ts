import { fullWhen, type FullWhen } from '../arrange/full';
import { SETTLING_MS } from '../arrange/growth';
import type { FamilyGroup } from '../colour/families';
import type { Kind } from '../kinds/definition';
import { holdsOf } from '../storage/models/models';
import type { RoomUnit } from './roomLeft';

/** A thing as it stands in a cell: of which kind and family, and since when it is there, ms since 1970. */
export interface InCell {
  readonly kind: Kind;
  readonly group: FamilyGroup;
  readonly since: number;
}
/** A family of a kind, how many of it stand in cells, and how many open ones stand among them. */
export interface FamilyRoom {
  readonly kind: Kind;
  readonly group: FamilyGroup;
  readonly filled: number;
  readonly open: number;
  /** When its open cells are filled at the pace it grows; null where that is not in sight. */
  readonly full: FullWhen | null;
}

/** Fewer of a family are no run that could be full. */
const FEWEST = 4;
/** With a smaller share of open cells a family is nearly full. */
const NEARLY = 0.08;
/** What is full within so long is told, ms. */
const SOON_MS = 120 * 86_400_000;
/** So many have to have come lately, else it does not grow. */
const GROWS = 2;

/**
 * Families that are nearly full, or will be within four months: the soonest first. An open cell is room of the family that stands before
 * it, or, at the head of a unit, after it. `standing` gives what stands in the cells of a unit, by cell; `now` is ms since 1970. Linear in
 * the cells.
 */
export function familyRoom(
  units: readonly RoomUnit[],
  standing: (unitId: string) => readonly (InCell | null)[],
  now: number,
): FamilyRoom[] {
  const families = new Map<string, { of: InCell; times: number[]; open: number }>();
  const familyOf = (of: InCell) => {
    const key = `${of.kind} ${of.group}`;
    const known = families.get(key) ?? { of, times: [], open: 0 };
    families.set(key, known);
    return known;
  };
  for (const { id, model } of units) {
    if (!model || holdsOf(model).shares) continue;
    const cells = standing(id);
    let last: InCell | null = null;
    let ahead = 0;
    for (const cell of holdsOf(model).order) {
      const here = cells[cell] ?? null;
      if (here) {
        const family = familyOf(here);
        family.times.push(here.since);
        if (last === null) family.open += ahead;
        last = here;
      } else if (last) familyOf(last).open++;
      else ahead++;
    }
  }
  return [...families.values()]
    .flatMap(({ of: { kind, group }, times, open }): FamilyRoom[] => {
      const filled = times.length;
      const since = Math.min(...times) + SETTLING_MS;
      const grows = times.filter((time) => time > since && time <= now).length >= GROWS;
      if (filled < FEWEST || !grows) return [];
      const full = fullWhen(open, times, since, now);
      const soon = full !== null && full.median - now < SOON_MS;
      return soon || open / (open + filled) < NEARLY ? [{ kind, group, filled, open, full }] : [];
    })
    .sort(
      (p, q) =>
        (p.full?.median ?? Infinity) - (q.full?.median ?? Infinity) ||
        p.open - q.open ||
        (`${p.kind} ${p.group}` < `${q.kind} ${q.group}` ? -1 : 1),
    );
}
