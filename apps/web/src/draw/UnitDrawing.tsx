import { addressIn, holdsOf, type Box, type FamilyGroup } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { memo, useCallback, useMemo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Rect } from 'react-native-svg';
import { isLoose, type Contents } from '../api/contents';
import { colour, LIP } from '../theme/tokens';
import { marked } from '../ui/marked';
import { FreeLength } from './FreeLength';
import { boxesOf, unitSize } from './geometry';
import { SlotCells, SlotHits } from './SlotCells';

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
  /** Only cells that can be seen through this window are drawn; px from the drawing's top left corner. */
  readonly within?: Box | undefined;
  /** So many cells only: what has many is drawn in stretches where it must not hold up a frame. */
  readonly upTo?: number;
  /** Without it the drawing is only looked at. */
  readonly onSelect?: ((slot: number) => void) | undefined;
}

/** So many cells are drawn and changed together; a change elsewhere leaves them as they are. */
export const STRETCH = 24;

/** A unit drawn to scale, full of colour: real swatches in its cells or in its heap, open cells dotted. */
export const UnitDrawing = memo(function UnitDrawing({
  unit,
  slots,
  scale,
  lit,
  held,
  selected = null,
  asBuilt = false,
  within,
  upTo = Infinity,
  onSelect,
}: UnitDrawingProps) {
  const size = unitSize(unit, asBuilt);
  const px = useCallback(
    ({ x, y, w, h }: Box): Box => ({ x: x * scale, y: y * scale, w: w * scale, h: h * scale }),
    [scale],
  );
  const boxes = useMemo(() => boxesOf(unit, slots, asBuilt).map(px), [unit, slots, asBuilt, px]);
  const firsts = useMemo(() => firstOfFamily(slots), [slots]);
  const width = size.w * scale;
  const height = size.h * scale;
  const chosen = selected === null ? undefined : boxes[selected];
  const loose = isLoose(unit);
  const cells = Math.min(upTo, boxes.length);
  const stretches = Array.from({ length: Math.ceil(cells / STRETCH) }, (_, i) => {
    const [from, to] = [i * STRETCH, Math.min((i + 1) * STRETCH, cells)];
    const ifHere = (index: number | null): number | null =>
      index !== null && from <= index && index < to ? index : null;
    return { unit, slots, boxes, from, to, selected: ifHere(selected), tab: ifHere(selected ?? 0) };
  });
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
          {stretches.map(({ tab: _, ...stretch }) => (
            <SlotCells
              key={stretch.from}
              {...stretch}
              within={within}
              lit={lit}
              held={held}
              firsts={firsts}
            />
          ))}
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
        stretches.map((stretch) => (
          <SlotHits key={stretch.from} {...stretch} wall={wallOf(unit) * scale} onSelect={onSelect} />
        ))}
    </View>
  );
});

const wallOf = ({ model }: UnitView): number => (model?.model === 'grid' ? model.wallUm : 0);

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

const styles = StyleSheet.create({ hit: { position: 'absolute' } });
