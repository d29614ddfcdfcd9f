import type { Standing } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { memo, useCallback } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { countIn, type Contents } from '../../api/contents';
import { unitTitle } from '../../copy/supply';
import { many } from '../../copy/words';
import { unitSize } from '../../draw/geometry';
import type { SlotChoice } from '../../draw/UnitBlock';
import { UnitDrawing } from '../../draw/UnitDrawing';
import { colour, LIP } from '../../theme/tokens';
import { UnitColours } from './UnitColours';
import { UM_A_PX } from './useZoom';

interface RoomUnitProps {
  readonly standing: Standing<UnitView>;
  readonly slots: Contents;
  /** So many of its cells are drawn as from near by now; from afar, none. */
  readonly upTo: number;
  /** What lies in it flat is drawn as pulled out, seen from above. */
  readonly out: boolean;
  readonly lit: ReadonlySet<string> | undefined;
  readonly selected: number | null;
  readonly onSelect: (choice: SlotChoice) => void;
  readonly onGo: (standing: Standing<UnitView>) => void;
}

/** Below this many px of the world a drawer's handle would only be a speck. */
const HANDLE = { w: 60, h: 5 };

/** How many cells of a unit are drawn from near: even an empty one is, as one. */
export const cellsDrawn = (slots: Contents): number => Math.max(1, slots.length);

/** A unit in the room: its colours from afar, its things from near; what lies flat is pulled out towards one. */
export const RoomUnit = memo(function RoomUnit({
  standing,
  slots,
  upTo,
  out,
  lit,
  selected,
  onSelect,
  onGo,
}: RoomUnitProps) {
  const { unit, box } = standing;
  const [x, y, w, h] = [box.x, box.y, box.w, box.h].map((um) => um / UM_A_PX) as [
    number,
    number,
    number,
    number,
  ];
  const select = useCallback((slot: number) => onSelect({ unitId: unit.id, slot }), [onSelect, unit.id]);
  const flat = unit.facts.lies === true && unit.model?.model === 'grid';
  const things = upTo > 0 && !flat;
  // What comes near is drawn unseen, bit by bit, and then takes the place of its colours.
  const there = things && upTo >= cellsDrawn(slots);
  const natural = unitSize(unit, true);
  const drawn = { lit, selected, onSelect: select, unit, slots };
  return (
    <View style={[styles.unit, { left: x, top: y, width: w, height: h }, out && styles.front]}>
      {things && (
        // Where an outside was measured, what is inside stands at its foot.
        <View
          style={[styles.foot, { left: Math.max(0, (w - natural.w / UM_A_PX) / 2) }, !there && styles.coming]}
        >
          <UnitDrawing {...drawn} scale={1 / UM_A_PX} asBuilt upTo={upTo} />
        </View>
      )}
      {!there && (
        <View aria-hidden>
          <UnitColours unit={unit} slots={slots} w={w} h={h} lit={lit} />
        </View>
      )}
      {unit.facts.opens === 'pulled out' && w > HANDLE.w * 2 && (
        <View style={[styles.handle, { left: (w - HANDLE.w) / 2 }]} />
      )}
      {!there && (
        <Pressable
          role="button"
          aria-label={`Go to ${unitTitle(unit)}, ${many(countIn(slots), 'thing')}`}
          onPress={() => onGo(standing)}
          style={styles.whole}
        />
      )}
      {out && flat && (
        <View style={[styles.pulled, { top: h }]}>
          <UnitDrawing {...drawn} scale={1 / UM_A_PX} />
        </View>
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  unit: { position: 'absolute' },
  front: { zIndex: 3 },
  foot: { position: 'absolute', bottom: 0 },
  coming: { ...({ visibility: 'hidden' } as object) },
  whole: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0 },
  handle: {
    position: 'absolute',
    top: 4,
    width: HANDLE.w,
    height: HANDLE.h,
    borderRadius: 2,
    backgroundColor: colour.quiet,
    opacity: 0.7,
  },
  pulled: {
    position: 'absolute',
    left: 0,
    borderTopWidth: LIP,
    borderTopColor: colour.lip,
    boxShadow: `0 6px 18px ${colour.shade}`,
  },
});
