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

/** Whether a unit may stand in another: in one that is there, is not the hand, and does not stand in it. */
export function mayStandIn(
  id: string,
  parentId: string,
  units: readonly Pick<Unit, 'id' | 'parentId'>[],
): 'no_such_unit' | 'in_itself' | null {
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const parent = byId.get(parentId);
  if (!parent || parentId === HAND_ID) return 'no_such_unit';
  return pathTo(parent, byId).some((above) => above.id === id) ? 'in_itself' : null;
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
