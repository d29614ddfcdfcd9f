import type { Size, VisibleEnd } from '../../kinds/definition';
import type { Turn } from '../../fit/turns';

/** A rectangle seen from the front, µm from the top left corner of its unit. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** How much of what a place shares out is taken: µl of volume, µm of length or height. */
export interface Shared {
  readonly measure: 'volume' | 'length' | 'height';
  readonly have: number;
  readonly of: number;
}

/** What one way of holding things must answer. Another model is another file that answers the same. */
export interface ModelDefinition<M extends { readonly model: string }> {
  readonly id: M['model'];
  readonly name: string;
  /** Cells, counted in reading order; 0 where things lie without cells. */
  readonly cells: (model: M) => number;
  /** Cells in the order they are filled; ones left out are skipped. */
  readonly order: (model: M) => readonly number[];
  /** Things that may share one spot. */
  readonly shares: boolean;
  /** Whether a thing may stand out of its front. */
  readonly openFront: boolean;
  /** The address printed on a label. */
  readonly address: (label: string, model: M, cell: number | null) => string;
  /** Inside size of one spot. */
  readonly space: (model: M, cell: number | null) => Size;
  /** Ways round a thing may be there: any, as its form wants, or just these. */
  readonly ways: (model: M) => 'any' | 'as wanted' | readonly Turn[];
  /** How much of what is shared out things take; null where a spot takes only one. */
  readonly fill: (model: M, contents: readonly Size[]) => Shared | null;
  /** Whether more than there is cannot go in at all; else it is only too full. */
  readonly overflows: 'refused' | 'too full';
  /** Outside as drawn by itself, where fronts are cut short; or as it is built. */
  readonly outside: (model: M, asBuilt?: boolean) => { readonly w: number; readonly h: number };
  /** Where things are drawn: one box a cell, or one a thing where there are no cells. */
  readonly boxes: (model: M, contents: readonly Size[], asBuilt?: boolean) => readonly Box[];
  /** The end of a thing that is seen there; what it shows by itself when left out. */
  readonly seen?: (model: M, end: VisibleEnd) => VisibleEnd;
  /** Things that are not seen as one stands before it, by their place in the contents. */
  readonly hidden: (model: M, contents: readonly Size[]) => readonly number[];
  /** Things that must be moved before one of them can be taken, by their place, in the order they are. */
  readonly toReach: (model: M, contents: readonly Size[], index: number) => readonly number[];
  /** What things hang on or lean against, drawn behind them. */
  readonly behind?: (model: M) => readonly Box[];
  /** Front panels that hide what is behind them. */
  readonly fronts: (model: M, asBuilt?: boolean) => readonly Box[];
}

/** Volume of a size, µl (mm³). */
export const volumeUl = ({ widthUm, heightUm, depthUm }: Size): number =>
  Math.round((widthUm / 1000) * (heightUm / 1000) * (depthUm / 1000));
