import type { Allocation } from './allocation';
import type { PathUnit, Placing } from './zones';

/** Fills a path with things in their order. */
type Fill<T extends Placing> = (ordered: readonly T[], path: readonly PathUnit<T>[]) => Allocation<T>;

/**
 * Fills what takes the too much of another unit (`overflowOf`) last, with what found no place: each thing goes to the overflow of the
 * unit in which the thing before or behind it in the order stands; only what finds no room there goes to any other. Groups are said to
 * continue there.
 */
export function withOverflow<T extends Placing>(
  ordered: readonly T[],
  path: readonly PathUnit<T>[],
  groupOf: (item: T) => string,
  fill: Fill<T>,
): Allocation<T> {
  const runs = path.filter(({ overflowOf }) => overflowOf === undefined);
  const overflows = path.filter(({ overflowOf }) => overflowOf !== undefined);
  if (runs.length === 0 || overflows.length === 0) return fill(ordered, path);
  const inRuns = fill(ordered, runs);
  const out = new Set(inRuns.leftOver.map(({ item }) => item.id));
  const runOf = runsBeside(ordered, inRuns);
  const left = ordered.filter(({ id }) => out.has(id));
  const own = (item: T): string => runOf.get(item.id) ?? '';
  // Things that are alike are asked for once; here they are alike only beside one run.
  const beside = left.map((item) => ({ ...item, alike: `${item.alike ?? item.id}\n${own(item)}` }));
  const bound = overflows.map((unit): PathUnit<T> => ({
    ...unit,
    takes: (item, cell) => (own(item) === unit.overflowOf ? unit.takes(item, cell) : { code: 'wrong_kind' }),
  }));
  const apart = fill(beside, bound);
  const anywhere = apart.leftOver.length === 0 ? apart : fill(left, overflows);
  const best = anywhere.leftOver.length < apart.leftOver.length ? anywhere : apart;
  // Bound to its own run a thing would say that it goes nowhere else: why it finds no place is asked of them all.
  const why = new Map(anywhere.leftOver.map(({ item, reason }) => [item.id, reason]));
  const leftOver = best.leftOver.map(({ item }) => ({ item, reason: why.get(item.id) ?? NO_ROOM }));
  return joined(path, groupOf, inRuns, { ...best, leftOver }, left);
}

const NO_ROOM = { code: 'no_room' } as const;

/** For each thing that found no place, the unit of the nearest one in the order that did. */
function runsBeside<T extends Placing>(
  ordered: readonly T[],
  { spots }: Allocation<T>,
): ReadonlyMap<string, string> {
  const unitOf = ({ id }: T): string | undefined => spots.get(id)?.unitId;
  const runOf = new Map<string, string>();
  ordered.forEach((item, i) => {
    if (unitOf(item) !== undefined) return;
    for (let off = 1; off < ordered.length; off++) {
      const near = [ordered[i - off], ordered[i + off]].flatMap((other) => (other && unitOf(other)) ?? []);
      if (near[0] === undefined) continue;
      runOf.set(item.id, near[0]);
      return;
    }
  });
  return runOf;
}

/** Both in one, along the whole path; what is in an overflow is the thing itself again. */
function joined<T extends Placing>(
  path: readonly PathUnit<T>[],
  groupOf: (item: T) => string,
  inRuns: Allocation<T>,
  over: Allocation<T>,
  left: readonly T[],
): Allocation<T> {
  const itself = new Map(left.map((item) => [item.id, item]));
  const slotsOf = new Map(
    [...inRuns.units, ...over.units].map(({ unit, slots }) => [
      unit.id,
      slots.map((item) => item && (itself.get(item.id) ?? item)),
    ]),
  );
  const units = path.map((unit) => ({ unit, slots: slotsOf.get(unit.id) ?? [] }));
  const groupsIn = (unitId: string): ReadonlySet<string> =>
    new Set((slotsOf.get(unitId) ?? []).flatMap((item) => (item ? groupOf(item) : [])));
  const continues = path.flatMap(({ id, overflowOf }) =>
    overflowOf === undefined
      ? []
      : [...groupsIn(id)]
          .filter((group) => groupsIn(overflowOf).has(group))
          .map((group) => ({ group, from: overflowOf, to: id })),
  );
  return {
    units,
    spots: new Map([...inRuns.spots, ...over.spots]),
    held: new Map([...inRuns.held, ...over.held]),
    continues: [...inRuns.continues, ...continues],
    leftOver: over.leftOver.map(({ item, reason }) => ({ item: itself.get(item.id) ?? item, reason })),
  };
}
