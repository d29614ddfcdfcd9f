import type { ListField } from './fields';

/** Why a cell, and so its row, is refused. */
export interface CellRefusal {
  readonly field: ListField;
  readonly code:
    | 'missing'
    | 'too_long'
    | 'unknown_kind'
    | 'unknown_form'
    | 'unknown_finish'
    | 'unknown_family'
    | 'not_a_colour'
    | 'not_a_quantity'
    | 'negative'
    | 'unknown_level'
    | 'unknown_standing'
    | 'not_a_barcode'
    | 'not_a_day'
    | 'unreadable'
    | 'lots_differ';
  readonly given: string;
  readonly known?: readonly string[];
  readonly most?: number;
}
