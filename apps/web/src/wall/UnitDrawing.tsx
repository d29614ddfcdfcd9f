import { FAMILY_GROUP_INFO, slotAddress, slotCount, type FamilyGroup } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import { memo, useMemo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';
import { saySlot } from '../copy/slot';
import { colour, LIP } from '../theme/tokens';
import { frontBoxesMm, slotBoxMm, unitSizeMm, type Box } from './geometry';
import { SlotShape } from './SlotShape';

interface UnitDrawingProps {
  readonly unit: UnitView;
  /** What lives in each slot, in reading order. */
  readonly slots: readonly (SupplyView | null)[];
  readonly scale: number;
  /** Ids that stay lit; undefined when nothing is searched for. */
  readonly lit?: ReadonlySet<string> | undefined;
  readonly held?: ReadonlyMap<number, FamilyGroup> | undefined;
  readonly selected?: number | null;
  /** Without it the drawing is only looked at. */
  readonly onSelect?: ((slot: number) => void) | undefined;
}

/** A unit drawn to scale, full of colour: real swatches in its slots, open ones dotted. */
export const UnitDrawing = memo(function UnitDrawing({
  unit,
  slots,
  scale,
  lit,
  held,
  selected = null,
  onSelect,
}: UnitDrawingProps) {
  const size = unitSizeMm(unit);
  const px = (box: Box): Box => ({ x: box.x * scale, y: box.y * scale, w: box.w * scale, h: box.h * scale });
  const boxes = Array.from({ length: slotCount(unit) }, (_, index) => px(slotBoxMm(unit, index)));
  const firsts = useMemo(() => firstOfFamily(slots), [slots]);
  const width = size.w * scale;
  const height = size.h * scale;
  const chosen = selected === null ? undefined : boxes[selected];
  return (
    <View style={{ width, height }}>
      <View aria-hidden>
        <Svg width={width} height={height}>
          <Rect x={0} y={0} width={width} height={height} fill={colour.rack} stroke={colour.rackWall} />
          {boxes.map((box, index) => {
            const supply = slots[index];
            if (!supply)
              return (
                <OpenSlot
                  key={index}
                  box={box}
                  round={unit.end === 'round' || unit.end === 'ring'}
                  heldFor={held?.get(index)}
                  dim={lit !== undefined}
                />
              );
            const dim = lit !== undefined && !lit.has(supply.id) && selected !== index;
            return (
              <SlotShape
                key={index}
                box={box}
                slotWidthMm={unit.slot.widthMm}
                supply={supply}
                dim={dim}
                first={firsts.has(index)}
              />
            );
          })}
          {frontBoxesMm(unit)
            .map(px)
            .map((front) => (
              <Rect key={front.y} x={0} y={front.y} width={front.w} height={front.h} fill={colour.rackWall} />
            ))}
          {chosen && (
            <Rect
              x={chosen.x - 1}
              y={chosen.y + chosen.h}
              width={chosen.w + 2}
              height={LIP}
              fill={colour.lip}
            />
          )}
        </Svg>
      </View>
      {onSelect &&
        boxes.map((box, index) => (
          <Pressable
            key={index}
            role="button"
            aria-label={saySlot(slotAddress(unit, index), slots[index] ?? null)}
            aria-pressed={selected === index}
            tabIndex={(selected ?? 0) === index ? 0 : -1}
            onPress={() => onSelect(index)}
            style={[styles.hit, hitBox(box, unit.wallMm * scale)]}
          />
        ))}
    </View>
  );
});

/** The walls between slots belong to the slots when a finger comes down on them. */
const hitBox = ({ x, y, w, h }: Box, wall: number) => ({
  left: x - wall / 2,
  top: y - wall / 2,
  width: w + wall,
  height: h + wall,
});

function firstOfFamily(slots: readonly (SupplyView | null)[]): Set<number> {
  const firsts = new Set<number>();
  let last: FamilyGroup | null = null;
  slots.forEach((supply, index) => {
    if (!supply) return;
    if (supply.group !== last) firsts.add(index);
    last = supply.group;
  });
  return firsts;
}

interface OpenSlotProps {
  readonly box: Box;
  readonly round: boolean;
  readonly heldFor: FamilyGroup | undefined;
  readonly dim: boolean;
}

/** A dotted outline; with a small tick of its family's colour where the slot is kept for growth. */
function OpenSlot({ box: { x, y, w, h }, round, heldFor, dim }: OpenSlotProps) {
  const tick = Math.min(w, h, 18) * 0.5;
  const dotted = { fill: 'none', stroke: colour.openSlot, strokeWidth: 0.9, strokeDasharray: '1.6 2.2' };
  return (
    <G opacity={dim ? 0.4 : 1}>
      {round ? (
        <Circle cx={x + w / 2} cy={y + h / 2} r={Math.min(w, h) * 0.46} {...dotted} />
      ) : (
        <Rect x={x + 0.5} y={y + 0.5} width={w - 1} height={h - 1} rx={1.5} {...dotted} />
      )}
      {heldFor && (
        <Path
          d={`M${x + w} ${y + h - tick}V${y + h}H${x + w - tick}Z`}
          fill={FAMILY_GROUP_INFO[heldFor].hex}
        />
      )}
    </G>
  );
}

const styles = StyleSheet.create({ hit: { position: 'absolute' } });
