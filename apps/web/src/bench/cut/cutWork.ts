import {
  planCuts,
  type CutOptions,
  type CutPlan,
  type CuttingStock,
  type WantedPanel,
} from '@red-shelf/core';
import { workerAsker } from '../../api/askWorker';

export interface CutQuestion {
  readonly panels: readonly WantedPanel[];
  readonly stock: readonly CuttingStock[];
  readonly options: CutOptions;
}
/** A plan, or a sentence why there is none. */
export type CutAnswer = { readonly plan: CutPlan } | { readonly why: string };

/** The same on either side of the worker. */
export function planned({ panels, stock, options }: CutQuestion): CutAnswer {
  try {
    return { plan: planCuts(panels, stock, options) };
  } catch (error) {
    if (error instanceof RangeError) return { why: error.message };
    throw error;
  }
}

/** Planning takes some tenths of a second, away from the screen's thread. */
export const askCuts = workerAsker<CutQuestion, CutAnswer>(
  () => new Worker(new URL('./cut.worker', window.location.href)),
  planned,
);
