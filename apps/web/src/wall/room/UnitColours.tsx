import { endOf, holdsOf } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { memo, useMemo } from 'react';
import Svg, { Rect } from 'react-native-svg';
import type { Contents } from '../../api/contents';
import { boxesOf, unitSize } from '../../draw/geometry';
import { tintOf, useTint } from '../../draw/useTint';
import { colour } from '../../theme/tokens';

interface UnitColoursProps {
  readonly unit: UnitView;
  readonly slots: Contents;
  readonly w: number;
  readonly h: number;
  readonly lit: ReadonlySet<string> | undefined;
}

const DIM = 0.13;

/** A unit from afar: its colours where they stand, without what one sees only from near. */
export const UnitColours = memo(function UnitColours({ unit, slots, w, h, lit }: UnitColoursProps) {
  const tint = useTint();
  const { facts, model } = unit;
  const flat = facts.lies === true && model?.model === 'grid';
  const size = useMemo(() => (flat ? { ...unitSize(unit), h: 1 } : unitSize(unit, true)), [unit, flat]);
  const boxes = useMemo(() => boxesOf(unit, slots, !flat), [unit, slots, flat]);
  const columns = model?.model === 'grid' ? model.columnsUm.length : 0;
  const front = model?.model === 'grid' ? boxes.length / (model.layers ?? 1) : 0;
  const sx = w / size.w;
  const sy = h / size.h;
  const round = ['round', 'ring'].includes(endOf(unit));
  return (
    <Svg width={w} height={h}>
      <Rect x={0} y={0} width={w} height={h} fill={colour.rack} stroke={colour.rackWall} />
      {boxes.map((box, index) => {
        const living = slots[index];
        if (!living) return null;
        // Of a tray that lies, the front row is seen.
        if (flat && (index < front - columns || index >= front)) return null;
        const at = flat ? { ...box, y: 0.12, h: 0.8 } : box;
        return (
          <Rect
            key={index}
            x={at.x * sx}
            y={at.y * sy}
            width={at.w * sx}
            height={at.h * sy}
            rx={round && !flat ? Math.min(at.w * sx, at.h * sy) / 2 : 0}
            fill={living.supply.hex}
            opacity={
              lit && !lit.has(living.supply.id) ? DIM : tint ? tintOf(tint.get(living.supply.id) ?? 0) : 1
            }
          />
        );
      })}
      {!flat &&
        model &&
        holdsOf(model)
          .fronts(true)
          .map((front) => (
            <Rect
              key={front.y}
              x={0}
              y={front.y * sy}
              width={w}
              height={front.h * sy}
              fill={colour.rackWall}
            />
          ))}
    </Svg>
  );
});
