import type { Size } from '../../kinds/definition';

/** A rectangle seen from the front, µm from the top left corner of its unit. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
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
  /** How much a spot takes before it is too full, and how much is in it, both µl; null where only one thing goes in. */
  readonly fill: (
    model: M,
    contents: readonly Size[],
  ) => { readonly haveUl: number; readonly ofUl: number } | null;
  /** Outside as drawn. */
  readonly outside: (model: M) => { readonly w: number; readonly h: number };
  /** Where things are drawn: one box a cell, or one a thing where there are no cells. */
  readonly boxes: (model: M, contents: readonly Size[]) => readonly Box[];
  /** Front panels that hide what is behind them. */
  readonly fronts: (model: M) => readonly Box[];
}

/** Volume of a size, µl (mm³). */
export const volumeUl = ({ widthUm, heightUm, depthUm }: Size): number =>
  Math.round((widthUm / 1000) * (heightUm / 1000) * (depthUm / 1000));
