import { FAMILY_GROUP_INFO } from '@red-shelf/core';
import { FlashList } from '@shopify/flash-list';
import { router, useLocalSearchParams } from 'expo-router';
import { useCallback, useEffect, useMemo, useRef, useState, type ComponentType } from 'react';
import { ScrollView, StyleSheet, View, type TextInput } from 'react-native';
import { usePreferences, useStash } from '../api/queries';
import { many, thousands, words } from '../copy/words';
import { Waiting } from '../ui/Waiting';
import { useWhere, type Where } from '../api/where';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { KindChips } from '../ui/KindChips';
import { Note } from '../ui/Note';
import { PageHead } from '../ui/Page';
import { SearchField } from '../ui/SearchField';
import { Txt } from '../ui/Txt';
import { useGradually } from '../ui/useGradually';
import { useKeys } from '../ui/useKeys';
import { useRested } from '../ui/useRested';
import { useWide } from '../ui/useWide';
import { useFound } from '../api/useFound';
import type { BatchBarProps } from './BatchBar';
import { FilterBar, FiltersInUse } from './FilterBar';
import { FirstSteps } from '../ui/FirstSteps';
import { filterCount, filtersOf, paramsOf, passes, type Filters } from './filters';
import { familyRows, foundRows, type StashRow } from './rows';
import { inRainbow } from '../api/inRainbow';
import { StashMenu } from './StashMenu';
import { useInSeason } from './useInSeason';
import { SupplyRow } from '../row/SupplyRow';
import { SwatchTile } from './SwatchWall';

const TILES_PHONE = 4;
const TILES_WIDE = 8;
const ADDRESS_AFTER_MS = 500;
/** How far beyond what is seen rows are drawn, px: less while the first are still being drawn. */
const AHEAD_PX = 500;
const AHEAD_AT_FIRST_PX = 40;

/** What shows one supply in full, beside the list or over it. */
interface OneProps {
  readonly id: string;
  readonly where: Where;
  readonly onClose: () => void;
}

interface StashScreenProps {
  readonly one: ComponentType<OneProps>;
  /** What is done to many that were picked. */
  readonly batch: ComponentType<BatchBarProps>;
}

/** Every supply in rainbow order, or what a search found; the chosen one beside the list, or over it on a phone. */
export function StashScreen({ one: One, batch: Batch }: StashScreenProps) {
  const { stash, error } = useStash();
  const { preferences } = usePreferences();
  const wide = useWide();
  const params = useLocalSearchParams<Record<string, string>>();
  const chosen = params.supply;
  const tiles = params.view === 'swatches';
  const filters = useMemo(() => filtersOf(params), [params]);
  const [query, setQuery] = useState(filters.query);
  const [folded, setFolded] = useState({ filters: true, menu: true });
  const [picked, setPicked] = useState<ReadonlySet<string> | null>(null);
  const field = useRef<TextInput>(null);
  const ordered = useMemo(
    // What was let go is history, and is there only where it is asked for.
    () =>
      stash && {
        ...stash,
        supplies: inRainbow(filters.status === 'gone' ? stash.all : stash.supplies, preferences),
      },
    [stash, preferences, filters.status],
  );
  const where = useWhere(stash);
  const found = useFound(ordered, query);
  const passing = useMemo(
    () => (found ?? ordered?.supplies ?? []).filter((supply) => passes(supply, filters, where)),
    [found, ordered, filters, where],
  );
  const { shown, hidden } = useInSeason(passing, found !== undefined);
  const rows = useMemo(
    () => (found || tiles ? foundRows(shown) : familyRows(shown, where, preferences)),
    [found, shown, tiles, where, preferences],
  );
  const narrow = (next: Filters) => router.setParams(paramsOf({ ...next, query }));
  // The address follows when the typing pauses: it need not be rewritten for every key.
  useEffect(() => {
    if (query === filters.query) return undefined;
    const timer = setTimeout(() => router.setParams({ q: query }), ADDRESS_AFTER_MS);
    return () => clearTimeout(timer);
  }, [query, filters.query]);
  const open = useCallback((id: string) => router.setParams({ supply: id, act: '' }), []);
  const pick = useCallback(
    (id: string) =>
      setPicked((before) => {
        const next = new Set(before);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    [],
  );
  // First the field, then what narrows the list, then the list: each stands while the next is drawn.
  const drawn = useGradually(stash ? 2 : 1);
  const rested = useRested();
  const close = useCallback(() => router.setParams({ supply: '', act: '' }), []);
  useKeys({ '/': () => field.current?.focus(), ...(chosen ? { Escape: close } : {}) });
  const panel = chosen ? <One key={chosen} id={chosen} where={where} onClose={close} /> : null;
  if (panel && !wide) return panel;
  const on = filterCount(filters);
  const press = picked ? pick : open;
  const isOn = (id: string): boolean => (picked ? picked.has(id) : id === chosen);
  const total = ordered?.supplies.length ?? 0;
  return (
    <View style={styles.split}>
      <View style={styles.list}>
        <View style={styles.top}>
          <PageHead
            title="Stash"
            {...(stash && {
              aside:
                shown.length === total
                  ? many(total, 'supply', 'supplies')
                  : `${thousands(shown.length)} of ${many(total, 'supply', 'supplies')}`,
            })}
          />
          <SearchField ref={field} value={query} onChange={setQuery} />
          {drawn > 0 && (
            <>
              <KindChips value={filters.kind} onChange={(kind) => narrow({ ...filters, kind })} />
              <ScrollView
                horizontal
                showsHorizontalScrollIndicator={false}
                contentContainerStyle={styles.kinds}
              >
                <Button label="Do I own it?" main onPress={() => router.push('/stash/own')} />
                <Button
                  label={on > 0 ? `Filters (${on})` : 'Filters'}
                  onPress={() => setFolded({ menu: true, filters: !folded.filters })}
                />
                <Button
                  label={tiles ? 'List' : 'Swatches'}
                  onPress={() => router.setParams({ view: tiles ? '' : 'swatches' })}
                />
                <Button label="More" onPress={() => setFolded({ filters: true, menu: !folded.menu })} />
              </ScrollView>
            </>
          )}
          <FiltersInUse filters={filters} onChange={narrow} />
          {stash && !folded.filters && (
            <FilterBar filters={filters} supplies={stash.supplies} onChange={narrow} />
          )}
          {stash && !folded.menu && (
            <StashMenu
              stash={stash}
              kind={filters.kind}
              onChooseMany={() => {
                setPicked(new Set());
                setFolded({ filters: true, menu: true });
              }}
            />
          )}
          {hidden > 0 && (
            <Txt look="quiet">
              {many(hidden, 'thing')} out of season, not shown; a search finds them. More, Worth a look
              changes that.
            </Txt>
          )}
          {/* What does not need the stash stands at once. */}
          {!stash && <Waiting error={error} />}
          {stash && shown.length === 0 && (
            <Note>{stash.supplies.length === 0 ? words.emptyStash : words.nothingFound}</Note>
          )}
          {stash?.supplies.length === 0 && <FirstSteps />}
        </View>
        <View style={styles.rows}>
          {drawn > 1 && (
            <FlashList
              key={tiles ? 'tiles' : 'rows'}
              data={rows}
              numColumns={tiles ? (wide ? TILES_WIDE : TILES_PHONE) : 1}
              keyExtractor={(row) => (row.sort === 'family' ? row.group : row.supply.id)}
              getItemType={(row) => row.sort}
              renderItem={({ item }) =>
                item.sort === 'family' ? (
                  <FamilyHead row={item} />
                ) : tiles ? (
                  <SwatchTile supply={item.supply} selected={isOn(item.supply.id)} onPress={press} />
                ) : (
                  <SupplyRow
                    supply={item.supply}
                    address={where(item.supply)}
                    selected={isOn(item.supply.id)}
                    picking={picked !== null}
                    onPress={press}
                  />
                )
              }
              extraData={[chosen, picked, where]}
              contentContainerStyle={styles.foot}
              drawDistance={rested ? AHEAD_PX : AHEAD_AT_FIRST_PX}
            />
          )}
        </View>
        {picked ? (
          <Batch
            chosen={[...picked].flatMap((id) => stash?.byId.get(id) ?? [])}
            onAll={() => setPicked(new Set(shown.map(({ id }) => id)))}
            onDone={() => setPicked(null)}
          />
        ) : (
          <View style={styles.add}>
            <Button label="Add" icon="plus" main onPress={() => router.push('/stash/add')} />
          </View>
        )}
      </View>
      {panel && <View style={styles.pane}>{panel}</View>}
    </View>
  );
}

function FamilyHead({ row }: { readonly row: Extract<StashRow, { sort: 'family' }> }) {
  const { name, hex } = FAMILY_GROUP_INFO[row.group];
  const facts = [
    String(row.count),
    row.low > 0 && `${row.low} low or out`,
    row.unplaced > 0 && `${row.unplaced} unplaced`,
  ];
  return (
    <View style={styles.family}>
      <View style={[styles.dot, { backgroundColor: hex }]} />
      <Txt look="strong" level={2} style={styles.familyName}>
        {name}
      </Txt>
      <Txt look="quiet">{facts.filter(Boolean).join(' · ')}</Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  split: { flex: 1, flexDirection: 'row', minHeight: 0 },
  list: { flex: 1, minWidth: 0, backgroundColor: colour.ground },
  top: { padding: space.m, paddingTop: 14, paddingBottom: space.s, gap: 10 },
  kinds: { gap: space.s },
  rows: { flex: 1, minHeight: 0 },
  foot: { paddingBottom: 84 },
  family: {
    height: 36,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s + 2,
    paddingHorizontal: space.m,
    backgroundColor: colour.ground,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
  },
  dot: { width: 14, height: 14, borderRadius: radius.s - 1 },
  familyName: { flex: 1, fontSize: 14.5 },
  add: { position: 'absolute', right: space.m, bottom: space.m },
  pane: { width: 380, borderLeftWidth: 1, borderLeftColor: colour.hairline },
});
