/** An item that cells did not take: its number, and which places suit it. */
interface Item {
  readonly i: number;
  readonly takes: readonly number[];
  readonly suits: readonly boolean[];
}
/** A place that things share: its number, how much of it is left, and for how many things. */
interface Place {
  readonly s: number;
  readonly left: number;
  readonly n: number;
}
/** Where items go, and whether every way was tried. */
interface Spread {
  readonly at: ReadonlyMap<number, number>;
  readonly all: boolean;
}

/** One place after another is filled with the smallest: with a single place that is the most there is. Items come smallest first. */
export function smallestFirst(items: readonly Item[], places: readonly Place[]): Spread {
  const at = new Map<number, number>();
  for (const { s, left, n } of places) {
    let [room, more] = [left, n];
    for (const { i, takes, suits } of items) {
      const takesHere = takes[s] ?? 0;
      if (at.has(i) || !suits[s] || takesHere > room || more < 1) continue;
      at.set(i, s);
      room -= takesHere;
      more--;
    }
  }
  return { at, all: places.length <= 1 };
}

/** More ways than this are not tried. */
const MOST_WAYS = 200_000;

/** Spreads items over several places in every way, the tightest first; the most that go in. Items come smallest first. */
export function everyWay(items: readonly Item[], places: readonly Place[]): Spread {
  let ways = 0;
  let best = smallestFirst(items, places).at;
  const go = (k: number, at: ReadonlyMap<number, number>, left: readonly Place[]): void => {
    if (at.size > best.size) best = at;
    const item = items[k];
    if (!item || ways++ > MOST_WAYS || at.size + items.length - k <= best.size) return;
    const tried = new Set<string>();
    for (const place of [...left].sort((p, q) => p.left - q.left)) {
      const same = `${place.left} ${place.n}`;
      const takes = item.takes[place.s] ?? 0;
      if (!item.suits[place.s] || place.left < takes || place.n < 1 || tried.has(same)) continue;
      tried.add(same);
      const taken = { ...place, left: place.left - takes, n: place.n - 1 };
      go(
        k + 1,
        new Map(at).set(item.i, place.s),
        left.map((each) => (each === place ? taken : each)),
      );
    }
    go(k + 1, at, left);
  };
  if (places.length > 0) go(0, new Map(), places);
  return { at: best, all: ways <= MOST_WAYS };
}
