import { drawerKey } from './keptDrawers';
import { headingOf, makerCounts, recipeOf, type Recipes, type Sortable, type SortKey } from './recipe';

/** What things are kept together by, and the group each is in. */
export interface Grouping {
  /** Null where the things follow recipes that group by different keys. */
  readonly by: SortKey | null;
  readonly groupOf: (item: Sortable) => string;
}

/** The groups things stand together in: each by the first key of its own recipe that makes groups. */
export function makeGrouping(recipes: Recipes, items: readonly Sortable[]): Grouping {
  const counts = makerCounts(items);
  const keys = new Set(items.map((item) => drawerKey(recipeOf(recipes, item))));
  const [only = null] = keys.size === 1 ? keys : [];
  return {
    by: only,
    groupOf: (item) => {
      const key = only ?? drawerKey(recipeOf(recipes, item));
      const heading = headingOf(key, item, counts);
      return only ? heading : `${key}: ${heading}`;
    },
  };
}
