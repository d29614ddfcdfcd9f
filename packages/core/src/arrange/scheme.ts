import { FAMILY_GROUPS, groupOf, isNeutral, FAMILIES, type Family, type Stretch } from '../colour/families';
import type { Purpose } from '../find/purposes';
import type { Season } from '../stash/seasons';

/** How to lay a rainbow out. Where pink, brown and neutrals stand is the person's choice. */
export interface Scheme {
  /**
   * Stretches in the order they stand; ones left out follow in default order. Black, grey and white share one stretch
   * unless one of them is named.
   */
  readonly familyOrder: readonly Stretch[];
  readonly lightness: 'light-first' | 'dark-first';
  /** Purposes in the order their sections stand; ones left out follow by name. */
  readonly purposes?: readonly Purpose[];
  /** Seasons whose things one works with now, or soon. */
  readonly inSight?: readonly Season[];
}

export const DEFAULT_SCHEME: Scheme = { familyOrder: FAMILY_GROUPS, lightness: 'light-first' };

/** Whether black, grey and white are three stretches. */
export const areNeutralsApart = ({ familyOrder }: Pick<Scheme, 'familyOrder'>): boolean =>
  familyOrder.some((stretch) => isNeutral(stretch));

/** The stretch of the shelf a family stands in. */
export const stretchOf = (family: Family, scheme: Pick<Scheme, 'familyOrder'>): Stretch =>
  isNeutral(family) && areNeutralsApart(scheme) ? family : groupOf(family);

const THREE = ['white', 'grey', 'black'] as const;

/** Every stretch of the shelf, once, in the order the person wants. */
export function stretchesOf(scheme: Pick<Scheme, 'familyOrder'>): readonly Stretch[] {
  const apart = areNeutralsApart(scheme);
  const all = [...new Set<Stretch>([...scheme.familyOrder, ...FAMILY_GROUPS])];
  if (!apart) return all;
  return [...new Set(all.flatMap((each): readonly Stretch[] => (each === 'neutral' ? THREE : [each])))];
}

/** The same order with black, grey and white as three stretches, or as one, where they stood. */
export function withNeutrals(scheme: Pick<Scheme, 'familyOrder'>, way: 'apart' | 'together'): Stretch[] {
  const all = stretchesOf(scheme);
  if (way === 'apart') return all.flatMap((each): Stretch[] => (each === 'neutral' ? [...THREE] : [each]));
  return [...new Set(all.map((each): Stretch => (isNeutral(each) ? 'neutral' : each)))];
}

/** Rank of every family under a scheme; families of one stretch have one rank. */
export function familyRanks(scheme: Scheme): Readonly<Record<Family, number>> {
  const stretches = stretchesOf(scheme);
  const ranks = FAMILIES.map((family) => [family, stretches.indexOf(stretchOf(family, scheme))]);
  return Object.fromEntries(ranks) as Record<Family, number>;
}
