import type { Box } from '../models/definition';
import { isOnWall, ROOM_ID, type Unit } from '../unit';
import { frontOf, type Front } from './front';
import { hang, settle, type Place } from './settle';

/** A piece or unit as it stands in the room. */
export interface Standing<U> {
  readonly unit: U;
  /** µm from the left end of the first wall and from the room's height down. */
  readonly box: Box;
  /** How deep it stands in others: 0 in the room itself. */
  readonly level: number;
}
export interface Scene<U> {
  readonly w: number;
  readonly h: number;
  /** Walls beside one another, each with its left end and its length. */
  readonly walls: readonly { readonly name: string; readonly x: number; readonly w: number }[];
  /** Outer ones before what stands in them. */
  readonly standing: readonly Standing<U>[];
}

const LEAST_HEIGHT_UM = 2_100_000;
const BETWEEN_WALLS_UM = 300_000;
const BETWEEN_PIECES_UM = 100_000;
/** How wide rows are in a piece nobody measured. */
const USUAL_ROW_UM = 600_000;

type Drawn = Pick<Unit, 'id' | 'parentId' | 'sort' | 'model' | 'facts'>;
interface Node<U> extends Front {
  readonly unit: U;
  readonly inside: readonly (Node<U> & Place)[];
}

const right = (all: readonly (Front & Place)[]): number =>
  all.reduce((most, { x, w }) => Math.max(most, x + w), 0);
const top = (all: readonly (Front & Place)[]): number =>
  all.reduce((most, { up, h }) => Math.max(most, up + h), 0);

/**
 * The room in elevation: walls side by side to one scale, pieces along them, in these what stands in them. What was measured stands
 * where it was measured; the rest is set where it could stand, never on one another. What is put away is not in it.
 */
export function sceneOf<U extends Drawn>(units: readonly U[]): Scene<U> {
  const here = new Map(
    units
      .filter((unit) => unit.sort !== 'room' && unit.sort !== 'hand' && isOnWall(unit))
      .map((unit) => [unit.id, unit]),
  );
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const inside = new Map<string, U[]>();
  for (const unit of here.values()) {
    let above = unit.parentId ?? ROOM_ID;
    // What stands in something that is put away is drawn where that stood.
    for (let steps = 0; above !== ROOM_ID && !here.has(above) && steps < units.length; steps++)
      above = byId.get(above)?.parentId ?? ROOM_ID;
    inside.set(above, [...(inside.get(above) ?? []), unit]);
  }
  const node = (unit: U): Node<U> => {
    const own = frontOf(unit);
    const nodes = (inside.get(unit.id) ?? []).map(node);
    const blocks = nodes.map((each) => ({ ...each, pose: each.unit.facts.pose ?? {} }));
    const places = settle(blocks, own?.w ?? USUAL_ROW_UM);
    const set = nodes.map((each, i) => ({ ...each, ...(places[i] ?? { x: 0, up: 0 }) }));
    return {
      unit,
      w: own?.w ?? Math.max(right(set), 50_000),
      h: own?.h ?? Math.max(top(set), 50_000),
      inside: set,
    };
  };
  const roots = (inside.get(ROOM_ID) ?? []).map(node);
  const names = [...new Set(roots.map(({ unit }) => unit.facts.pose?.wall ?? ''))];
  const walls = names.map((name) => {
    const set = along(roots.filter(({ unit }) => (unit.facts.pose?.wall ?? '') === name));
    return { name, set, w: right(set), h: top(set) };
  });
  const h = Math.max(LEAST_HEIGHT_UM, ...walls.map((wall) => wall.h));
  const standing: Standing<U>[] = [];
  const lay = (all: readonly (Node<U> & Place)[], left: number, floor: number, level: number): void => {
    for (const each of all) {
      const box = { x: left + each.x, y: floor - each.up - each.h, w: each.w, h: each.h };
      standing.push({ unit: each.unit, box, level });
      lay(each.inside, box.x, box.y + box.h, level + 1);
    }
  };
  let x = 0;
  const strips = walls.map(({ name, set, w }) => {
    lay(set, x, h, 0);
    const strip = { name, x, w };
    x += w + BETWEEN_WALLS_UM;
    return strip;
  });
  return { w: Math.max(0, x - BETWEEN_WALLS_UM), h, walls: strips, standing };
}

/** One wall: what was measured where it stands, other pieces on the floor behind it, other units hung behind these. */
function along<U extends Drawn>(nodes: readonly Node<U>[]): readonly (Node<U> & Place)[] {
  const measured = nodes.filter(
    ({ unit }) => unit.facts.pose?.alongUm !== undefined || unit.facts.pose?.upUm !== undefined,
  );
  const rest = nodes.filter((each) => !measured.includes(each));
  const places = settle(
    measured.map((each) => ({ ...each, pose: each.unit.facts.pose ?? {} })),
    Infinity,
  );
  const set = measured.map((each, i) => ({ ...each, ...(places[i] ?? { x: 0, up: 0 }) }));
  for (const piece of rest.filter(({ unit }) => unit.sort === 'piece'))
    set.push({ ...piece, x: set.length > 0 ? right(set) + BETWEEN_PIECES_UM : 0, up: 0 });
  const hung = rest.filter(({ unit }) => unit.sort !== 'piece');
  const start = set.length > 0 ? right(set) + BETWEEN_PIECES_UM : 0;
  hang(hung).forEach((place, i) => {
    const each = hung[i];
    if (each) set.push({ ...each, x: start + place.x, up: place.up });
  });
  return set;
}
