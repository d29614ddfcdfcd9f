import type { Unit } from '../unit';
import type { Pose } from '../unitFacts';
import { sceneOf } from './scene';

/**
 * Where something stands that is put on top of another: in what that stands in, from its left side, its foot on that one's top. Null where
 * the other is not in the room.
 */
export function onTopOf(
  otherId: string,
  units: readonly Unit[],
): { readonly parentId: string; readonly pose: Pose } | null {
  const { h, standing } = sceneOf(units);
  const other = standing.find(({ unit }) => unit.id === otherId);
  if (!other?.unit.parentId) return null;
  const parent = standing.find(({ unit }) => unit.id === other.unit.parentId)?.box;
  const floor = parent ? parent.y + parent.h : h;
  const wall = other.unit.facts.pose?.wall;
  return {
    parentId: other.unit.parentId,
    pose: {
      ...(wall === undefined ? {} : { wall }),
      alongUm: Math.max(0, Math.round(other.box.x - (parent?.x ?? 0))),
      upUm: Math.max(0, Math.round(floor - other.box.y)),
    },
  };
}
