import type { ArrangePreview, UnitView } from '@red-shelf/contract';
import { FAMILY_GROUP_INFO, STRETCHES, holdsOf } from '@red-shelf/core';
import { useMemo, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { mainOf } from '../api/contents';
import type { Stash } from '../api/queries';
import { sayLeftOver } from '../copy/reasons';
import { many } from '../copy/words';
import { colour, radius, space } from '../theme/tokens';
import { Note } from '../ui/Note';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { useWide } from '../ui/useWide';
import { wallScale } from '../draw/geometry';
import { UnitHead, useSayFilled } from '../draw/UnitBlock';
import { UnitDrawing } from '../draw/UnitDrawing';
import { Strip } from './Strip';
import { breaksOf, sayVerdict } from './verdict';
import { WouldSuffer } from './WouldSuffer';

interface PreviewProps {
  readonly plan: ArrangePreview;
  readonly stash: Stash;
  /** The act, standing right under the verdict. */
  readonly children: ReactNode;
}

/** Left-over things that are listed by name. */
const LISTED = 30;

/** Before and after side by side, with the figures that tell them apart. */
export function Preview({ plan, stash, children }: PreviewProps) {
  const verdict = sayVerdict(plan);
  const { before, after, leftOver } = plan;
  const step = (mean: number | null) => (mean === null ? '–' : mean.toFixed(1));
  return (
    <View style={styles.box}>
      <View style={styles.figures}>
        <Figure label="placed" now={String(before.figures.placed)} then={String(after.figures.placed)} />
        <Figure
          label={breaksOf(plan.by)}
          now={String(before.figures.breaks)}
          then={String(after.figures.breaks)}
        />
        <Figure
          label="mean colour step"
          now={step(before.figures.meanStep)}
          then={step(after.figures.meanStep)}
        />
        <Figure
          label="empty slots"
          now={String(before.figures.emptySlots)}
          then={String(after.figures.emptySlots)}
        />
      </View>
      <Note>
        <Txt>
          <Txt look="strong">{verdict.head}</Txt> {verdict.body}
        </Txt>
      </Note>
      <WouldSuffer plan={plan} stash={stash} />
      {children}
      <Sides plan={plan} stash={stash} />
      {leftOver.length > 0 && (
        <View style={styles.left}>
          <Txt look="strong" level={2}>
            {`Left over: ${leftOver.length}`}
          </Txt>
          {leftOver.slice(0, LISTED).map(({ supplyId, reason }) => {
            const supply = stash.byId.get(supplyId);
            return supply ? (
              <View key={supplyId} style={styles.leftRow}>
                <Swatch hex={supply.hex} group={supply.group} size={32} />
                <View style={styles.words}>
                  <Txt look="strong">{supply.name}</Txt>
                  <Txt look="quiet">{sayLeftOver(reason)}</Txt>
                </View>
              </View>
            ) : null;
          })}
          {leftOver.length > LISTED && <Txt look="quiet">and {many(leftOver.length - LISTED, 'other')}</Txt>}
        </View>
      )}
    </View>
  );
}

function Figure({
  label,
  now,
  then,
}: {
  readonly label: string;
  readonly now: string;
  readonly then: string;
}) {
  return (
    <View style={styles.figure}>
      <Txt look="number" style={styles.number}>
        {then}
      </Txt>
      <Txt look="quiet">{label}</Txt>
      <Txt look="quiet">{now === then ? 'as now' : `now ${now}`}</Txt>
    </View>
  );
}

/** The tick of a slot that is kept for a group: its own colour where the groups are families. */
function tickFor(group: string): string {
  const family = STRETCHES.find((each) => each === group);
  return family ? FAMILY_GROUP_INFO[family].hex : colour.quiet;
}

/** Slots one after another as they are filled, not as they are numbered. */
const inTurn = (side: ArrangePreview['before'], units: readonly UnitView[]): (string | null)[] =>
  units.flatMap(({ id, model }) => {
    const { slots } = side.units.find(({ unitId }) => unitId === id) ?? { slots: [] };
    return (model ? holdsOf(model).order : []).map((cell) => slots[cell] ?? null);
  });

function Sides({ plan, stash }: Omit<PreviewProps, 'children'>) {
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
        const slots = (side.units.find(({ unitId }) => unitId === unit.id)?.slots ?? []).map((id) => {
          const supply = id ? stash.byId.get(id) : undefined;
          const lot = supply && mainOf(supply);
          return supply && lot ? { supply, lot } : null;
        });
        return (
          <View key={unit.id} style={styles.unit}>
            <UnitHead unit={unit} aside={sayFilled(unit, slots)} />
            <UnitDrawing
              unit={unit}
              slots={slots}
              scale={scale}
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

const styles = StyleSheet.create({
  box: { gap: space.m },
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  figure: {
    flexGrow: 1,
    flexBasis: 78,
    padding: space.s + 1,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
  },
  number: { fontSize: 22 },
  sides: { gap: space.l },
  beside: { flexDirection: 'row' },
  side: { gap: space.s },
  unit: { gap: 6 },
  left: { gap: space.s },
  leftRow: { flexDirection: 'row', gap: space.s + 2, alignItems: 'center' },
  words: { flex: 1 },
});
