import { missingUm } from '../fit/inSpace';
import { KINDS } from '../kinds/definition';
import { bodyOf } from '../stash/body';
import { suits, type Lodger, type Refusal } from './mayLive';
import { holdsOf } from './models/models';
import { isOnWall, type Unit } from './unit';

/** A no that says by how much. */
type Measured = Extract<Refusal, { readonly needUm: number }>;

/** A thing no rack of its kind takes, and by how little the best one fails. */
export interface Misfit<T> {
  readonly item: T;
  readonly refusal: Measured;
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

/** What decides whether places suit a thing: what has the same answers in all of these fits the same places. */
function shapeOf({ supply, lot }: Lodger): string {
  const { widthUm, heightUm, depthUm } = bodyOf(supply, lot).one;
  const bore = supply.facts.attributes?.bore;
  return [supply.kind, supply.form, widthUm, heightUm, depthUm, typeof bore === 'number' ? bore : ''].join(
    ' ',
  );
}

/** The closest a thing comes to a place among these, or null where one suits it. */
function closestRefusal(thing: Lodger, places: readonly SpotIn[]): Measured | null {
  let closest: Measured | null = null;
  for (const place of places) {
    const answer = suits(thing, place);
    if (answer === null) return null;
    if (isMeasured(answer) && (closest === null || missingUm(answer) < missingUm(closest))) closest = answer;
  }
  return closest;
}
const isMeasured = (answer: Refusal): answer is Measured => 'needUm' in answer;

interface SpotIn {
  readonly unit: Unit;
  readonly cell: number | null;
}

/**
 * Things whose outside fits no place among the units made for their kind: what came with a bulk lot and does not suit
 * the room. Kinds without any unit are not asked about. Things of one shape are asked about once.
 */
export function misfits<T>(
  items: readonly T[],
  lodgerOf: (item: T) => Lodger,
  units: readonly Unit[],
): Misfit<T>[] {
  const places = units.filter(isOnWall).flatMap((unit) => cellSorts(unit).map((cell) => ({ unit, cell })));
  const ofKind = new Map(
    KINDS.map((kind) => [kind, places.filter(({ unit }) => unit.rules.kinds.includes(kind))] as const),
  );
  const known = new Map<string, Measured | null>();
  return items.flatMap((item): Misfit<T>[] => {
    const thing = lodgerOf(item);
    const shape = shapeOf(thing);
    let refusal = known.get(shape);
    if (refusal === undefined) {
      refusal = closestRefusal(thing, ofKind.get(thing.supply.kind) ?? []);
      known.set(shape, refusal);
    }
    return refusal ? [{ item, refusal }] : [];
  });
}
