import type { Facts } from './facts';

/** What can hurt somebody: fumes and flames, blades, heat, parts that are swallowed. */
export const HAZARDS = ['solvent', 'blade', 'heat', 'small'] as const;
export type Hazard = (typeof HAZARDS)[number];

/** What somebody should mind about every thing of a form, whatever is in it. */
const OF_FORM: Readonly<Record<string, readonly Hazard[]>> = {
  'alcohol-dual': ['solvent'],
  paint: ['solvent'],
  spray: ['solvent'],
  punch: ['blade'],
  tool: ['blade'],
  die: ['blade'],
  powder: ['heat'],
  foil: ['heat'],
  gems: ['small'],
  buttons: ['small'],
  beads: ['small'],
};
/** Inks that are dissolved in something that burns and is breathed in. */
const SOLVENTS: ReadonlySet<unknown> = new Set(['permanent solvent', 'alcohol']);
/** Set with heat, whatever holds them. */
const HEATED: ReadonlySet<unknown> = new Set(['watermark or embossing']);
/** Bottles of which nobody said what is in them: better asked than breathed. */
const UNSAID: ReadonlySet<string> = new Set(['refill', 'drops']);

/**
 * What somebody should mind about a thing: by its form, and of inks by what they are made of. A bottle whose contents
 * nobody said is taken for a solvent.
 */
export function hazardsOf({
  kind,
  form,
  facts,
}: {
  readonly kind: string;
  readonly form: string;
  readonly facts: Pick<Facts, 'attributes'>;
}): readonly Hazard[] {
  const found = new Set(OF_FORM[form] ?? []);
  if (kind === 'ink') {
    const chemistry = facts.attributes?.chemistry;
    if (SOLVENTS.has(chemistry) || (!chemistry && UNSAID.has(form))) found.add('solvent');
    if (HEATED.has(chemistry)) found.add('heat');
  }
  return HAZARDS.filter((hazard) => found.has(hazard));
}
