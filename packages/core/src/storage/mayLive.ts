import type { Size, Trait } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import { careFor, type CareId, type PlaceSign } from './care';
import { badCompany } from './company';
import { areNeighbours } from './models/grid';
import type { Model } from './models/models';
import { bodyOf, type Bodied } from '../stash/body';
import type { Holding } from '../stash/holding';
import { inStash } from '../stash/standing';
import { fitAnyWay, firstWay, type FitRefusal } from '../fit/inSpace';
import { boreRefusal } from '../fit/rod';
import { TURNS, turnsFor, type Turn } from '../fit/turns';
import { insideAt } from './inside';
import { holdsOf, isSpotOf } from './models/models';
import type { Spot } from '../stash/spot';
import { HAND_ID, isOnWall, type Unit } from './unit';

/** A lot that looks for a place, and what it is of. */
export interface Lodger {
  readonly supply: Bodied & { readonly id: string };
  readonly lot: Pick<Holding, 'id' | 'as' | 'items' | 'left'> &
    Partial<Pick<Holding, 'sizeUm'>> & { readonly spot: Pick<Spot, 'unitId'> | null };
}

/** Why a thing may not live in a place, in measured values. */
export type Refusal =
  | FitRefusal
  | { readonly code: 'off_wall' | 'no_such_spot' | 'wrong_kind' | 'let_go' | 'no_hole' }
  /** The length or height things share is taken; or the rod is thicker than the hole. */
  | {
      readonly code: 'run_full' | 'stack_full' | 'bore_too_small';
      readonly needUm: number;
      readonly haveUm: number;
    }
  | { readonly code: 'taken'; readonly by: string }
  | { readonly code: 'limit_reached'; readonly have: number; readonly of: number };

/** What is wrong with it living there all the same. */
export type Warning =
  | { readonly code: 'too_thick'; readonly needUm: number; readonly haveUm: number }
  | { readonly code: 'too_full'; readonly haveUl: number; readonly ofUl: number }
  | {
      readonly code: 'bad_company';
      readonly by: string;
      readonly trait: Trait;
      readonly suffers: 'thing' | 'other';
    }
  | { readonly code: 'kept_for_others' | 'belongs_elsewhere' }
  /** What the place does to it, by rule. */
  | { readonly code: 'care'; readonly rule: CareId };

/** What must be known of the room beside the spot itself. */
export interface RoomNow {
  /** What lives in a unit now. */
  readonly livingIn: (
    unitId: string,
  ) => readonly (Lodger & { readonly lot: { readonly spot: Spot | null } })[];
  /** Supplies a unit is kept for, those of a palette or a drawer; undefined for one that takes all. */
  readonly keptFor?: (unitId: string) => ReadonlySet<string> | undefined;
  /** What the person does everywhere, whatever is usual. */
  readonly habits?: ReadonlySet<CareId>;
  /** What it is like in a unit; as the unit alone says where nobody answers. */
  readonly marksOf?: (unit: Unit) => ReadonlySet<PlaceSign>;
  /** The unit a supply is kept in, where one was decided on. */
  readonly homeOf?: (supplyId: string) => string | undefined;
}

/**
 * The one answer to "may this live there?": being in the stash, kind, standing, the spot itself, size in every allowed way round, limit and
 * what is already there refuse; thickness by count, fullness, bad company and what the place is kept for warn. Null when nothing is
 * to be said. A lot that lives in the unit already counts once.
 */
export function mayLive(
  thing: Lodger,
  { unit, cell }: { readonly unit: Unit; readonly cell: number | null },
  room: RoomNow,
): Refusal | readonly Warning[] | null {
  if (unit.id === HAND_ID) return null;
  // Where it is already it is not in the way of itself, also when it was let go on paper only.
  if (!inStash(thing.supply) && thing.lot.spot?.unitId !== unit.id) return { code: 'let_go' };
  const unfit = suits(thing, { unit, cell });
  if (unfit) return unfit;
  const others = room.livingIn(unit.id).filter(({ lot }) => lot.id !== thing.lot.id);
  const { model, rules } = unit;
  if (!model) return { code: 'no_such_spot' };
  const holds = holdsOf(model);
  const there = holds.shares ? undefined : others.find(({ lot }) => lot.spot?.cell === cell);
  if (there) return { code: 'taken', by: there.supply.id };
  const moved = thing.lot.spot?.unitId !== unit.id;
  if (moved && rules.cap !== undefined && others.length >= rules.cap)
    return { code: 'limit_reached', have: others.length, of: rules.cap };
  const crowded = crowding(thing, unit, model, cell, others);
  if (crowded && !('warns' in crowded)) return crowded;
  const warnings = [
    ...(crowded ? [crowded.warns] : []),
    ...company(thing, model, cell, others),
    ...keeping(thing.supply.id, unit.id, room),
    ...caring(thing, unit, room),
  ];
  return warnings.length > 0 ? warnings : null;
}

/** Whether an answer of `mayLive` is a no. */
export const isRefusal = (answer: Refusal | readonly Warning[] | null): answer is Refusal =>
  answer !== null && !Array.isArray(answer);

/** The part of the answer that does not depend on what else is there: whether the place suits the thing at all. */
export function suits(
  { supply, lot }: Lodger,
  { unit, cell }: { readonly unit: Unit; readonly cell: number | null },
): Refusal | null {
  if (unit.id === HAND_ID) return null;
  const { model, rules } = unit;
  if (!model || !isSpotOf(model, cell)) return { code: 'no_such_spot' };
  if (!isOnWall(unit)) return { code: 'off_wall' };
  if (!rules.kinds.includes(supply.kind)) return { code: 'wrong_kind' };
  const { space, ...front } = insideAt(unit, model, cell);
  return onRod(supply, model) ?? fitAnyWay(bodyOf(supply, lot).one, turnsOf(supply, model), space, front);
}

/** What hangs on a rod has a hole, and one that the rod goes through; a hole nobody measured is not held against it. */
function onRod({ kind, form, facts }: Bodied, model: Model): Refusal | null {
  if (model.model !== 'run' || model.how !== 'rod') return null;
  if (formOf(kind, form).end !== 'ring') return { code: 'no_hole' };
  const bore = facts.attributes?.bore;
  return typeof bore === 'number' ? boreRefusal(bore, model.rodUm ?? 0) : null;
}

/** The outside of one of a lot the way round it goes into a place; null where it does not. */
export function wayIn(
  { supply, lot }: Lodger,
  { unit, cell }: { readonly unit: Unit; readonly cell: number | null },
): Size | null {
  const { model } = unit;
  if (!model) return null;
  const { space, ...front } = insideAt(unit, model, cell);
  return firstWay(bodyOf(supply, lot).one, turnsOf(supply, model), space, front);
}

/** Lots of a unit that it would not take, as it is or as it is about to be. */
export const unfitIn = <T extends Lodger & { readonly lot: { readonly spot: Spot | null } }>(
  unit: Unit,
  things: readonly T[],
): T[] => things.filter((thing) => suits(thing, { unit, cell: thing.lot.spot?.cell ?? null }) !== null);

/** Loose things lie as they fall; elsewhere they stand as their form wants, or as the place has it. */
function turnsOf({ kind, form }: Bodied, model: Model): readonly Turn[] {
  const { ways } = holdsOf(model);
  if (ways === 'any') return TURNS;
  return ways === 'as wanted' ? turnsFor(formOf(kind, form).orientation?.wants) : ways;
}

/** What is too much for a place: of what things share there, a no or a warning; of a cell of one's own, a warning. */
function crowding(
  { supply, lot }: Lodger,
  unit: Unit,
  model: Model,
  cell: number | null,
  others: readonly Lodger[],
): Refusal | { readonly warns: Warning } | null {
  const holds = holdsOf(model);
  const { all } = bodyOf(supply, lot);
  const there = others.map((other) => bodyOf(other.supply, other.lot).all);
  const full = holds.fill([...there, all]);
  if (!full) {
    const { space, ...front } = insideAt(unit, model, cell);
    const tight = fitAnyWay(all, turnsOf(supply, model), space, front);
    return tight && { warns: { code: 'too_thick', needUm: tight.needUm, haveUm: tight.haveUm } };
  }
  const { measure, have, of } = full;
  if (have <= of) return null;
  if (holds.overflows === 'too full') return { warns: { code: 'too_full', haveUl: have, ofUl: of } };
  const before = holds.fill(there)?.have ?? 0;
  const code = measure === 'length' ? 'run_full' : 'stack_full';
  return { code, needUm: have - before, haveUm: Math.max(0, of - before) };
}

/** Neighbours one of which suffers from the other: all that lie loose together, in cells those beside, above and below. */
function company(
  thing: Lodger,
  model: Model,
  cell: number | null,
  others: ReturnType<RoomNow['livingIn']>,
): Warning[] {
  const isNear = (at: number | null | undefined): boolean =>
    cell === null ||
    model.model !== 'grid' ||
    (at !== null && at !== undefined && areNeighbours(model, cell, at));
  for (const { supply, lot } of others) {
    if (!isNear(lot.spot?.cell)) continue;
    const bad = badCompany(thing.supply, supply);
    if (bad) return [{ code: 'bad_company', by: supply.id, ...bad }];
  }
  return [];
}

/** What the place does to the thing, but for what the person left so with a reason. */
function caring({ supply, lot }: Lodger, unit: Unit, { marksOf, habits }: RoomNow): Warning[] {
  const marks = marksOf?.(unit) ?? new Set<PlaceSign>(unit.facts.marks);
  if (marks.size === 0) return [];
  const left = new Set(unit.facts.accepted?.map(({ rule }) => rule));
  return careFor(supply, marks, bodyOf(supply, lot).massMg)
    .filter((rule) => !left.has(rule) && !habits?.has(rule))
    .map((rule) => ({ code: 'care', rule }));
}

function keeping(supplyId: string, unitId: string, { keptFor, homeOf }: RoomNow): Warning[] {
  const only = keptFor?.(unitId);
  if (only && !only.has(supplyId)) return [{ code: 'kept_for_others' }];
  const home = homeOf?.(supplyId);
  return home !== undefined && home !== unitId ? [{ code: 'belongs_elsewhere' }] : [];
}
