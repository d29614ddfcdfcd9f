import type { Attributes } from '../kinds/attributes';

/** What a sheet is to be used for. */
export const MEDIA = [
  'alcohol marker',
  'water colour',
  'ink blending',
  'stamping',
  'heat embossing',
  'coloured pencil',
  'die cutting',
  'card base',
] as const;
export type Medium = (typeof MEDIA)[number];

/** What a medium asks of paper. Weights are g/m²; the rules are the trade's common advice, not a standard. */
interface Wish {
  readonly atLeastGsm?: number;
  readonly atMostGsm?: number;
  readonly surfaces?: readonly string[];
  readonly papers?: readonly string[];
  readonly never?: readonly string[];
  readonly because: string;
}

const COATED = ['foil', 'glitter', 'metallic', 'holographic', 'acetate'] as const;
const WISHES: Readonly<Record<Medium, Wish>> = {
  'alcohol marker': {
    atLeastGsm: 200,
    surfaces: ['smooth'],
    never: [...COATED, 'vellum', 'watercolour'],
    because: 'Alcohol ink blends on smooth, heavy, uncoated card and feathers on toothy paper.',
  },
  'water colour': {
    atLeastGsm: 280,
    papers: ['watercolour', 'mixed media'],
    surfaces: ['cold press', 'hot press', 'toothy'],
    never: [...COATED, 'vellum'],
    because: 'Wet paper buckles unless it is heavy and sized for water.',
  },
  'ink blending': {
    atLeastGsm: 200,
    surfaces: ['smooth', 'hot press'],
    never: [...COATED],
    because: 'Blended ink shows every tooth; a smooth, heavy sheet takes layers.',
  },
  stamping: {
    surfaces: ['smooth', 'hot press'],
    never: ['glitter'],
    because: 'Fine lines print crisply only on a smooth surface.',
  },
  'heat embossing': {
    atLeastGsm: 160,
    never: ['acetate', 'foil', 'holographic', 'glitter'],
    because: 'Thin sheets warp and films melt under a heat tool.',
  },
  'coloured pencil': {
    atLeastGsm: 120,
    surfaces: ['toothy', 'cold press'],
    papers: ['toned', 'mixed media', 'plain'],
    never: [...COATED, 'vellum'],
    because: 'Pencil needs a tooth to hold its layers.',
  },
  'die cutting': {
    atLeastGsm: 120,
    atMostGsm: 320,
    because: 'Thin paper tears in fine dies, very heavy card needs several passes.',
  },
  'card base': {
    atLeastGsm: 200,
    never: ['vellum', 'acetate'],
    because: 'A base lighter than 200 g/m² will not stand.',
  },
};

/** How well a paper suits, and why or why not; null where the person's own word decides nothing and rules forbid it. */
export interface PaperVerdict<T> {
  readonly paper: T;
  /** Higher is better; the person's own "good for" outweighs every rule. */
  readonly score: number;
  readonly reasons: readonly string[];
}

const OWN_WORD = 10;
const textOf = (value: unknown): string => (typeof value === 'string' ? value.toLowerCase() : '');

/** Grams per square metre of a paper, or null when its weight was not noted. */
function gsmOf({ weight }: Attributes): number | null {
  return typeof weight === 'object' && 'cgsm' in weight ? weight.cgsm / 100 : null;
}

/**
 * Which of these papers to use for a medium, the best first. What the rules forbid is left out unless the person has
 * said that it is good for it.
 */
export function paperFor<
  T extends { readonly id: string; readonly facts: { readonly attributes?: Attributes | undefined } },
>(medium: Medium, papers: readonly T[]): PaperVerdict<T>[] {
  const wish = WISHES[medium];
  return papers
    .flatMap((paper): PaperVerdict<T>[] => {
      const own = paper.facts.attributes ?? {};
      const said = textOf(own.goodFor).includes(medium);
      const gsm = gsmOf(own);
      const what = textOf(own.paper);
      const surface = textOf(own.surface);
      const forbidden =
        (wish.never?.includes(what) ?? false) ||
        (gsm !== null && gsm < (wish.atLeastGsm ?? 0)) ||
        (gsm !== null && gsm > (wish.atMostGsm ?? Infinity));
      if (forbidden && !said) return [];
      const reasons = [
        ...(said ? ['you noted it as good for this'] : []),
        ...(wish.papers?.includes(what) ? [`${what} paper`] : []),
        ...(wish.surfaces?.includes(surface) ? [`${surface} surface`] : []),
        ...(gsm !== null && wish.atLeastGsm !== undefined && gsm >= wish.atLeastGsm ? ['heavy enough'] : []),
      ];
      const misfit = surface !== '' && wish.surfaces !== undefined && !wish.surfaces.includes(surface);
      const score = reasons.length + (said ? OWN_WORD : 0) - (misfit ? 1 : 0);
      return score > 0 ? [{ paper, score, reasons }] : [];
    })
    .sort((p, q) => q.score - p.score || (p.paper.id < q.paper.id ? -1 : 1));
}

/** What a medium asks of paper, in a sentence. */
export const whyPaper = (medium: Medium): string => WISHES[medium].because;
