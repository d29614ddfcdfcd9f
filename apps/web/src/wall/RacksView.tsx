import type { UnitView } from '@red-shelf/contract';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Contents } from '../api/contents';
import { intoColumns, unitSize, wallScale } from '../draw/geometry';
import { UnitBlock, type SlotChoice } from '../draw/UnitBlock';
import { space } from '../theme/tokens';
import { useWide } from '../ui/useWide';

/** Height of a unit's head, px. */
const HEAD_PX = 30;

/** So many racks are all drawn, wherever one is: a whole room can be read and searched through. Of more, those near. */
const ALL_DRAWN = 40;

interface RacksViewProps {
  readonly units: readonly UnitView[];
  /** How many of them are drawn by now. */
  readonly shown: number;
  readonly slots: ReadonlyMap<string, Contents>;
  readonly lit: ReadonlySet<string> | undefined;
  readonly choice: SlotChoice | null;
  readonly onChoose: (choice: SlotChoice) => void;
}

/** Rack by rack in the person's order, to one scale, each as large as the page allows: the room's twin to read. */
export function RacksView({ units, shown, slots, lit, choice, onChoose }: RacksViewProps) {
  const wide = useWide();
  const [width, setWidth] = useState(0);
  const drawn = useMemo(() => new Set(units.slice(0, shown).map(({ id }) => id)), [units, shown]);
  const columns = wide ? 2 : 1;
  const columnWidth = Math.floor((width - (columns - 1) * space.l) / columns);
  const scale = wallScale(units, columnWidth);
  return (
    <View style={styles.columns} onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      {width > 0 &&
        intoColumns(units, columns, HEAD_PX / scale).map((column, c) => (
          <View key={c} style={[styles.column, { width: columnWidth }]}>
            {column.map((each) =>
              drawn.has(each.id) ? (
                <UnitBlock
                  key={each.id}
                  unit={each}
                  slots={slots.get(each.id) ?? []}
                  scale={Math.min(scale, columnWidth / unitSize(each).w)}
                  lit={lit}
                  selected={choice?.unitId === each.id ? choice.slot : null}
                  onSelect={onChoose}
                  always={units.length <= ALL_DRAWN}
                />
              ) : (
                <View key={each.id} style={{ height: unitSize(each).h * scale + HEAD_PX }} />
              ),
            )}
          </View>
        ))}
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.l },
  column: { gap: space.m + 4 },
});
