import { missingUm, type FitRefusal } from './fit';
import { suits, type Lodger } from './mayLive';
import { holdsOf } from './models/models';
import { isOnWall, type Unit } from './unit';

/** A thing no rack of its kind takes, and by how little the best one fails. */
export interface Misfit<T> {
  readonly item: T;
  readonly refusal: FitRefusal;
}

/** One cell of every size a unit has: cells of one size take the same things. */
export function cellSorts({ model }: Pick<Unit, 'model'>): readonly (number | null)[] {
  if (!model) return [];
  const { cells, space } = holdsOf(model);
  if (cells === 0) return [null];
  const sorts = new Map<string, number>();
  for (let cell = 0; cell < cells; cell++) {
    const { widthUm, heightUm, depthUm } = space(cell);
    const key = `${widthUm} ${heightUm} ${depthUm}`;
    if (!sorts.has(key)) sorts.set(key, cell);
  }
  return [...sorts.values()];
}

/**
 * Things whose outside fits no place among the units made for their kind: what came with a bulk lot and does not suit
 * the room. Kinds without any unit are not asked about.
 */
export function misfits<T>(
  items: readonly T[],
  lodgerOf: (item: T) => Lodger,
  units: readonly Unit[],
): Misfit<T>[] {
  const places = units.filter(isOnWall).flatMap((unit) => cellSorts(unit).map((cell) => ({ unit, cell })));
  return items.flatMap((item): Misfit<T>[] => {
    const thing = lodgerOf(item);
    const answers = places
      .filter(({ unit }) => unit.rules.kinds.includes(thing.supply.kind))
      .map((place) => suits(thing, place));
    if (answers.includes(null)) return [];
    const [closest] = answers
      .filter((answer): answer is FitRefusal => answer !== null && 'needUm' in answer)
      .sort((p, q) => missingUm(p) - missingUm(q));
    return closest ? [{ item, refusal: closest }] : [];
  });
}
