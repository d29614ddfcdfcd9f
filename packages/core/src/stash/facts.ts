import type { z } from 'zod';
import type { factsSchema } from './factsSchema';
import type { Status } from './standing';

/** What is known of a supply; the schema that checks it is loaded only where facts come in. */
export type Facts = z.infer<typeof factsSchema>;

export const statusOf = (facts: Facts): Status => facts.status ?? 'current';

/** Facts without what says nothing: empty lists and texts, false flags, the usual status. */
export function sparse(facts: Facts): Facts {
  const says = (value: unknown): boolean =>
    !(
      value === undefined ||
      value === '' ||
      value === false ||
      (Array.isArray(value) && value.length === 0) ||
      (typeof value === 'object' &&
        value !== null &&
        !Array.isArray(value) &&
        Object.keys(value).length === 0)
    );
  const kept = Object.entries(facts).filter(
    ([key, value]) => says(value) && !(key === 'status' && value === 'current'),
  );
  return Object.fromEntries(kept);
}

/** The colour a supply goes by: its true swatch's when it has one. */
export function effectiveHex(hex: string, facts: Facts): string {
  const decided = facts.swatches?.find(({ id }) => id === facts.trueSwatch);
  return decided?.hex ?? hex;
}
