import type { ArrangePreview, UnitView } from '@red-shelf/contract';
import { FAMILY_GROUP_INFO, STRETCHES, holdsOf } from '@red-shelf/core';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { mainOf, type Contents } from '../api/contents';
import type { Stash } from '../api/queries';
import { wallScale } from '../draw/geometry';
import { UnitHead, useSayFilled } from '../draw/UnitBlock';
import { UnitDrawing } from '../draw/UnitDrawing';
import { colour, space } from '../theme/tokens';
import { Txt } from '../ui/Txt';
import { useWide } from '../ui/useWide';
import { Strip } from './Strip';

/** The tick of a slot that is kept for a group: its own colour where the groups are families. */
function tickFor(group: string): string {
  const family = STRETCHES.find((each) => each === group);
  return family ? FAMILY_GROUP_INFO[family].hex : colour.quiet;
}

/** Slots one after another as they are filled, not as they are numbered. */
const inTurn = (side: ArrangePreview['before'], units: readonly UnitView[]): (string | null)[] =>
  units.flatMap(({ id, model }) => {
    const { slots } = side.units.find(({ unitId }) => unitId === id) ?? { slots: [] };
    if (!model || holdsOf(model).shares) return slots;
    return holdsOf(model).order.map((cell) => slots[cell] ?? null);
  });

/** What stands in a unit, as drawings take it. */
export function contentsOf(slots: readonly (string | null)[], stash: Stash): Contents {
  return slots.map((id) => {
    const supply = id ? stash.byId.get(id) : undefined;
    const lot = supply && mainOf(supply);
    return supply && lot ? { supply, lot } : null;
  });
}

interface SidesProps {
  readonly plan: ArrangePreview;
  readonly stash: Stash;
}

/** How it stands now and how it is planned: the strip of all of it, and each place drawn. */
export function Sides({ plan, stash }: SidesProps) {
  const wide = useWide();
  const sayFilled = useSayFilled();
  const [width, setWidth] = useState(0);
  const ids = plan.after.units.map(({ unitId }) => unitId);
  const units = stash.wall.units.filter(({ id }) => ids.includes(id));
  const held = useMemo(() => {
    const byUnit = new Map<string, Map<number, string>>();
    for (const { unitId, slot, group } of plan.held)
      byUnit.set(unitId, (byUnit.get(unitId) ?? new Map<number, string>()).set(slot, tickFor(group)));
    return byUnit;
  }, [plan.held]);
  const each = wide ? Math.floor((width - space.l) / 2) : width;
  const scale = wallScale(units, each);
  const draw = (side: ArrangePreview['before'], title: string, withHeld: boolean) => (
    <View style={[styles.side, { width: each }]}>
      <Txt look="strong" level={2}>
        {title}
      </Txt>
      <Strip
        slots={inTurn(side, units)}
        figures={side.figures}
        by={plan.by}
        byId={stash.byId}
        label={title}
      />
      {units.map((unit) => {
        const slots = contentsOf(side.units.find(({ unitId }) => unitId === unit.id)?.slots ?? [], stash);
        return (
          <View key={unit.id} style={styles.unit}>
            <UnitHead unit={unit} aside={sayFilled(unit, slots)} />
            <UnitDrawing
              unit={unit}
              slots={slots}
              scale={Math.min(scale, each / Math.max(1000, holdsOfWidth(unit)))}
              held={withHeld ? held.get(unit.id) : undefined}
            />
          </View>
        );
      })}
    </View>
  );
  return (
    <View
      style={[styles.sides, wide && styles.beside]}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {width > 0 && (
        <>
          {draw(plan.before, 'Now', false)}
          {draw(plan.after, 'Planned', true)}
        </>
      )}
    </View>
  );
}

const holdsOfWidth = ({ model }: UnitView): number => (model ? holdsOf(model).outside(false).w : 0);

const styles = StyleSheet.create({
  sides: { gap: space.l },
  beside: { flexDirection: 'row' },
  side: { gap: space.s },
  unit: { gap: 6 },
});
