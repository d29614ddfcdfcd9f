import type { ArrangePreview, UnitView } from '@red-shelf/contract';
import { FAMILY_GROUP_INFO, STRETCHES, holdsOf } from '@red-shelf/core';
import { memo, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { mainOf, type Contents } from '../api/contents';
import type { Stash } from '../api/queries';
import { unitSize, wallScale } from '../draw/geometry';
import { UnitHead, useSayFilled } from '../draw/UnitBlock';
import { UnitDrawing } from '../draw/UnitDrawing';
import { colour, space } from '../theme/tokens';
import { Txt } from '../ui/Txt';
import { useGradually } from '../ui/useGradually';
import { useWide } from '../ui/useWide';
import { WhenNear } from '../ui/WhenNear';
import { Strip } from './Strip';

/** The tick of a slot that is kept for a group: its own colour where the groups are families. */
function tickFor(group: string): string {
  const family = STRETCHES.find((each) => each === group);
  return family ? FAMILY_GROUP_INFO[family].hex : colour.quiet;
}

/** Slots one after another as they are filled, not as they are numbered. */
function inTurn(side: ArrangePreview['before'], units: readonly UnitView[]): (string | null)[] {
  const bySide = new Map(side.units.map(({ unitId, slots }) => [unitId, slots]));
  return units.flatMap(({ id, model }) => {
    const slots = bySide.get(id) ?? [];
    if (!model || holdsOf(model).shares) return slots;
    return holdsOf(model).order.map((cell) => slots[cell] ?? null);
  });
}

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

/** So many places of each come to the page at a time. */
const TOGETHER = 8;

/** How it stands now and how it is planned: the strip of all of it, and each place drawn. */
export const Sides = memo(function Sides({ plan, stash }: SidesProps) {
  const wide = useWide();
  const [width, setWidth] = useState(0);
  const units = useMemo(() => {
    const ids = new Set(plan.after.units.map(({ unitId }) => unitId));
    return stash.wall.units.filter(({ id }) => ids.has(id));
  }, [plan, stash]);
  const each = wide ? Math.floor((width - space.l) / 2) : width;
  const shown = TOGETHER * useGradually(Math.ceil(units.length / TOGETHER));
  const shared = { plan, stash, units, width: each };
  return (
    <View
      style={[styles.sides, wide && styles.beside]}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {width > 0 && (
        <>
          <Side {...shared} side={plan.before} title="Now" shown={shown} />
          <Side {...shared} side={plan.after} title="Planned" shown={shown} withHeld />
        </>
      )}
    </View>
  );
});

interface SideProps extends SidesProps {
  readonly side: ArrangePreview['before'];
  readonly title: string;
  readonly units: readonly UnitView[];
  /** How many of them are drawn by now. */
  readonly shown: number;
  readonly width: number;
  readonly withHeld?: boolean;
}

/** One of the two: a strip of all colours, and the places below it. */
function Side({ plan, side, title, stash, units, shown, width, withHeld = false }: SideProps) {
  const held = useMemo(() => {
    const byUnit = new Map<string, Map<number, string>>();
    for (const { unitId, slot, group } of withHeld ? plan.held : [])
      byUnit.set(unitId, (byUnit.get(unitId) ?? new Map<number, string>()).set(slot, tickFor(group)));
    return byUnit;
  }, [plan, withHeld]);
  const slots = useMemo(
    () => new Map(side.units.map((each) => [each.unitId, contentsOf(each.slots, stash)])),
    [side, stash],
  );
  const row = useMemo(() => inTurn(side, units), [side, units]);
  const scale = wallScale(units, width);
  const sayFilled = useSayFilled();
  return (
    <View style={[styles.side, { width }]}>
      <Txt look="strong" level={2}>
        {title}
      </Txt>
      <Strip slots={row} figures={side.figures} by={plan.by} byId={stash.byId} label={title} />
      {units.slice(0, shown).map((unit) => {
        const { w, h } = unitSize(unit);
        const each = Math.min(scale, width / Math.max(1000, w));
        return (
          <WhenNear key={unit.id} width={width} height={h * each + HEAD_PX}>
            {() => (
              <SideUnit
                unit={unit}
                slots={slots.get(unit.id) ?? NOTHING}
                scale={each}
                sayFilled={sayFilled}
                held={held.get(unit.id)}
              />
            )}
          </WhenNear>
        );
      })}
    </View>
  );
}

const NOTHING: Contents = [];
/** What a head takes above its drawing, px. */
const HEAD_PX = 30;

interface SideUnitProps {
  readonly unit: UnitView;
  readonly slots: Contents;
  readonly scale: number;
  readonly sayFilled: ReturnType<typeof useSayFilled>;
  readonly held: ReadonlyMap<number, string> | undefined;
}

function SideUnit({ unit, slots, scale, sayFilled, held }: SideUnitProps) {
  return (
    <View style={styles.unit}>
      <UnitHead unit={unit} aside={sayFilled(unit, slots)} />
      <UnitDrawing unit={unit} slots={slots} scale={scale} held={held} />
    </View>
  );
}

const styles = StyleSheet.create({
  sides: { gap: space.l },
  beside: { flexDirection: 'row' },
  side: { gap: space.s },
  unit: { gap: 6 },
});
