import { LIST_FIELD_NAMES, type CellRefusal, type ListField } from '@red-shelf/core';
import type { LeftOverView, RowView } from '@red-shelf/contract';

/** Why something found no slot. */
export function sayLeftOver(reason: LeftOverView): string {
  switch (reason.code) {
    case 'too_wide':
      return `too wide: needs ${reason.needMm} mm, the slot has ${reason.haveMm} mm`;
    case 'too_high':
      return `too tall: needs ${reason.needMm} mm, the slot has ${reason.haveMm} mm`;
    case 'too_deep':
      return `too deep: needs ${reason.needMm} mm, the slot has ${reason.haveMm} mm`;
    case 'wrong_kind':
      return 'none of these racks is made for it';
    case 'no_room':
      return 'no slot left; the least used stay out';
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
  not_a_day: ({ given }) => `“${given}” is not a day like 2026-05-31`,
  unknown_level: ({ given }) => `“${given}” is not full, half, low, empty or a percentage`,
};

/** What will become of a row of a list, and why. */
export function sayRow(row: RowView): string {
  const name = (field: ListField): string => LIST_FIELD_NAMES[field].toLowerCase();
  switch (row.verdict) {
    case 'add':
      return 'will be added';
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
