import { makeStandIn, type StandIn } from './behind';
import { makerCounts } from './counts';
import { headingOf, type Sortable, type SortKey } from './headings';
import { drawerKey } from './keptDrawers';
import { recipeOf, type Recipes } from './recipe';
import type { Scheme } from './scheme';

/** What things are kept together by, and the group each is in. */
export interface Grouping {
  /** Null where the things follow recipes that group by different keys. */
  readonly by: SortKey | null;
  readonly groupOf: (item: Sortable) => string;
}

/** The groups things stand together in: each by the first key of its own recipe that makes groups. */
export function makeGrouping(recipes: Recipes, scheme: Scheme, items: readonly Sortable[]): Grouping {
  const keys = new Set(items.map((item) => drawerKey(recipeOf(recipes, item))));
  const [only = null] = keys.size === 1 ? keys : [];
  const counts = makerCounts(items);
  const nameOf = (item: Sortable): string => recipeOf(recipes, item).join();
  const standIns = new Map<string, (item: Sortable) => StandIn>();
  const standInOf = (item: Sortable): StandIn => {
    const name = nameOf(item);
    const known = standIns.get(name);
    if (known) return known(item);
    const standIn = makeStandIn(
      recipeOf(recipes, item),
      items.filter((each) => nameOf(each) === name),
    );
    standIns.set(name, standIn);
    return standIn(item);
  };
  return {
    by: only,
    groupOf: (item) => {
      const key = only ?? drawerKey(recipeOf(recipes, item));
      const heading = headingOf(key, standInOf(item).host, counts, scheme);
      return only ? heading : `${key}: ${heading}`;
    },
  };
}
