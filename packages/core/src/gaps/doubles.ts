import { ciede2000, labOf, type Lab } from '../colour/lab';
import { hasColour, type Family } from '../colour/families';
import type { Supply } from '../stash/supply';
import { inPeace } from '../stash/idle';
import { isTooMany, sparesOf, type Spared } from '../stock/spares';
import { fold } from '../text/fold';

/** A supply as its doubles are looked for. */
export type Doubled = Spared & { readonly family: Family } & Pick<
    Supply,
    'id' | 'name' | 'maker' | 'range' | 'code' | 'hex' | 'finish' | 'createdAt'
  >;

/** What is there twice. */
export type DoubleRow<T> =
  /** More of one thing than are meant. */
  | { readonly why: 'spares'; readonly items: readonly [T]; readonly have: number; readonly meant: number }
  /** Two records say the same: maker, range, and code or name. */
  | { readonly why: 'same'; readonly items: readonly [T, T] }
  /** Two colours of one form and finish that nobody tells apart. `difference` is ΔE (CIEDE2000). */
  | { readonly why: 'alike'; readonly items: readonly [T, T]; readonly difference: number };

/** Below this nobody tells two swatches apart that do not touch. */
const ALIKE = 1;
/** Lightness alone never differs by more than this where CIEDE2000 is below `ALIKE`. */
const LIGHTNESS = 2.2;

/**
 * Things there are too many of: more spares than are meant, records that say the same, and colours of one form and finish that
 * cannot be told apart, the nearest first. Collections are left in peace. Near n log n for scattered colours.
 */
export function doubles<T extends Doubled>(all: readonly T[]): DoubleRow<T>[] {
  const items = all.filter((item) => !inPeace(item));
  const spare = items.filter(isTooMany).map((item): DoubleRow<T> => {
    const { have, meant } = sparesOf(item);
    return { why: 'spares', items: [item], have, meant };
  });
  const pairs = new Set<string>();
  const same = sameRecords(items).map(([a, b]): DoubleRow<T> => {
    pairs.add(`${a.id} ${b.id}`);
    return { why: 'same', items: [a, b] };
  });
  const alike = alikeColours(items)
    .filter(({ items: [a, b] }) => !pairs.has(`${a.id} ${b.id}`) && !pairs.has(`${b.id} ${a.id}`))
    .sort((p, q) => p.difference - q.difference);
  return [...spare, ...same, ...alike];
}

const TURN = ['spares', 'same', 'alike'] as const;

/** Doubles of several kinds put together, as they stand in one list. */
export const doublesTogether = <T>(kinds: readonly (readonly DoubleRow<T>[])[]): DoubleRow<T>[] =>
  TURN.flatMap((turn) => {
    const rows = kinds.flatMap((kind) => kind.filter(({ why }) => why === turn));
    const far = (row: DoubleRow<T>): number => (row.why === 'alike' ? row.difference : 0);
    return rows.sort((p, q) => far(p) - far(q));
  });

function sameRecords<T extends Doubled>(items: readonly T[]): [T, T][] {
  const found: [T, T][] = [];
  for (const by of ['code', 'name'] as const) {
    const first = new Map<string, T>();
    for (const item of items) {
      const said = fold(item[by]);
      if (said === '') continue;
      const key = [item.kind, item.form, fold(item.maker), fold(item.range), said].join('\n');
      const other = first.get(key);
      if (!other) first.set(key, item);
      else if (found.every(([a, b]) => a !== other || b !== item)) found.push([other, item]);
    }
  }
  return found;
}

function alikeColours<T extends Doubled>(items: readonly T[]) {
  const groups = new Map<string, { item: T; lab: Lab }[]>();
  for (const item of items) {
    // A patterned or clear thing is not its colour.
    if (!hasColour(item) || (item.facts.otherHexes ?? []).length > 0 || item.finish === 'clear') continue;
    const { kind, form, finish } = item;
    const key = `${kind} ${form} ${finish}`;
    const group = groups.get(key);
    const entry = { item, lab: labOf(item.hex) };
    if (group) group.push(entry);
    else groups.set(key, [entry]);
  }
  const found: { why: 'alike'; items: [T, T]; difference: number }[] = [];
  for (const group of groups.values()) {
    const byLight = group.sort((a, b) => a.lab.l - b.lab.l);
    byLight.forEach((a, i) => {
      for (let j = i + 1; j < byLight.length; j++) {
        const b = byLight[j];
        if (!b || b.lab.l - a.lab.l > LIGHTNESS) break;
        const difference = ciede2000(a.lab, b.lab);
        if (difference < ALIKE) found.push({ why: 'alike', items: [a.item, b.item], difference });
      }
    });
  }
  return found;
}
