import { roomIn } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { memo, useCallback } from 'react';
import { StyleSheet, View } from 'react-native';
import { countIn, freeIn, isLoose, type Contents } from '../api/contents';
import { usePreferences } from '../api/queries';
import { sayFree } from '../copy/places';
import { many } from '../copy/words';
import { colour, radius, space } from '../theme/tokens';
import { Txt } from '../ui/Txt';
import { WhenNear } from '../ui/WhenNear';
import { unitSize } from './geometry';
import { UnitDrawing } from './UnitDrawing';

export interface SlotChoice {
  readonly unitId: string;
  readonly slot: number;
}

interface UnitBlockProps {
  readonly unit: UnitView;
  readonly slots: Contents;
  readonly scale: number;
  readonly lit: ReadonlySet<string> | undefined;
  readonly selected: number | null;
  readonly onSelect: (choice: SlotChoice) => void;
  /** Drawn wherever it is; else only where one is near it. */
  readonly always: boolean;
}

/** So far off the screen a unit is drawn already, px: a few screens, so that nobody who scrolls meets an empty one. */
const AHEAD_PX = 3000;

/** A unit with its letter, its name and how full it is; of many only those near are drawn, and what something is chosen in. */
export const UnitBlock = memo(function UnitBlock({
  unit,
  slots,
  scale,
  lit,
  selected,
  onSelect,
  always,
}: UnitBlockProps) {
  const sayFilled = useSayFilled();
  const { w, h } = unitSize(unit);
  const select = useCallback((slot: number) => onSelect({ unitId: unit.id, slot }), [onSelect, unit.id]);
  return (
    <View style={styles.block}>
      <UnitHead unit={unit} aside={sayFilled(unit, slots)} />
      <WhenNear width={w * scale} height={h * scale} ahead={AHEAD_PX} always={always || selected !== null}>
        {() => <UnitDrawing {...{ unit, slots, scale, lit, selected }} onSelect={select} />}
      </WhenNear>
    </View>
  );
});

/** Says how full a unit is: "12 of 60", where 60 may be; "14 things · 12 cm free" where they share a length. */
export function useSayFilled(): (unit: UnitView, slots: Contents) => string {
  const { units } = usePreferences().preferences;
  return (unit, slots) => {
    if (!isLoose(unit)) return `${countIn(slots)} of ${Math.max(countIn(slots), roomIn(unit) ?? 0)}`;
    const free = freeIn(unit, slots);
    return [many(countIn(slots), 'thing'), free && sayFree(free, units)].filter(Boolean).join(' · ');
  };
}

/** The label-tape letter and name of a unit. */
export function UnitHead({ unit, aside }: { readonly unit: UnitView; readonly aside: string }) {
  return (
    <View style={styles.head}>
      <View style={styles.letter}>
        <Txt look="label" style={styles.letterText}>
          {unit.label}
        </Txt>
      </View>
      <Txt look="strong" level={2} style={styles.name} lines={1}>
        {unit.name}
      </Txt>
      <Txt look="quiet">{aside}</Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 6 },
  head: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  letter: {
    minWidth: 18,
    height: 18,
    borderRadius: radius.s / 2,
    backgroundColor: colour.action,
    alignItems: 'center',
    justifyContent: 'center',
  },
  letterText: { color: colour.onAction, fontSize: 13 },
  name: { flex: 1 },
});
