import type { Supply } from '../stash/supply';
import type { Family } from '../colour/families';
import type { Lab } from '../colour/lab';
import { purposesOf } from '../find/purposes';
import { fold } from '../text/fold';
import { bodyOf } from '../stash/body';
import { seasonOf } from '../stash/seasons';
import type { Kind } from '../kinds/definition';
import { formsOfKind } from '../kinds/registry';
import { DEFAULT_SCHEME, stretchOf, type Scheme } from './scheme';

/** What things can be sorted by; a recipe is some of these in order. */
export const SORT_KEYS = [
  'kind',
  'form',
  'size',
  'type',
  'print or solid',
  'maker',
  'range',
  'theme',
  'purpose',
  'season',
  'how often used',
  'family',
  'lightness',
  'finish',
  'finish behind colour',
  'name',
  'code',
] as const;
export type SortKey = (typeof SORT_KEYS)[number];
export type Recipe = readonly SortKey[];
export const DEFAULT_RECIPE: Recipe = ['family', 'lightness', 'finish'];

/** A supply as a recipe sorts it. */
export type Sortable = Pick<
  Supply,
  'id' | 'kind' | 'form' | 'name' | 'maker' | 'range' | 'code' | 'finish' | 'facts'
> & {
  readonly family: Family;
  readonly lab: Lab;
  readonly uses: number;
};

/** Attributes that say what type a thing is, by kind: the ink's chemistry, the card's paper, the ribbon's stuff. */
const TYPE: Readonly<Record<Kind, string>> = {
  ink: 'chemistry',
  marker: 'tips',
  cardstock: 'paper',
  ribbon: 'material',
  sticker: 'style',
  companion: 'theme',
};
const MAKER_AT_LEAST = 3;
const OFTEN = 12;
const SOMETIMES = 3;

const text = (value: unknown): string => (typeof value === 'string' ? value.toLowerCase() : '');

/** How often a thing is used, as one of three bands: often, sometimes, rarely. */
const useBand = (uses: number): 'often' | 'sometimes' | 'rarely' =>
  uses >= OFTEN ? 'often' : uses >= SOMETIMES ? 'sometimes' : 'rarely';
export const BANDS = ['often', 'sometimes', 'rarely'] as const;

/** Prints stand apart from solids: patterned paper, and ribbon that is not one colour. */
function isPrint({ facts }: Sortable): boolean {
  const { attributes } = facts;
  return (
    text(attributes?.paper) === 'patterned' ||
    !['', 'solid'].includes(text(attributes?.pattern)) ||
    (facts.otherHexes?.length ?? 0) > 0
  );
}

/**
 * The heading a thing stands under for one key: what a divider would say. Makers of fewer than three things share
 * one heading, "mixed". `counts` are things by maker.
 */
export function headingOf(
  key: SortKey,
  item: Sortable,
  counts: ReadonlyMap<string, number>,
  scheme: Scheme = DEFAULT_SCHEME,
): string {
  const { attributes } = item.facts;
  switch (key) {
    case 'kind':
      return item.kind;
    case 'form':
      return formsOfKind(item.kind).find(({ id }) => id === item.form)?.name ?? item.form;
    case 'size': {
      const { widthUm, heightUm } = bodyOf(item).one;
      return `${Math.round(Math.max(widthUm, heightUm) / 1000)} mm`;
    }
    case 'type':
      return text(attributes?.[TYPE[item.kind]]) || 'not said';
    case 'print or solid':
      return isPrint(item) ? 'prints' : 'solids';
    case 'maker':
      return (counts.get(item.maker) ?? 0) >= MAKER_AT_LEAST && item.maker !== '' ? item.maker : 'mixed';
    case 'range':
      return item.range || 'no range';
    case 'theme':
      return text(attributes?.theme) || purposeOf(item) || text(item.facts.tags?.[0]) || 'no theme';
    case 'purpose':
      return purposeOf(item) || 'no purpose';
    case 'season':
      return seasonOf(item.facts) ?? 'all year';
    case 'how often used':
      return useBand(item.uses);
    case 'family':
      return stretchOf(item.family, scheme);
    case 'finish':
      return item.finish;
    default:
      return '';
  }
}

/** The section a thing lives in: the first of its purposes. */
const purposeOf = ({ facts }: Sortable): string => fold(purposesOf(facts)[0] ?? '');
