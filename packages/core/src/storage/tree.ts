import { HAND_ID, pathTo, type Unit } from './unit';

const ALPHABET = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
const LETTERS = [...ALPHABET, ...ALPHABET.flatMap((first) => ALPHABET.map((second) => first + second))];

type Lettered = Pick<Unit, 'id' | 'sort' | 'label'>;

/** The unit that has a letter already: a letter stands on every label printed, so no two units share one. */
export const unitLettered = <U extends Lettered>(
  units: readonly U[],
  label: string,
  butId?: string,
): U | undefined => units.find((unit) => unit.sort === 'unit' && unit.id !== butId && unit.label === label);

/** The first letter no unit has, A to Z, then AA to ZZ; null where all are given. */
export function freeLabel(units: readonly Lettered[], butId?: string): string | null {
  const taken = new Set(
    units.flatMap(({ id, sort, label }) => (sort === 'unit' && id !== butId ? [label] : [])),
  );
  return LETTERS.find((label) => !taken.has(label)) ?? null;
}

/** A box in a tray in a drawer in a cabinet in a room is five: nobody finds what lies deeper than this. */
export const MOST_DEEP = 12;

type Nested = Pick<Unit, 'id' | 'parentId'>;

/** How many units stand in one another below one, itself among them. */
function heightOf(id: string, units: readonly Nested[]): number {
  let [height, level] = [1, new Set([id])];
  for (;;) {
    const below = units.filter(({ parentId }) => parentId !== null && level.has(parentId));
    if (below.length === 0 || height > MOST_DEEP) return height;
    level = new Set(below.map((unit) => unit.id));
    height++;
  }
}

/** Whether a unit may stand in another: in one that is there, is not the hand, does not stand in it, and not too deep (12). */
export function mayStandIn(
  id: string,
  parentId: string,
  units: readonly Nested[],
): 'no_such_unit' | 'in_itself' | 'too_deep' | null {
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const parent = byId.get(parentId);
  if (!parent || parentId === HAND_ID) return 'no_such_unit';
  const path = pathTo(parent, byId);
  if (path.some((above) => above.id === id)) return 'in_itself';
  return path.length + heightOf(id, units) > MOST_DEEP ? 'too_deep' : null;
}

/** Units in the order they have when one was moved behind another, or to the front (null); null where that is not there. */
export function movedBehind<U extends Pick<Unit, 'id'>>(
  units: readonly U[],
  unit: U,
  after: string | null,
): readonly U[] | null {
  const others = units.filter(({ id }) => id !== unit.id);
  const at = after === null ? 0 : others.findIndex(({ id }) => id === after) + 1;
  if (after !== null && at === 0) return null;
  return [...others.slice(0, at), unit, ...others.slice(at)];
}
