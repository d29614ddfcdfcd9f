import type { Trait } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import { badCompany } from './company';
import { areNeighbours } from './models/grid';
import type { Model } from './models/models';
import { bodyOf, type Bodied } from '../stash/body';
import type { Holding } from '../stash/holding';
import { inStash } from '../stash/standing';
import type { Size } from '../kinds/definition';
import { fitAnyWay, waysRound, type FitRefusal } from './fit';
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
  | { readonly code: 'off_wall' | 'no_such_spot' | 'wrong_kind' | 'let_go' }
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
  | { readonly code: 'kept_for_others' | 'belongs_elsewhere' };

/** What must be known of the room beside the spot itself. */
export interface RoomNow {
  /** What lives in a unit now. */
  readonly livingIn: (
    unitId: string,
  ) => readonly (Lodger & { readonly lot: { readonly spot: Spot | null } })[];
  /** Supplies a unit is kept for, those of a palette or a drawer; undefined for one that takes all. */
  readonly keptFor?: (unitId: string) => ReadonlySet<string> | undefined;
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
  const warnings = [
    ...crowding(thing, unit, cell, others),
    ...company(thing, model, cell, others),
    ...keeping(thing.supply.id, unit.id, room),
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
  const holds = holdsOf(model);
  return fitAnyWay(waysOf(supply, bodyOf(supply, lot).one, holds.shares), holds.space(cell), {
    openFront: holds.openFront,
  });
}

/** Lots of a unit that it would not take, as it is or as it is about to be. */
export const unfitIn = <T extends Lodger & { readonly lot: { readonly spot: Spot | null } }>(
  unit: Unit,
  things: readonly T[],
): T[] => things.filter((thing) => suits(thing, { unit, cell: thing.lot.spot?.cell ?? null }) !== null);

/** Loose things lie as they fall; elsewhere they stand as their form wants. */
const waysOf = (supply: Bodied, one: Size, loose: boolean): readonly Size[] =>
  waysRound(one, loose ? 'any' : formOf(supply.kind, supply.form).orientation?.wants);

function crowding(thing: Lodger, unit: Unit, cell: number | null, others: readonly Lodger[]): Warning[] {
  if (!unit.model) return [];
  const holds = holdsOf(unit.model);
  const { all } = bodyOf(thing.supply, thing.lot);
  const full = holds.fill([all, ...others.map(({ supply, lot }) => bodyOf(supply, lot).all)]);
  if (full) return full.haveUl > full.ofUl ? [{ code: 'too_full', ...full }] : [];
  const tight = fitAnyWay(waysOf(thing.supply, all, false), holds.space(cell), {
    openFront: holds.openFront,
  });
  return tight ? [{ code: 'too_thick', needUm: tight.needUm, haveUm: tight.haveUm }] : [];
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

function keeping(supplyId: string, unitId: string, { keptFor, homeOf }: RoomNow): Warning[] {
  const only = keptFor?.(unitId);
  if (only && !only.has(supplyId)) return [{ code: 'kept_for_others' }];
  const home = homeOf?.(supplyId);
  return home !== undefined && home !== unitId ? [{ code: 'belongs_elsewhere' }] : [];
}
