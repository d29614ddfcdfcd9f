import type { Supply } from '../stash/supply';

/** What does not go together on one page, by the trade's common advice. */
export const CONFLICT_IDS = [
  'solvent-under-alcohol',
  'dye-under-water',
  'marker-on-toothy',
  'alcohol-through-thin',
  'water-on-thin',
  'wet-on-film',
] as const;
export type ConflictId = (typeof CONFLICT_IDS)[number];

type Used = Pick<Supply, 'id' | 'kind' | 'form' | 'facts'>;
export interface Conflict<T> {
  readonly id: ConflictId;
  /** What does something to the other. */
  readonly one: T;
  readonly other: T;
}

/** Below this paper buckles when it is wet, and alcohol goes through it, g/m². */
const [BUCKLES_GSM, BLEEDS_GSM] = [180, 160];
const SOLVENTS: ReadonlySet<unknown> = new Set(['permanent solvent', 'alcohol']);
const WATERY: ReadonlySet<unknown> = new Set(['dye', 'water-reactive dye']);
const FILMS: ReadonlySet<unknown> = new Set(['vellum', 'acetate', 'foil', 'metallic', 'holographic']);
const TOOTHY: ReadonlySet<unknown> = new Set(['toothy', 'cold press', 'linen']);

const chemistryOf = ({ facts }: Used): unknown => facts.attributes?.chemistry;
const isInk = (item: Used): boolean => item.kind === 'ink';
const isPaper = (item: Used): boolean => item.kind === 'cardstock';
const isMarker = (item: Used, form?: string): boolean =>
  item.kind === 'marker' && (form === undefined || item.form === form);
const isWet = (item: Used): boolean =>
  isMarker(item, 'water-brush') || (isInk(item) && chemistryOf(item) === 'water-reactive dye');
function isThin({ facts }: Used, gsm: number): boolean {
  const weight = facts.attributes?.weight;
  return typeof weight === 'object' && weight.cgsm / 100 < gsm;
}

/** Each rule: whether one does something to the other. What nobody said of a thing is not held against it. */
const RULES: Readonly<Record<ConflictId, (one: Used, other: Used) => boolean>> = {
  // Alcohol dissolves what was stamped with a solvent, and carries it along.
  'solvent-under-alcohol': (one, other) =>
    isInk(one) && SOLVENTS.has(chemistryOf(one)) && isMarker(other, 'alcohol-dual'),
  'dye-under-water': (one, other) =>
    isInk(one) && WATERY.has(chemistryOf(one)) && isMarker(other, 'water-brush'),
  'marker-on-toothy': (one, other) =>
    isMarker(one) && one.form !== 'pencil' && isPaper(other) && TOOTHY.has(other.facts.attributes?.surface),
  'alcohol-through-thin': (one, other) =>
    isMarker(one, 'alcohol-dual') && isPaper(other) && isThin(other, BLEEDS_GSM),
  'water-on-thin': (one, other) => isWet(one) && isPaper(other) && isThin(other, BUCKLES_GSM),
  'wet-on-film': (one, other) =>
    isInk(one) &&
    !SOLVENTS.has(chemistryOf(one)) &&
    chemistryOf(one) !== undefined &&
    isPaper(other) &&
    FILMS.has(other.facts.attributes?.paper),
};

/** What of a project does not go together: ink, marker and surface against one another. Squares with the things. */
export function conflictsIn<T extends Used>(items: readonly T[]): Conflict<T>[] {
  return CONFLICT_IDS.flatMap((id) =>
    items.flatMap((one) =>
      items.flatMap((other) => (one.id !== other.id && RULES[id](one, other) ? [{ id, one, other }] : [])),
    ),
  );
}
