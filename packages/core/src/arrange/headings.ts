import type { Supply } from '../stash/supply';
import type { Family } from '../colour/families';
import { chromaOf, hueOf, type Lab } from '../colour/lab';
import type { Status } from '../stash/standing';
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
  'collection',
  'theme',
  'purpose',
  'season',
  'in season',
  'availability',
  'how often used',
  'family',
  'hue',
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
  /** The collection it is kept in, by name. */
  readonly collection?: string | undefined;
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

/** What one works with now, or ahead of its time, and what waits for its season. */
export const IN_SEASON = ['in season', 'out of season'] as const;
/** Whether more of it can be had. */
const AVAILABILITY: Partial<Record<Status, string>> = {
  retired: 'sold no longer',
  irreplaceable: 'cannot be replaced',
};
export const AVAILABILITIES = ['to be had', 'sold no longer', 'cannot be replaced'] as const;

/** The circle of hues is cut into so many steps; what is nearly grey has none. */
const HUE_STEPS = 24;
const LEAST_CHROMA = 8;
const hueStep = ({ lab }: Sortable): string =>
  chromaOf(lab) < LEAST_CHROMA
    ? 'hardly a hue'
    : `hue ${1 + (Math.floor((hueOf(lab) / 360) * HUE_STEPS) % HUE_STEPS)} of ${HUE_STEPS}`;

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
    case 'collection':
      return item.collection ?? 'no collection';
    case 'availability':
      return AVAILABILITY[item.facts.status ?? 'current'] ?? 'to be had';
    case 'hue':
      return hueStep(item);
    case 'theme':
      return text(attributes?.theme) || purposeOf(item) || text(item.facts.tags?.[0]) || 'no theme';
    case 'purpose':
      return purposeOf(item) || 'no purpose';
    case 'season':
      return seasonOf(item.facts) ?? 'all year';
    case 'in season': {
      const season = seasonOf(item.facts);
      return season === null || (scheme.inSight ?? []).includes(season) ? IN_SEASON[0] : IN_SEASON[1];
    }
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
