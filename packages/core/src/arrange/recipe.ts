import type { Supply } from '../stash/supply';
import type { FamilyGroup } from '../colour/families';
import { chromaOf, hueOf, type Lab } from '../colour/lab';
import { purposesOf } from '../find/purposes';
import { fold } from '../text/fold';
import { bodyOf } from '../stash/body';
import { seasonOf, SEASONS } from '../stash/seasons';
import type { Kind } from '../kinds/definition';
import { KINDS } from '../kinds/definition';
import { formsOfKind } from '../kinds/registry';
import { familyRanks, type Scheme } from './scheme';

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
  readonly group: FamilyGroup;
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
/** Names with numbers in them sort by the number: 9 before 10. */
const NATURAL = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** How often a thing is used, as one of three bands: often, sometimes, rarely. */
const useBand = (uses: number): 'often' | 'sometimes' | 'rarely' =>
  uses >= OFTEN ? 'often' : uses >= SOMETIMES ? 'sometimes' : 'rarely';
const BANDS = ['often', 'sometimes', 'rarely'] as const;

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
export function headingOf(key: SortKey, item: Sortable, counts: ReadonlyMap<string, number>): string {
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
      return item.group;
    case 'finish':
      return item.finish;
    default:
      return '';
  }
}

/** The section a thing lives in: the first of its purposes. */
const purposeOf = ({ facts }: Sortable): string => fold(purposesOf(facts)[0] ?? '');

const LISTS: Partial<Record<SortKey, readonly string[]>> = {
  kind: KINDS,
  season: ['all year', ...SEASONS],
  'how often used': BANDS,
  'print or solid': ['solids', 'prints'],
};
/** Headings that stand for "nothing said" go last. */
const LAST = new Set(['not said', 'mixed', 'no range', 'no theme', 'no purpose']);

type Order = (a: Sortable, b: Sortable) => number;

/**
 * An order made of keys, the first that tells two things apart deciding; lightness, hue and at last the id settle the
 * rest, so that the order is total. Families and light or dark first are the scheme's.
 */
export function makeRecipeOrder(recipe: Recipe, scheme: Scheme, items: readonly Sortable[]): Order {
  const ranks = familyRanks(scheme);
  const direction = scheme.lightness === 'light-first' ? -1 : 1;
  const counts = makerCounts(items);
  const byLightness: Order = (a, b) => direction * (a.lab.l - b.lab.l);
  const orders = recipe.map((key): Order => {
    if (key === 'family') return (a, b) => ranks[a.group] - ranks[b.group];
    if (key === 'lightness') return byLightness;
    if (key === 'name' || key === 'code') return (a, b) => NATURAL.compare(a[key], b[key]);
    const list = LISTS[key];
    const own = key === 'purpose' ? purposeRanks(scheme) : null;
    return (a, b) => {
      const [p, q] = [headingOf(key, a, counts), headingOf(key, b, counts)];
      if (p === q) return 0;
      if (list) return list.indexOf(p) - list.indexOf(q);
      const byOwn = own ? (own.get(p) ?? own.size) - (own.get(q) ?? own.size) : 0;
      if (byOwn !== 0) return byOwn;
      return Number(LAST.has(p)) - Number(LAST.has(q)) || NATURAL.compare(p, q);
    };
  });
  const rest: Order[] = [
    byLightness,
    (a, b) => chromaOf(a.lab) - chromaOf(b.lab),
    (a, b) => hueOf(a.lab) - hueOf(b.lab),
    (a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  ];
  return (a, b) => {
    for (const order of [...orders, ...rest]) {
      const answer = order(a, b);
      if (answer !== 0) return answer;
    }
    return 0;
  };
}

/** Rank of each purpose the person has put in order, by its folded name. */
const purposeRanks = ({ purposes = [] }: Scheme): Map<string, number> =>
  new Map(purposes.map(({ name }, rank) => [fold(name), rank]));

export function makerCounts(items: readonly { readonly maker: string }[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { maker } of items) counts.set(maker, (counts.get(maker) ?? 0) + 1);
  return counts;
}

/** Recipes of a person: by kind, and by `kind/form` where a form is the exception. */
export type Recipes = Readonly<Record<string, Recipe>>;

/**
 * The order of things that follow different recipes: those of one recipe stand together and in its order, the recipes
 * in the order of the kinds and forms that follow them.
 */
export function makeRecipesOrder(recipes: Recipes, scheme: Scheme, items: readonly Sortable[]): Order {
  const nameOf = (item: Sortable): string => recipeOf(recipes, item).join();
  const rank = new Map<string, number>();
  for (const kind of KINDS)
    for (const { id: form } of formsOfKind(kind)) {
      const name = recipeOf(recipes, { kind, form }).join();
      if (!rank.has(name)) rank.set(name, rank.size);
    }
  const orders = new Map<string, Order>();
  for (const item of items) {
    const name = nameOf(item);
    if (!orders.has(name)) orders.set(name, makeRecipeOrder(recipeOf(recipes, item), scheme, items));
  }
  return (a, b) => {
    const [p, q] = [nameOf(a), nameOf(b)];
    return p === q ? (orders.get(p)?.(a, b) ?? 0) : (rank.get(p) ?? 0) - (rank.get(q) ?? 0);
  };
}

/** The recipe a thing follows: its form's own, else its kind's, else rainbow order. */
export const recipeOf = (
  recipes: Recipes,
  { kind, form }: { readonly kind: string; readonly form: string },
): Recipe => recipes[`${kind}/${form}`] ?? recipes[kind] ?? DEFAULT_RECIPE;
