import {
  LIST_FIELD_NAMES,
  type CellRefusal,
  type ListField,
  type Refusal,
  type Trait,
  type Warning,
} from '@red-shelf/core';
import type { LeftOverView, RowView } from '@red-shelf/contract';

import { sayCare } from './care';

const mm = (um: number): number => Math.round(um / 100) / 10;

/** Why something found no slot. */
export function sayLeftOver(reason: LeftOverView | Refusal): string {
  switch (reason.code) {
    case 'too_wide':
      return `too wide: needs ${mm(reason.needUm)} mm, the slot has ${mm(reason.haveUm)} mm`;
    case 'too_high':
      return `too tall: needs ${mm(reason.needUm)} mm, the slot has ${mm(reason.haveUm)} mm`;
    case 'too_deep':
      return `too deep: needs ${mm(reason.needUm)} mm, the slot has ${mm(reason.haveUm)} mm`;
    case 'run_full':
    case 'stack_full':
      return `needs ${mm(reason.needUm)} mm, and ${mm(reason.haveUm)} mm are left`;
    case 'bore_too_small':
      return `the rod needs a hole of ${mm(reason.needUm)} mm, this one is ${mm(reason.haveUm)} mm across`;
    case 'no_hole':
      return 'it has no hole for the rod';
    case 'limit_reached':
      return `the rack is limited to ${reason.of} and holds ${reason.have}`;
    case 'taken':
      return 'something else lives there';
    case 'off_wall':
      return 'the rack is put away';
    case 'let_go':
      return 'it was let go';
    case 'no_such_spot':
      return 'there is no such slot';
    case 'wrong_kind':
      return 'none of these racks is made for it';
    case 'no_room':
      return 'no slot left; the least used stay out';
    case 'kept_for_others':
      return 'these racks are kept for other things';
    case 'belongs_elsewhere':
      return 'it has a rack of its own, which is not among these';
  }
}

/** What a thing does that its neighbours suffer from. */
export const DOES: Readonly<Record<Trait, string>> = {
  'sheds glitter': 'sheds glitter',
  scratches: 'scratches',
  'scratched easily': 'is scratched easily',
  leaks: 'may leak',
  stains: 'stains',
  fades: 'fades in the light',
  heavy: 'is heavy in a pile',
};

/** What is wrong with a place that a thing may live in all the same. */
export function sayWarning(warning: Warning, nameOf: (id: string) => string): string {
  switch (warning.code) {
    case 'too_thick':
      return `Together they need ${mm(warning.needUm)} mm, and there are ${mm(warning.haveUm)} mm: some should live elsewhere.`;
    case 'too_full':
      return `With it ${Math.round((100 * warning.haveUl) / warning.ofUl)}% of what should go in is in: it gets hard to find anything.`;
    case 'bad_company':
      return warning.suffers === 'thing'
        ? `${nameOf(warning.by)} stands beside it and ${DOES[warning.trait]}: it suffers from that. Part them, or put something between.`
        : `It ${DOES[warning.trait]}, and ${nameOf(warning.by)} beside it suffers from that. Part them, or put something between.`;
    case 'kept_for_others':
      return 'This place is kept for other things.';
    case 'belongs_elsewhere':
      return 'It has a place of its own elsewhere.';
    case 'care':
      return sayCare(warning.rule);
  }
}

const CELL: Readonly<Record<CellRefusal['code'], (r: RowView['refusals'][number]) => string>> = {
  missing: () => 'is missing',
  too_long: ({ most }) => `is longer than ${most} characters`,
  unknown_kind: ({ given }) => `“${given}” is not one of ink, marker, cardstock, ribbon, sticker`,
  unknown_form: ({ given, known }) => `“${given}” is not one of ${known?.join(', ')}`,
  unknown_finish: ({ given, known }) => `“${given}” is not one of ${known?.join(', ')}`,
  unknown_family: ({ given }) => `“${given}” is not a colour family`,
  not_a_colour: ({ given }) => `“${given}” is not a colour`,
  not_a_quantity: ({ given }) => `“${given}” is not a quantity`,
  negative: ({ given }) => `${given} is less than nothing`,
  unknown_standing: ({ given, known }) => `“${given}” is not one of ${known?.join(', ')}`,
  not_a_barcode: ({ given }) => `“${given}” is not a barcode`,
  unreadable: ({ given }) => `“${given}” cannot be read here; write it as a list that was taken out does`,
  lots_differ: ({ given }) => `“${given}” does not add up to the quantity`,
  not_a_day: ({ given }) => `“${given}” is not a day like 2026-05-31`,
  unknown_level: ({ given }) => `“${given}” is not full, half, low, empty or a percentage`,
};

/** What will become of a row of a list, and why. */
export function sayRow(row: RowView): string {
  const name = (field: ListField): string => LIST_FIELD_NAMES[field].toLowerCase();
  switch (row.verdict) {
    case 'add':
      return row.noSuchPlace === null
        ? 'will be added'
        : `will be added without a place: there is no ${row.noSuchPlace} here`;
    case 'change':
      return `changes ${row.fields.map(name).join(', ')}`;
    case 'same':
      return 'is there already, nothing changes';
    case 'refuse':
      if (row.sameAsLine !== null) return `is the same thing as row ${row.sameAsLine}`;
      return row.refusals
        .map(
          (r) =>
            `${name(r.field)} ${(CELL[r.code as CellRefusal['code']] as (typeof CELL)['missing'] | undefined)?.(r) ?? 'cannot be read'}`,
        )
        .join('; ');
  }
}
