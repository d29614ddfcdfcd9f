import { addressIn, endOf, holdsOf, type Box, type FamilyGroup, type VisibleEnd } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { memo, useMemo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';
import { isLoose, type Contents } from '../api/contents';
import { saySlot } from './saySlot';
import { colour, LIP } from '../theme/tokens';
import { FreeLength } from './FreeLength';
import { boxesOf, unitSize } from './geometry';
import { SlotShape } from './SlotShape';

interface UnitDrawingProps {
  readonly unit: UnitView;
  /** What lives in each cell in reading order, or one after another where things lie loose. */
  readonly slots: Contents;
  /** px per µm. */
  readonly scale: number;
  /** Ids that stay lit; undefined when nothing is searched for. */
  readonly lit?: ReadonlySet<string> | undefined;
  readonly held?: ReadonlyMap<number, string> | undefined;
  readonly selected?: number | null;
  /** With fronts as high as they are, for a drawing among others to one scale. */
  readonly asBuilt?: boolean;
  /** Without it the drawing is only looked at. */
  readonly onSelect?: ((slot: number) => void) | undefined;
}

/** A unit drawn to scale, full of colour: real swatches in its cells or in its heap, open cells dotted. */
export const UnitDrawing = memo(function UnitDrawing({
  unit,
  slots,
  scale,
  lit,
  held,
  selected = null,
  asBuilt = false,
  onSelect,
}: UnitDrawingProps) {
  const size = unitSize(unit, asBuilt);
  const px = (box: Box): Box => ({ x: box.x * scale, y: box.y * scale, w: box.w * scale, h: box.h * scale });
  const boxes = useMemo(() => boxesOf(unit, slots, asBuilt), [unit, slots, asBuilt]).map(px);
  const firsts = useMemo(() => firstOfFamily(slots), [slots]);
  const width = size.w * scale;
  const height = size.h * scale;
  const chosen = selected === null ? undefined : boxes[selected];
  const loose = isLoose(unit);
  const end = endOf(unit);
  const seen = (own: VisibleEnd): VisibleEnd => (unit.model ? holdsOf(unit.model).seen(own) : own);
  const space = (index: number) => (unit.model ? holdsOf(unit.model).space(loose ? null : index) : null);
  return (
    <View style={{ width, height }} {...marked({ drawing: unit.id, built: asBuilt ? 'yes' : 'no' })}>
      <View aria-hidden>
        <Svg width={width} height={height}>
          <Rect x={0} y={0} width={width} height={height} fill={colour.rack} stroke={colour.rackWall} />
          {unit.model &&
            holdsOf(unit.model)
              .behind.map(px)
              .map((box) => (
                <Rect key={box.y} x={box.x} y={box.y} width={box.w} height={box.h} fill={colour.rackWall} />
              ))}
          {boxes.map((box, index) => {
            const living = slots[index];
            if (!living)
              return (
                <OpenSlot
                  key={index}
                  box={box}
                  round={end === 'round' || end === 'ring'}
                  heldFor={held?.get(index)}
                  dim={lit !== undefined}
                />
              );
            const dim = lit !== undefined && !lit.has(living.supply.id) && selected !== index;
            return (
              <SlotShape
                key={index}
                box={box}
                slotWidthUm={loose ? null : (space(index)?.widthUm ?? null)}
                living={living}
                dim={dim}
                first={firsts.has(index)}
                seen={seen}
              />
            );
          })}
          {unit.model &&
            holdsOf(unit.model)
              .fronts(asBuilt)
              .map(px)
              .map((front) => (
                <Rect
                  key={front.y}
                  x={0}
                  y={front.y}
                  width={front.w}
                  height={front.h}
                  fill={colour.rackWall}
                />
              ))}
          {unit.model?.model === 'run' && (
            <FreeLength unit={unit} slots={slots} boxes={boxes} width={width} height={height} />
          )}
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
      {onSelect && loose && (
        // Between the things: the box itself, to put something in.
        <Pressable
          role="button"
          aria-label={`${addressIn(unit, null)} ${unit.name}, put something in`}
          tabIndex={boxes.length === 0 ? 0 : -1}
          onPress={() => onSelect(boxes.length)}
          style={[styles.hit, { left: 0, top: 0, width, height }]}
        />
      )}
      {onSelect &&
        boxes.map((box, index) => (
          <Pressable
            key={index}
            role="button"
            aria-label={saySlot(addressIn(unit, loose ? null : index), slots[index] ?? null, loose)}
            aria-pressed={selected === index}
            tabIndex={(selected ?? 0) === index ? 0 : -1}
            onPress={() => onSelect(index)}
            {...(slots[index] && marked({ thing: 'yes' }))}
            style={[styles.hit, hitBox(box, loose ? 0 : wallOf(unit) * scale)]}
          />
        ))}
    </View>
  );
});

/** Says to what drags things which drawing this is, and where a thing can be taken hold of. */
const marked = (dataSet: Readonly<Record<string, string>>): object => ({ dataSet });

const wallOf = ({ model }: UnitView): number => (model?.model === 'grid' ? model.wallUm : 0);

/** The walls between slots belong to the slots when a finger comes down on them. */
const hitBox = ({ x, y, w, h }: Box, wall: number) => ({
  left: x - wall / 2,
  top: y - wall / 2,
  width: w + wall,
  height: h + wall,
});

function firstOfFamily(slots: Contents): Set<number> {
  const firsts = new Set<number>();
  let last: FamilyGroup | null = null;
  slots.forEach((living, index) => {
    if (!living) return;
    if (living.supply.group !== last) firsts.add(index);
    last = living.supply.group;
  });
  return firsts;
}

interface OpenSlotProps {
  readonly box: Box;
  readonly round: boolean;
  readonly heldFor: string | undefined;
  readonly dim: boolean;
}

/** A dotted outline; with a small tick of a group's colour where the slot is kept for its growth. */
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
      {heldFor && <Path d={`M${x + w} ${y + h - tick}V${y + h}H${x + w - tick}Z`} fill={heldFor} />}
    </G>
  );
}

const styles = StyleSheet.create({ hit: { position: 'absolute' } });
