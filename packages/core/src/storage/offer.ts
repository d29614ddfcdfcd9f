import { ciede2000, labOf, type Lab } from '../colour/lab';
import { formOf } from '../kinds/registry';
import { envelopeOf } from '../supply/envelope';
import type { Facts } from '../supply/facts';
import type { Kind } from '../kinds/definition';
import { findTemplate, type UnitTemplate } from './templates';
import { fitInSlot, type GridUnit } from './unit';
import { fillingOrder, isOnWall, type UnitFacts } from './unitFacts';

/** A thing that wants a place. */
export interface Placeable {
  readonly kind: Kind;
  readonly form: string;
  readonly hex: string;
  readonly facts: Facts;
}

/** A unit as offering sees it: its slots in reading order, null where one is open. */
export interface OfferUnit<U, T> {
  readonly unit: U & GridUnit & { readonly template: string; readonly holds: readonly string[] };
  readonly facts: UnitFacts;
  readonly slots: readonly (T | null)[];
}

/** An open slot that suits a thing. */
export interface Offer<U, T> {
  readonly unit: U;
  readonly slot: number;
  /** The unit is of a sort made for the thing's form. */
  readonly made: boolean;
  /** Slots of the unit that are open, within its limit. */
  readonly open: number;
  /** The thing nearest in filling order, null in an empty unit. */
  readonly beside: T | null;
}

/** How much a slot away from its neighbour counts against it, in ΔE a slot. */
const FAR_COST = 0.5;

/**
 * One open slot in every unit that takes a thing by kind, shape and limit: where its neighbours in the order the unit
 * is filled are nearest in colour (CIEDE2000, mean of both sides). Units of the sorts made for its form come first, in the
 * form's order, then those with the nearest neighbours.
 */
export function offerSlots<U, T extends { readonly hex: string }>(
  thing: Placeable,
  units: readonly OfferUnit<U, T>[],
): Offer<U, T>[] {
  const lab = labOf(thing.hex);
  const { keptIn } = formOf(thing.kind, thing.form);
  return units
    .flatMap((each) => {
      const { unit, facts, slots } = each;
      if (!isOnWall(facts) || !unit.holds.includes(thing.kind)) return [];
      if (fitInSlot(envelopeOf(thing), unit.slot)) return [];
      const best = bestSlot(lab, fillingOrder(unit, facts), slots);
      const taken = slots.filter((slot) => slot !== null).length;
      const open = Math.min(slots.length, facts.cap ?? Infinity) - taken;
      const made = keptIn.indexOf(unit.template);
      return best && open > 0
        ? [{ ...best, unit, open, made: made >= 0, rank: made >= 0 ? made : keptIn.length }]
        : [];
    })
    .sort((p, q) => p.rank - q.rank || p.cost - q.cost || (p.unit.id < q.unit.id ? -1 : 1))
    .map(({ unit, slot, made, open, beside }) => ({ unit, slot, made, open, beside }));
}

/** The open slot whose neighbours are nearest in colour; an empty unit offers its first. */
function bestSlot<T extends { readonly hex: string }>(
  lab: Lab,
  filling: readonly number[],
  slots: readonly (T | null)[],
): { slot: number; beside: T | null; cost: number } | null {
  let best: { slot: number; beside: T | null; cost: number } | null = null;
  const neighbour = (from: number, step: number) => {
    for (let at = from + step, away = 0; at >= 0 && at < filling.length; at += step, away++) {
      const item = slots[filling[at] ?? -1];
      if (item) return { item, cost: ciede2000(lab, labOf(item.hex)) + away * FAR_COST };
    }
    return null;
  };
  filling.forEach((slot, at) => {
    if (slots[slot] !== null) return;
    const sides = [neighbour(at, -1), neighbour(at, 1)].flatMap((side) => side ?? []);
    const cost =
      sides.length === 0 ? Infinity : sides.reduce((sum, side) => sum + side.cost, 0) / sides.length;
    const [nearest] = sides.sort((p, q) => p.cost - q.cost);
    if (!best || cost < best.cost) best = { slot, beside: nearest?.item ?? null, cost };
  });
  return best;
}

/** Sorts of rack made for a thing, those it fits by its own size; the best first. */
export const racksFor = (thing: Placeable): readonly UnitTemplate[] =>
  formOf(thing.kind, thing.form)
    .keptIn.flatMap((id) => findTemplate(id) ?? [])
    .filter(({ slot }) => fitInSlot(envelopeOf(thing), slot) === null);
