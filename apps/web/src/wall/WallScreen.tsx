import { isOnWall } from '@red-shelf/core';
import { router } from 'expo-router';
import { useMemo, useRef, useState, type ComponentType } from 'react';
import { ScrollView, StyleSheet, View, type TextInput } from 'react-native';
import { countIn, hasPlace, isLoose, useContents } from '../api/contents';
import { useStash } from '../api/queries';
import { Waiting } from '../ui/Waiting';
import { many, words } from '../copy/words';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { PageHead } from '../ui/Page';
import { SearchField } from '../ui/SearchField';
import { FirstSteps } from '../ui/FirstSteps';
import { Txt } from '../ui/Txt';
import { useGradually } from '../ui/useGradually';
import { useKeys } from '../ui/useKeys';
import { useWide } from '../ui/useWide';
import { intoColumns, stepSlot, unitSize, wallScale } from '../draw/geometry';
import type { SlotChoice } from '../draw/UnitBlock';
import type { SlotPanelProps } from './SlotPanel';
import { UnitBlock } from '../draw/UnitBlock';
import { useFound } from '../api/useFound';

/** Height of a unit's head, px. */
const HEAD_PX = 30;

/** The room's units, to scale and full of colour. Search dims what does not match; a tap says what lives in a slot. */
export function WallScreen({ panel: Panel }: { readonly panel: ComponentType<SlotPanelProps> }) {
  const { stash: whole, error } = useStash();
  // First the field, then rack after rack.
  const stash = useGradually(1) > 0 ? whole : undefined;
  const wide = useWide();
  const [query, setQuery] = useState('');
  const [choice, setChoice] = useState<SlotChoice | null>(null);
  const [width, setWidth] = useState(0);
  const field = useRef<TextInput>(null);
  const slots = useContents(stash);
  const found = useFound(stash, query);
  const lit = useMemo(() => found && new Set(found.map(({ id }) => id)), [found]);
  const units = useMemo(() => (stash?.wall.units ?? []).filter(isOnWall), [stash]);
  const shown = useGradually(units.length);
  const drawn = useMemo(() => new Set(units.slice(0, shown).map(({ id }) => id)), [units, shown]);
  const unit = units.find(({ id }) => id === choice?.unitId);
  const step = (key: string) => () => {
    if (unit && choice)
      setChoice({ unitId: unit.id, slot: stepSlot(unit, slots.get(unit.id) ?? [], choice.slot, key) });
  };
  useKeys({
    '/': () => field.current?.focus(),
    ...(choice
      ? {
          ArrowLeft: step('ArrowLeft'),
          ArrowRight: step('ArrowRight'),
          ArrowUp: step('ArrowUp'),
          ArrowDown: step('ArrowDown'),
          Escape: () => setChoice(null),
        }
      : {}),
  });
  const racks = units.map((unit) => slots.get(unit.id) ?? []);
  const placed = racks.reduce((sum, each) => sum + countIn(each), 0);
  const open = units.reduce((sum, unit, i) => {
    const cells = racks[i] ?? [];
    return isLoose(unit) ? sum : sum + cells.length - countIn(cells);
  }, 0);
  const columns = wide ? 2 : 1;
  const columnWidth = Math.floor((width - (columns - 1) * space.l) / columns);
  const scale = wallScale(units, columnWidth);
  return (
    <View style={styles.split}>
      <ScrollView
        style={styles.page}
        contentContainerStyle={[styles.inside, choice && !wide && styles.underSheet]}
      >
        <PageHead
          title={stash?.wall.roomName ?? 'Wall'}
          {...(stash && { aside: `${many(units.length, 'rack')} · ${placed} in place · ${open} open` })}
        />
        <SearchField ref={field} value={query} onChange={setQuery} />
        {found && (
          <Txt look="quiet">
            {found.length === 0
              ? words.nothingFound
              : `${many(found.length, 'match', 'matches')}, ${found.filter(hasPlace).length} of them on the wall`}
          </Txt>
        )}
        {/* What does not need the stash stands at once. */}
        {!whole && <Waiting error={error} />}
        {stash && units.length === 0 && <Note>{words.emptyWall}</Note>}
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
                      scale={scale}
                      lit={lit}
                      selected={choice?.unitId === each.id ? choice.slot : null}
                      onSelect={setChoice}
                    />
                  ) : (
                    <View key={each.id} style={{ height: unitSize(each).h * scale + HEAD_PX }} />
                  ),
                )}
              </View>
            ))}
        </View>
        {shown === units.length && (
          <View style={styles.acts}>
            <Button label="Put up a rack" icon="plus" onPress={() => router.push('/rack')} />
            <Button label="All storage" onPress={() => router.push('/storage')} />
          </View>
        )}
        {stash?.supplies.length === 0 && <FirstSteps />}
      </ScrollView>
      {stash && choice && unit && (
        <Panel
          unit={unit}
          slots={slots.get(unit.id) ?? []}
          choice={choice}
          stash={stash}
          onChoose={setChoice}
          onClose={() => setChoice(null)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  split: { flex: 1, flexDirection: 'row', minHeight: 0 },
  page: { flex: 1, backgroundColor: colour.ground },
  inside: { padding: space.m, paddingTop: 14, gap: space.m, paddingBottom: space.l * 3 },
  /** Room to scroll the last rack clear of the sheet. */
  underSheet: { paddingBottom: 320 },
  columns: { flexDirection: 'row', gap: space.l },
  column: { gap: space.m + 4 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
