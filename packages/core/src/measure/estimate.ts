/** A figure worked out from other figures: the value and the range it most likely lies in. */
export interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Where the formula comes from, for showing beside the figure. */
  readonly source: string;
}

/** A measured or assumed figure and its standard uncertainty, same unit. */
export interface Figure {
  readonly value: number;
  readonly give: number;
}
export const figure = (value: number, give: number): Figure => ({ value, give });
/** A figure known to a share of itself. */
export const within = (value: number, share: number): Figure => ({ value, give: Math.abs(value) * share });

/**
 * Carries the uncertainty of the inputs through `formula`: root sum of squares of the finite differences,
 * coverage factor 2 (about 95 of 100). Source: JCGM 100:2008 (GUM), 5.1.2 and 6.3.3.
 * The range never goes below zero.
 */
export function estimate(
  formula: (...inputs: number[]) => number,
  inputs: readonly Figure[],
  source: string,
): Estimate {
  const values = inputs.map(({ value }) => value);
  const value = formula(...values);
  const squares = inputs.map(({ give }, i) => {
    if (give === 0) return 0;
    const moved = values.map((v, k) => (k === i ? v + give : v));
    const back = values.map((v, k) => (k === i ? v - give : v));
    return ((formula(...moved) - formula(...back)) / 2) ** 2;
  });
  const give = 2 * Math.sqrt(squares.reduce((sum, s) => sum + s, 0));
  return {
    value: Math.max(0, value),
    low: Math.max(0, value - give),
    high: Math.max(0, value + give),
    source,
  };
}

/** An estimate of a count: whole things. */
export const wholes = ({ value, low, high, source }: Estimate): Estimate => ({
  value: Math.round(value),
  low: Math.floor(low + 1e-9),
  high: Math.ceil(high - 1e-9),
  source,
});
