/** A panel that is wanted, so many of it. `mayTurn` is false where the grain or a print says which way is up; true where left out. */
export interface WantedPanel {
  readonly id: string;
  readonly widthUm: number;
  readonly heightUm: number;
  readonly count: number;
  readonly mayTurn?: boolean;
}

/** A sheet or a scrap there is, so many of it. */
export interface CuttingStock {
  readonly id: string;
  readonly widthUm: number;
  readonly heightUm: number;
  readonly count: number;
  readonly scrap: boolean;
}

/** A part of a sheet, µm from its left and its upper edge. */
export interface Part {
  readonly x: number;
  readonly y: number;
  readonly widthUm: number;
  readonly heightUm: number;
}

/** One cut from edge to edge through a part: `down` at so much from its left edge, `across` at so much from its upper one. */
export interface Cut extends Part {
  readonly way: 'down' | 'across';
  readonly atUm: number;
}

/** A panel as it lies in a sheet; `turned` by a quarter. */
export interface CutPanel extends Part {
  readonly id: string;
  readonly turned: boolean;
}

/** One sheet or scrap that is cut: the cuts in the order they are made. */
export interface CutSheet {
  readonly stockId: string;
  readonly cuts: readonly Cut[];
  readonly panels: readonly CutPanel[];
  /** What is over, without what the blade takes. */
  readonly remains: readonly Part[];
}

export interface CutOptions {
  /** What the blade takes away, µm; 0 where left out, as a trimmer takes none. */
  readonly kerfUm?: number;
  /** The longest cut the trimmer makes, µm; any where left out. */
  readonly trimmerUm?: number;
  /** How much is tried, in ms of an ordinary machine; the same is tried on any. */
  readonly budgetMs?: number;
}

export interface CutPlan {
  readonly used: readonly CutSheet[];
  /** Sheets cut into that were no scraps. */
  readonly newSheets: number;
  /** Cuts in all. */
  readonly cuts: number;
  /** Panels there is nothing left for. */
  readonly unmade: readonly { readonly id: string; readonly count: number }[];
  /** Whether every way was looked at, so that no plan is better. */
  readonly provenBest: boolean;
}
