/** Refuses what is no size: every measure must be a finite number above `least`. */
export function mustMeasure(what: string, values: object, least: 'above nothing' | 'nothing or more'): void {
  for (const [side, value] of Object.entries(values) as [string, unknown][])
    if (
      typeof value !== 'number' ||
      !Number.isFinite(value) ||
      value < 0 ||
      (value === 0 && least !== 'nothing or more')
    )
      throw new RangeError(
        `${what}: ${side} must be ${least === 'nothing or more' ? 'nothing or more' : 'more than nothing'}, not ${String(value)}.`,
      );
}
