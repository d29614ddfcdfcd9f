import type { SupplySwatch } from './swatchSchema';

/** Swatches are compared like with like: the same making on the same ground. */
export const sameManner = (
  a: Pick<SupplySwatch, 'made' | 'ground'>,
  b: Pick<SupplySwatch, 'made' | 'ground'>,
): boolean => a.made === b.made && a.ground === b.ground;
