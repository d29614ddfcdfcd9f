interface Named {
  readonly id: string;
}

/** Things by their id. */
export interface ById<T> {
  readonly get: (id: string) => T | undefined;
}

/** Where the things of a list stand. A list in which some were only replaced shares it with the list it came from. */
const places = new WeakMap<readonly Named[], ReadonlyMap<string, number>>();
function placesIn(list: readonly Named[]): ReadonlyMap<string, number> {
  const known = places.get(list);
  if (known) return known;
  const made = new Map(list.map(({ id }, place) => [id, place]));
  places.set(list, made);
  return made;
}

/** Things of a list by their id, without a map of ten thousand being made after each change. */
export function byIdOf<T extends Named>(list: readonly T[]): ById<T> {
  const place = placesIn(list);
  return {
    get: (id) => {
      const at = place.get(id);
      return at === undefined ? undefined : list[at];
    },
  };
}

/** A list with some things replaced, added at its end, or taken out; what did not change is the thing it was. */
export function mended<T extends Named>(
  list: readonly T[],
  changed: readonly T[],
  gone: readonly string[] = [],
): readonly T[] {
  if (changed.length + gone.length === 0) return list;
  const place = placesIn(list);
  const next = [...list];
  const added = new Map<string, T>();
  for (const each of changed) {
    const at = place.get(each.id);
    if (at === undefined) added.set(each.id, each);
    else next[at] = each;
  }
  const out = new Set(gone);
  if (added.size === 0 && ![...out].some((id) => place.has(id))) {
    places.set(next, place);
    return next;
  }
  return [...next, ...added.values()].filter(({ id }) => !out.has(id));
}
