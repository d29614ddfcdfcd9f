import {
  formOf,
  KIND_DEFINITIONS,
  totalNeed,
  type Kind,
  type KitTool,
  type NeedAnswer,
} from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { sayPurchase, sayTone } from './gaps';
import type { Units } from './measure';
import { many, thousands } from './words';

export type Need = NonNullable<GroupBody['needs']>[number];

type Formed = Pick<SupplyView, 'kind' | 'form'>;

/** An amount of a thing in its own unit: "80 cm", "3 sheets", "12 uses". */
export const sayIn = ({ kind, form }: Formed, amount: number, units: Units): string =>
  formOf(kind, form).counting === 'fill' ? many(amount, 'use') : sayPurchase(kind, form, amount, units);
export const sayOfKind = (kind: Kind, amount: number, units: Units): string =>
  sayIn({ kind, form: KIND_DEFINITIONS[kind].defaultForm }, amount, units);

/** "Pale green ribbon, 80 cm each: 9.6 m for 12". */
export function sayNeed(need: Need, makes: number, units: Units): string {
  const of = `${sayTone(need.hex)} ${KIND_DEFINITIONS[need.kind].name.toLowerCase()}`;
  const each = `${sayOfKind(need.kind, need.each, units)}${makes > 1 ? ' each' : ''}`;
  const all =
    makes > 1 ? `: ${sayOfKind(need.kind, totalNeed(need, makes), units)} for ${thousands(makes)}` : '';
  return `${of.charAt(0).toUpperCase()}${of.slice(1)}, ${each}${all}`;
}

/** "a shade lighter · 2.4 m free of 9.6 m · cannot be bought again, and is used up by it". */
export const sayAnswer = (
  { supply, difference, free, enough, usesUp }: NeedAnswer<SupplyView>,
  need: Need,
  makes: number,
  units: Units,
): string =>
  [
    difference.words,
    `${sayIn(supply, free, units)} free${enough ? '' : `, ${sayOfKind(need.kind, totalNeed(need, makes), units)} needed`}`,
    usesUp ? 'cannot be bought again, and this uses it up' : '',
  ]
    .filter(Boolean)
    .join(' · ');

const TOOLS: Readonly<Record<KitTool, string>> = {
  stamp: 'a stamp',
  block: 'a block to mount stamps on',
  'ribbon scissors': 'scissors that cut nothing but ribbon',
  trimmer: 'a trimmer',
  'die machine': 'a die machine',
  'heat tool': 'a heat tool',
  'guard sheet': 'a guard sheet, as alcohol ink goes through',
  solvent: 'a blending solvent',
  adhesive: 'an adhesive',
};
export const sayTool = (tool: KitTool): string => TOOLS[tool];
