import { BEHIND, makeStandIn } from './behind';
import { makerCounts } from './counts';
import { headingOf, type Recipe, type Sortable } from './headings';
import { makeRecipesOrder, recipeOf, type Recipes } from './recipe';
import type { Scheme } from './scheme';
import { pathsInBlocks } from './smooth/inBlocks';

/** How a person puts things in order. */
export interface Ordering extends Scheme {
  readonly recipes: Recipes;
  /** How smooth the colours follow one another where lightness would decide: 0 light to dark, 1 as smooth as can be. */
  readonly smooth?: number;
  readonly seed?: number;
  /** How often a path is shaken for each thing in it, to make it shorter; `SHAKES_EACH` where left out. */
  readonly effort?: number;
}

/** But for a large stash, so that it is there before anyone waits. */
const SHAKES_EACH = 4;
const MOST_SHAKES = 3000;

/**
 * Things in the order of their recipes; where lightness would decide, along a path as smooth as asked for. Total, and the same for one
 * seed however they came in. n log n by lightness; smooth, n² in each stretch that stands under the same headings. Throws
 * RangeError for a smoothness that is not from 0 to 1.
 */
export const inOrder = <T extends Sortable>(items: readonly T[], ordering: Ordering): T[] =>
  inOrders(items, ordering, [ordering.smooth ?? 0])[0] ?? [];

/** The same at several smoothnesses, quicker than one by one: a row for each. */
export function inOrders<T extends Sortable>(
  items: readonly T[],
  ordering: Ordering,
  smooths: readonly number[],
): T[][] {
  const wrong = smooths.find((smooth) => !(smooth >= 0 && smooth <= 1));
  if (wrong !== undefined) throw new RangeError(`Smoothness goes from 0 to 1; ${wrong} does not.`);
  const sorted = [...items].sort(makeRecipesOrder(ordering.recipes, ordering, items));
  const bent = smooths.filter((smooth) => smooth > 0);
  const rows = items.length < 3 ? [] : smoothRows(sorted, ordering, bent);
  return smooths.map((smooth) => rows[bent.indexOf(smooth)] ?? sorted);
}

function smoothRows<T extends Sortable>(
  sorted: readonly T[],
  ordering: Ordering,
  smooths: readonly number[],
): T[][] {
  if (smooths.length === 0) return [];
  const { headOf, hostOf } = readers(sorted, ordering);
  const rows = smooths.map((): T[] => []);
  /** Stretches under one heading that lightness orders, with what stands behind each of their things. */
  let blocks: T[][] = [];
  const close = (): void => {
    smoothed(blocks, ordering, smooths).forEach((part, i) => rows[i]?.push(...part));
    blocks = [];
  };
  const behind = new Map<string, T[]>();
  let last: string | null = null;
  for (const item of sorted) {
    const host = hostOf(item);
    if (host.id !== item.id) {
      behind.set(host.id, [...(behind.get(host.id) ?? []), item]);
      continue;
    }
    const head = headOf(item);
    if (head === null) {
      close();
      for (const row of rows) row.push(item);
    } else if (head === last && blocks.length > 0) blocks.at(-1)?.push(item);
    else blocks.push([item]);
    last = head;
  }
  close();
  return rows.map((row) => row.flatMap((item) => [item, ...(behind.get(item.id) ?? [])]));
}

/** What smoothing asks of each thing: the headings it stands under, null where a name or a code decides; and what it stands behind. */
function readers<T extends Sortable>(
  items: readonly T[],
  ordering: Ordering,
): { headOf: (item: T) => string | null; hostOf: (item: T) => Sortable } {
  const counts = makerCounts(items);
  const recipeFor = (item: T): Recipe => recipeOf(ordering.recipes, item);
  const piles = new Map<string, { readonly recipe: Recipe; readonly pile: T[] }>();
  for (const item of items) {
    const recipe = recipeFor(item);
    const name = recipe.join();
    const known = piles.get(name);
    if (known) known.pile.push(item);
    else piles.set(name, { recipe, pile: [item] });
  }
  const standIns = new Map([...piles].map(([name, { recipe, pile }]) => [name, makeStandIn(recipe, pile)]));
  return {
    hostOf: (item) => standIns.get(recipeFor(item).join())?.(item).host ?? item,
    headOf: (item) => {
      const recipe = recipeFor(item);
      const at = recipe.indexOf('lightness');
      const keys = (at < 0 ? recipe : recipe.slice(0, at)).filter((key) => key !== BEHIND);
      if (item.family === 'none' || keys.includes('name') || keys.includes('code')) return null;
      return [recipe.join(), ...keys.map((key) => headingOf(key, item, counts, ordering))].join('\n');
    },
  };
}

/** Blocks of things, each made a path, at each smoothness. */
function smoothed<T extends Sortable>(
  blocks: readonly T[][],
  { lightness, seed = 1, effort = SHAKES_EACH }: Ordering,
  smooths: readonly number[],
): T[][] {
  const all = blocks.flat();
  let next = 0;
  const indices = blocks.map((block) => block.map(() => next++));
  const shakes = Math.min(MOST_SHAKES, effort * all.length);
  return pathsInBlocks(
    all.map(({ lab }) => lab),
    indices,
    smooths,
    { lightFirst: lightness === 'light-first', shakes, seed },
  ).map((path) => path.flatMap((i) => all[i] ?? []));
}
