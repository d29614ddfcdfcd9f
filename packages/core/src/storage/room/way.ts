import { isOnWall, pathTo, type Unit } from '../unit';
import type { OPENINGS } from '../unitFacts';
import { sceneOf } from './scene';

/** One step of the way to a thing. `nth` counts from the top left among `of` that stand in the same one. */
export type WayStep =
  | { readonly do: 'go to'; readonly name: string; readonly nth: number; readonly of: number }
  | { readonly do: 'open'; readonly how: (typeof OPENINGS)[number]; readonly name: string }
  | { readonly do: 'lift'; readonly name: string };

type Walked = Pick<Unit, 'id' | 'parentId' | 'sort' | 'name' | 'model' | 'facts'>;

/**
 * The way to what is in a unit, from the room inwards: what one goes to, what is opened, and what lies upon it and is lifted first. The
 * last step is at the unit itself.
 */
export function wayTo<U extends Walked>(unit: U, units: readonly U[]): readonly WayStep[] {
  const byId = new Map(units.map((each) => [each.id, each]));
  const { standing } = sceneOf(units);
  const boxes = new Map(standing.map(({ unit: { id }, box }) => [id, box]));
  const inside = (parentId: string | null): U[] =>
    units
      .filter((each) => each.parentId === parentId && isOnWall(each) && boxes.has(each.id))
      .sort((p, q) => {
        const [a, b] = [boxes.get(p.id), boxes.get(q.id)];
        return (a?.y ?? 0) - (b?.y ?? 0) || (a?.x ?? 0) - (b?.x ?? 0);
      });
  return pathTo(unit, byId)
    .filter(({ sort }) => sort !== 'room')
    .flatMap((each, level, path): WayStep[] => {
      const beside = inside(each.parentId);
      const { name, facts } = each;
      const next = path[level + 1];
      const upon = facts.covers
        ? []
        : [
            // Beside it, what lies upon it; in it, what lies upon what is in it, but for the one that is gone to.
            ...(level > 0 ? beside.filter((other) => other.facts.covers && other.id !== each.id) : []),
            ...(next ? [] : inside(each.id).filter((other) => other.facts.covers)),
          ];
      return [
        { do: 'go to', name, nth: beside.indexOf(each) + 1, of: beside.length },
        ...(facts.opens ? [{ do: 'open', how: facts.opens, name } as const] : []),
        ...upon.map((other) => ({ do: 'lift', name: other.name }) as const),
      ];
    });
}
