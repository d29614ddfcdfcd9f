import { sag, wantsBrace } from '../fit/beam';
import type { PlaceSign } from './care';
import type { Box } from './models/definition';
import type { Model } from './models/models';
import { sceneOf } from './room/scene';
import { isOnWall, marksIn, pathTo, ROOM_ID, type Unit } from './unit';

/** What is known of what is in a unit. */
export interface Inside {
  readonly things: number;
  readonly liquids: boolean;
  readonly paper: boolean;
  /** The depth of what is deepest in it, µm. */
  readonly deepestUm: number;
}

/** Mass of a length full of usual spools, mg/µm: 35 g to 25 mm. */
const SPOOLS_MG_PER_UM = 35_000 / 25_000;
/** Rods of nobody knows what are taken for what most are: a dowel of soft wood. */
const isLongRod = (model: Model | null): boolean =>
  model?.model === 'run' &&
  model.how === 'rod' &&
  wantsBrace(
    sag(
      { section: { shape: 'rod', diameterUm: model.rodUm ?? 1 }, material: 'softwood' },
      model.lengthUm,
      Math.round(SPOOLS_MG_PER_UM * model.lengthUm),
    ),
    model.lengthUm,
  );

/** From here on as much again could stand behind what stands in front. */
const TWICE = 2;
const isDeep = ({ model, facts }: Unit, { things, deepestUm }: Inside): boolean =>
  things > 0 &&
  !facts.lies &&
  (model?.model === 'grid' || model?.model === 'run') &&
  model.depthUm > deepestUm * TWICE;

/** Whether one has to open something, or lift what lies upon it, before one sees what is in a unit. */
function isHidden(unit: Unit, units: readonly Unit[], byId: ReadonlyMap<string, Unit>): boolean {
  return pathTo(unit, byId).some(
    (each) =>
      each.facts.opens !== undefined ||
      (!each.facts.covers &&
        each.parentId !== ROOM_ID &&
        units.some(
          (other) => other.parentId === each.parentId && other.facts.covers === true && isOnWall(other),
        )),
  );
}

/** Whether what is in it is to be seen or not: as said of it, else of what it stands in. */
const faceOf = (unit: Unit, byId: ReadonlyMap<string, Unit>) =>
  [...pathTo(unit, byId)].reverse().find(({ facts }) => facts.face !== undefined)?.facts.face;

const isAbove = (a: Box, b: Box): boolean => a.y + a.h <= b.y + 1000 && a.x < b.x + b.w && b.x < a.x + a.w;

/** By unit: liquids that stand above paper in one piece of furniture, and paper below them. */
function drippings(
  units: readonly Unit[],
  byId: ReadonlyMap<string, Unit>,
  insideOf: (unitId: string) => Inside,
): ReadonlyMap<string, readonly PlaceSign[]> {
  const found = new Map<string, PlaceSign[]>();
  const put = (id: string, sign: PlaceSign): unknown => found.set(id, [...(found.get(id) ?? []), sign]);
  const pieceOf = (unit: Unit): string | undefined =>
    pathTo(unit, byId).find(({ sort }) => sort === 'piece')?.id;
  const { standing } = sceneOf(units);
  const holding = standing.map(({ unit, box }) => ({
    unit,
    box,
    piece: pieceOf(unit),
    ...insideOf(unit.id),
  }));
  const papers = holding.filter(({ paper }) => paper);
  for (const wet of holding.filter(({ liquids }) => liquids))
    for (const dry of papers)
      if (wet.piece !== undefined && wet.piece === dry.piece && isAbove(wet.box, dry.box)) {
        put(wet.unit.id, 'over paper');
        put(dry.unit.id, 'under liquids');
      }
  return found;
}

/**
 * What it is like in each unit of a room: its own marks and those of what it stands in, how it holds things, whether one sees
 * into it and is meant to, and what stands above and below it.
 */
export function signsIn(
  units: readonly Unit[],
  insideOf: (unitId: string) => Inside,
): (unit: Unit) => ReadonlySet<PlaceSign> {
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const known = new Map<string, ReadonlySet<PlaceSign>>();
  let drips: ReturnType<typeof drippings> | undefined;
  const signs = (unit: Unit): ReadonlySet<PlaceSign> => {
    const hidden = isHidden(unit, units, byId);
    const face = faceOf(unit, byId);
    const holdsUnits = units.some(({ parentId }) => parentId === unit.id);
    const unrecorded =
      hidden && unit.sort === 'unit' && isOnWall(unit) && !holdsUnits && insideOf(unit.id).things === 0;
    drips ??= drippings(units, byId, insideOf);
    return new Set([
      ...marksIn(unit, byId),
      hidden ? 'hidden' : 'open',
      ...(face ? [`to ${face}` as const] : []),
      ...(unit.model?.model === 'stack' ? (['pile'] as const) : []),
      ...(isLongRod(unit.model) ? (['long rod'] as const) : []),
      ...(drips.get(unit.id) ?? []),
      ...(unrecorded ? (['unrecorded'] as const) : []),
      ...(isDeep(unit, insideOf(unit.id)) ? (['deep'] as const) : []),
    ]);
  };
  return (unit) => {
    const found = known.get(unit.id) ?? signs(unit);
    known.set(unit.id, found);
    return found;
  };
}
