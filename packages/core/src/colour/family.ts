import type { Family } from './families';
import prototypes from './familyPrototypes.json';
import { scoreFamilies, type Prototype } from './familyScore';
import { labOf } from './lab';
import { NotAColourError } from './notAColour';
import { parseColour } from './parse';

/**
 * Typical colours of each family, made by scripts/tune-family.mts from lists of colours that people named;
 * not to be edited by hand. The script writes what the type says.
 */
const FAMILY_PROTOTYPES = prototypes as unknown as readonly Prototype[];

export const FINISHES = ['matte', 'shimmer', 'metallic', 'glitter', 'neon', 'clear', 'holographic'] as const;
export type Finish = (typeof FINISHES)[number];

export interface FamilyOpinion {
  readonly family: Family;
  readonly runnerUp: Family;
  /** Share of the vote the family got, 0–1; below about 0.5 a person should be asked. */
  readonly confidence: number;
}

/** Finishes that outrank hue, and the family they make. */
const FINISH_FAMILY: Partial<Record<Finish, Family>> = {
  metallic: 'metallic',
  holographic: 'metallic',
  glitter: 'metallic',
  clear: 'clear',
};

/**
 * The colour family people would file a colour under, with the family next in line and a confidence 0–1.
 * `hex` may be written any way parseColour reads. A metallic, holographic, glitter or clear finish outranks hue.
 * It is an opinion from colours that people have named; an override always wins over it.
 * Throws NotAColourError.
 */
export function familyOf(hex: string, finish?: Finish): FamilyOpinion {
  const key = `${hex}|${finish ?? ''}`;
  const known = remembered.get(key);
  if (known) return known;
  const opinion = judge(hex, finish);
  if (remembered.size >= REMEMBER_AT_MOST) remembered.clear();
  remembered.set(key, opinion);
  return opinion;
}

/** Opinions never change, and a stash asks for the same colours again and again. */
const remembered = new Map<string, FamilyOpinion>();
const REMEMBER_AT_MOST = 20_000;

function judge(hex: string, finish?: Finish): FamilyOpinion {
  const colour = parseColour(hex);
  if (!colour.ok) throw new NotAColourError(hex);
  const [best, next] = scoreFamilies(labOf(colour.hex), FAMILY_PROTOTYPES);
  if (!best || !next) throw new Error('The family table is empty');
  const byFinish = finish && FINISH_FAMILY[finish];
  if (byFinish) return { family: byFinish, runnerUp: best.family, confidence: 1 };
  return { family: best.family, runnerUp: next.family, confidence: best.share };
}

/** Below this the app asks instead of deciding. */
const SURE = 0.55;

/** Whether a family is only a guess that a person should settle, and nobody has yet. */
export const isFamilyUnsettled = ({
  hex,
  finish,
  familyOverride,
}: {
  readonly hex: string;
  readonly finish: Finish;
  readonly familyOverride: Family | null;
}): boolean => familyOverride === null && !isSure(familyOf(hex, finish));

/** Whether an opinion on a family is sure enough to go by. */
export const isSure = ({ confidence }: FamilyOpinion): boolean => confidence >= SURE;
