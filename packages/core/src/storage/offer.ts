import { ciede2000, labOf, type Lab } from '../colour/lab';
import { formOf } from '../kinds/registry';
import { isRefusal, mayLive, suits, type Lodger, type RoomNow } from './mayLive';
import { cellSorts } from './misfit';
import { holdsOf } from './models/models';
import { UNIT_TEMPLATES, type UnitTemplate } from './templates';
import { unitFromTemplate, roomIn, type Unit } from './unit';

/** A thing that wants a place. */
export interface Placeable extends Lodger {
  readonly hex: string;
}

/** A unit as offering sees it: its cells in reading order, null where one is open; its things where they lie loose. */
export interface OfferUnit<U, T> {
  readonly unit: U & Unit;
  readonly slots: readonly (T | null)[];
}

/** An open place that suits a thing. */
export interface Offer<U, T> {
  readonly unit: U;
  /** Null where things lie loose. */
  readonly cell: number | null;
  /** The unit is of a sort made for the thing's form. */
  readonly made: boolean;
  /** Cells of the unit that are open, within its limit; null where nobody counts them. */
  readonly open: number | null;
  /** The thing nearest in filling order, or in colour where they lie loose; null in an empty unit. */
  readonly beside: T | null;
}

/** How much a slot away from its neighbour counts against it, in ΔE a slot. */
const FAR_COST = 0.5;

/**
 * One open place in every unit that takes a thing (`mayLive`): where its neighbours in the order the unit is filled are
 * nearest in colour (CIEDE2000, mean of both sides). Units of the sorts made for its form come first, in the form's
 * order, then those with the nearest neighbours.
 */
export function offerSlots<U, T extends { readonly hex: string }>(
  thing: Placeable,
  units: readonly OfferUnit<U, T>[],
  room: RoomNow,
): Offer<U, T>[] {
  const lab = labOf(thing.hex);
  const { keptIn } = formOf(thing.supply.kind, thing.supply.form);
  const templateOf = (id: string | undefined): string | undefined =>
    id === undefined ? undefined : units.find(({ unit }) => unit.id === id)?.unit.facts.template;
  return units
    .flatMap(({ unit, slots }) => {
      const takes = (cell: number | null): boolean => {
        const answer = mayLive(thing, { unit, cell }, room);
        return answer === null || (!isRefusal(answer) && !answer.some(({ code }) => STAYS_OUT.has(code)));
      };
      if (!unit.model) return [];
      const holds = holdsOf(unit.model);
      const best = holds.shares
        ? takes(null) && nearest(lab, slots)
        : bestSlot(lab, holds.order, slots, takes);
      if (!best) return [];
      const most = roomIn(unit);
      const taken = slots.filter((slot) => slot !== null).length;
      const made = keptIn.indexOf(unit.facts.template ?? '');
      // What takes the too much of another comes right behind it.
      const first = keptIn.indexOf(templateOf(unit.facts.overflowOf) ?? '');
      const rank = made >= 0 ? made : first >= 0 ? first + 0.5 : keptIn.length;
      return [{ ...best, unit, open: most === null ? null : most - taken, made: made >= 0, rank }];
    })
    .sort((p, q) => p.rank - q.rank || p.cost - q.cost || (p.unit.id < q.unit.id ? -1 : 1))
    .map(({ unit, cell, made, open, beside }) => ({ unit, cell, made, open, beside }));
}

/** A place that is kept for other things, or is too full already, is not offered. */
const STAYS_OUT: ReadonlySet<string> = new Set(['kept_for_others', 'belongs_elsewhere', 'too_full']);

interface Best<T> {
  readonly cell: number | null;
  readonly beside: T | null;
  readonly cost: number;
}

/** Where things lie loose, a thing lies beside the one nearest in colour. */
function nearest<T extends { readonly hex: string }>(lab: Lab, things: readonly (T | null)[]): Best<T> {
  let best: Best<T> = { cell: null, beside: null, cost: Infinity };
  for (const beside of things) {
    const cost = beside ? ciede2000(lab, labOf(beside.hex)) : Infinity;
    if (cost < best.cost) best = { cell: null, beside, cost };
  }
  return best;
}

/** The open slot whose neighbours are nearest in colour; an empty unit offers its first. */
function bestSlot<T extends { readonly hex: string }>(
  lab: Lab,
  filling: readonly number[],
  slots: readonly (T | null)[],
  takes: (cell: number) => boolean,
): Best<T> | null {
  let best: Best<T> | null = null;
  const neighbour = (from: number, step: number) => {
    for (let at = from + step, away = 0; at >= 0 && at < filling.length; at += step, away++) {
      const item = slots[filling[at] ?? -1];
      if (item) return { item, cost: ciede2000(lab, labOf(item.hex)) + away * FAR_COST };
    }
    return null;
  };
  filling.forEach((cell, at) => {
    if (slots[cell] || !takes(cell)) return;
    const sides = [neighbour(at, -1), neighbour(at, 1)].flatMap((side) => side ?? []);
    const cost =
      sides.length === 0 ? Infinity : sides.reduce((sum, side) => sum + side.cost, 0) / sides.length;
    const [closest] = sides.sort((p, q) => p.cost - q.cost);
    if (!best || cost < best.cost) best = { cell, beside: closest?.item ?? null, cost };
  });
  return best;
}

/** Sorts of rack made for a thing, those it fits by its own size; the best first. */
export function racksFor(thing: Lodger): readonly UnitTemplate[] {
  const { keptIn } = formOf(thing.supply.kind, thing.supply.form);
  return keptIn
    .flatMap((id) => UNIT_TEMPLATES.find((template) => template.id === id) ?? [])
    .filter((template) => {
      const unit = unitFromTemplate(template);
      return cellSorts(unit).some((cell) => suits(thing, { unit, cell }) === null);
    });
}
