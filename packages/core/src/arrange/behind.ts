import { hasColour } from '../colour/families';
import { ciede2000 } from '../colour/lab';
import { makerCounts } from './counts';
import { headingOf, type Recipe, type Sortable, type SortKey } from './headings';

/** The key that puts special finishes directly behind the plain thing whose colour is nearest. */
export const BEHIND: SortKey = 'finish behind colour';
/** Keys that say nothing about which stretch of a shelf a thing stands in. */
const OF_COLOUR: ReadonlySet<SortKey> = new Set(['family', 'lightness', 'finish', 'name', 'code', BEHIND]);

/** A thing whose finish sets it apart from the plain colours: shimmer, metallic, glitter, neon, clear. */
const isSpecial = ({ finish, family }: Sortable): boolean =>
  finish !== 'matte' || family === 'metallic' || family === 'clear';

export interface StandIn {
  /** The plain thing it stands behind; the thing itself where it stands for itself. */
  readonly host: Sortable;
  /** CIEDE2000 to the host. */
  readonly difference: number;
}

/** So many candidates by plain distance are compared by CIEDE2000. */
const CANDIDATES = 8;

/**
 * Tells for each thing of a pile the plain thing it stands behind, where the recipe asks for that: the nearest colour
 * among the plain things that stand under the same headings of the recipe's other keys. Plain things, and special ones
 * with no plain thing beside them, stand for themselves.
 */
export function makeStandIn(recipe: Recipe, pile: readonly Sortable[]): (item: Sortable) => StandIn {
  const itself = (item: Sortable): StandIn => ({ host: item, difference: 0 });
  if (!recipe.includes(BEHIND)) return itself;
  const counts = makerCounts(pile);
  const keys = recipe.filter((key) => !OF_COLOUR.has(key));
  const stretchOf = (item: Sortable): string => keys.map((key) => headingOf(key, item, counts)).join('\n');
  const plain = new Map<string, Sortable[]>();
  for (const item of pile) {
    if (isSpecial(item) || !hasColour(item)) continue;
    const stretch = stretchOf(item);
    const beside = plain.get(stretch);
    if (beside) beside.push(item);
    else plain.set(stretch, [item]);
  }
  const known = new Map<string, StandIn>();
  return (item) => {
    if (!isSpecial(item)) return itself(item);
    const found = known.get(item.id) ?? nearestOf(item, plain.get(stretchOf(item)) ?? []) ?? itself(item);
    known.set(item.id, found);
    return found;
  };
}

function nearestOf(item: Sortable, plain: readonly Sortable[]): StandIn | null {
  const squared = ({ lab }: Sortable): number =>
    (lab.l - item.lab.l) ** 2 + (lab.a - item.lab.a) ** 2 + (lab.b - item.lab.b) ** 2;
  const near: { host: Sortable; distance: number }[] = [];
  for (const host of plain) {
    const distance = squared(host);
    const last = near[near.length - 1];
    if (near.length === CANDIDATES && last && distance >= last.distance) continue;
    const at = near.findIndex((each) => each.distance > distance);
    near.splice(at < 0 ? near.length : at, 0, { host, distance });
    near.length = Math.min(near.length, CANDIDATES);
  }
  let best: StandIn | null = null;
  for (const { host } of near) {
    const difference = ciede2000(item.lab, host.lab);
    if (!best || difference < best.difference || (difference === best.difference && host.id < best.host.id))
      best = { host, difference };
  }
  return best;
}
