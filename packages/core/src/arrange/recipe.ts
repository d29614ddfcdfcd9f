import { chromaOf, hueOf } from '../colour/lab';
import { KINDS } from '../kinds/definition';
import { formsOfKind } from '../kinds/registry';
import { SEASONS } from '../stash/seasons';
import { fold } from '../text/fold';
import { BEHIND, makeStandIn } from './behind';
import { makerCounts } from './counts';
import {
  AVAILABILITIES,
  BANDS,
  DEFAULT_RECIPE,
  headingOf,
  IN_SEASON,
  type Recipe,
  type Sortable,
  type SortKey,
} from './headings';
import { familyRanks, type Scheme } from './scheme';
import { naturally } from '../text/natural';

/** Headings that come in an order of their own. */
const LISTS: Partial<Record<SortKey, readonly string[]>> = {
  kind: KINDS,
  season: ['all year', ...SEASONS],
  'how often used': BANDS,
  'in season': IN_SEASON,
  availability: AVAILABILITIES,
  'print or solid': ['solids', 'prints'],
};
/** Headings that stand for "nothing said" go last. */
const LAST = new Set([
  'not said',
  'mixed',
  'no range',
  'no collection',
  'no theme',
  'no purpose',
  'hardly a hue',
]);

type Order = (a: Sortable, b: Sortable) => number;

/**
 * An order made of keys, the first that tells two things apart deciding; lightness, hue and at last the id settle the
 * rest, so that the order is total. Families and light or dark first are the scheme's. Special finishes that stand
 * behind a plain colour go where that goes, nearest first. `pile` is what follows the recipe, of all `items`.
 */
export function makeRecipeOrder(
  recipe: Recipe,
  scheme: Scheme,
  items: readonly Sortable[],
  pile = items,
): Order {
  const ranks = familyRanks(scheme);
  const direction = scheme.lightness === 'light-first' ? -1 : 1;
  const counts = makerCounts(items);
  const byLightness: Order = (a, b) => direction * (a.lab.l - b.lab.l);
  const orders = recipe
    .filter((key) => key !== BEHIND)
    .map((key): Order => {
      if (key === 'family') return (a, b) => ranks[a.family] - ranks[b.family];
      if (key === 'lightness') return byLightness;
      if (key === 'name' || key === 'code') return (a, b) => naturally(a[key], b[key]);
      const list = LISTS[key];
      const own = key === 'purpose' ? purposeRanks(scheme) : null;
      return (a, b) => {
        const [p, q] = [headingOf(key, a, counts, scheme), headingOf(key, b, counts, scheme)];
        if (p === q) return 0;
        if (list) return list.indexOf(p) - list.indexOf(q);
        const byOwn = own ? (own.get(p) ?? own.size) - (own.get(q) ?? own.size) : 0;
        if (byOwn !== 0) return byOwn;
        return Number(LAST.has(p)) - Number(LAST.has(q)) || naturally(p, q);
      };
    });
  const rest: Order[] = [
    // What has no colour is filed behind the rest, by its name.
    (a, b) => Number(a.family === 'none') - Number(b.family === 'none'),
    (a, b) => (a.family === 'none' && b.family === 'none' ? naturally(a.name, b.name) : 0),
    byLightness,
    (a, b) => chromaOf(a.lab) - chromaOf(b.lab),
    (a, b) => hueOf(a.lab) - hueOf(b.lab),
    (a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  ];
  const all = [...orders, ...rest];
  const plainly: Order = (a, b) => {
    for (const order of all) {
      const answer = order(a, b);
      if (answer !== 0) return answer;
    }
    return 0;
  };
  if (!recipe.includes(BEHIND)) return plainly;
  const standIn = makeStandIn(recipe, pile);
  return (a, b) => {
    const [p, q] = [standIn(a), standIn(b)];
    return plainly(p.host, q.host) || p.difference - q.difference || behind(p.host, a, b) || plainly(a, b);
  };
}

/** The host stands before what stands behind it, however alike their colours are. */
const behind = (host: Sortable, a: Sortable, b: Sortable): number =>
  Number(b.id === host.id) - Number(a.id === host.id);

/** Rank of each purpose the person has put in order, by its folded name. */
const purposeRanks = ({ purposes = [] }: Scheme): Map<string, number> =>
  new Map(purposes.map(({ name }, rank) => [fold(name), rank]));

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
  const piles = new Map<string, Sortable[]>();
  for (const item of items) piles.set(nameOf(item), [...(piles.get(nameOf(item)) ?? []), item]);
  for (const [name, pile] of piles) {
    const [first] = pile;
    if (first) orders.set(name, makeRecipeOrder(recipeOf(recipes, first), scheme, items, pile));
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
