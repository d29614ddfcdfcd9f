import { router, useLocalSearchParams } from 'expo-router';
import { useCallback, useEffect, useMemo, useRef, useState, type ComponentType } from 'react';
import { ScrollView, StyleSheet, View, type TextInput } from 'react-native';
import { usePreferences, useStash } from '../api/queries';
import { many, thousands, words } from '../copy/words';
import { Waiting } from '../ui/Waiting';
import { useWhere, type Where } from '../api/where';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { KindChips } from '../ui/KindChips';
import { Note } from '../ui/Note';
import { PageHead } from '../ui/Page';
import { SearchField } from '../ui/SearchField';
import { Txt } from '../ui/Txt';
import { useGradually } from '../ui/useGradually';
import { useKeys } from '../ui/useKeys';
import { useWide } from '../ui/useWide';
import { useFound } from '../api/useFound';
import type { BatchBarProps } from './BatchBar';
import { FilterBar, FiltersInUse } from './FilterBar';
import { FirstSteps } from '../ui/FirstSteps';
import { filterCount, filtersOf, paramsOf, passes, type Filters } from './filters';
import { familyRows, foundRows } from './rows';
import { StashRows } from './StashRows';
import { inRainbow } from '../api/inRainbow';
import { StashMenu } from './StashMenu';
import { useInSeason } from './useInSeason';

const ADDRESS_AFTER_MS = 500;
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
  const { stash: whole, error } = useStash();
  // First the field, then what narrows the list, then the list: each stands while the next is drawn.
  const drawn = useGradually(whole ? 2 : 1);
  const stash = drawn > 0 ? whole : undefined;
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
    // The list has a turn of its own, after what it is made of.
    () => (drawn < 2 ? [] : found || tiles ? foundRows(shown) : familyRows(shown, where, preferences)),
    [drawn, found, shown, tiles, where, preferences],
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
  const close = useCallback(() => router.setParams({ supply: '', act: '' }), []);
  useKeys({ '/': () => field.current?.focus(), ...(chosen ? { Escape: close } : {}) });
  const panel = chosen ? <One key={chosen} id={chosen} where={where} onClose={close} /> : null;
  if (panel && !wide) return panel;
  const on = filterCount(filters);
  const press = picked ? pick : open;
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
          {!whole && <Waiting error={error} />}
          {stash && shown.length === 0 && (
            <Note>{stash.supplies.length === 0 ? words.emptyStash : words.nothingFound}</Note>
          )}
          {stash?.supplies.length === 0 && <FirstSteps />}
        </View>
        <View style={styles.rows}>
          {drawn > 1 && (
            <StashRows
              key={tiles ? 'tiles' : 'rows'}
              rows={rows}
              tiles={tiles}
              where={where}
              picked={picked}
              chosen={chosen}
              onPress={press}
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

const styles = StyleSheet.create({
  split: { flex: 1, flexDirection: 'row', minHeight: 0 },
  list: { flex: 1, minWidth: 0, backgroundColor: colour.ground },
  top: { padding: space.m, paddingTop: 14, paddingBottom: space.s, gap: 10 },
  kinds: { gap: space.s },
  rows: { flex: 1, minHeight: 0 },
  add: { position: 'absolute', right: space.m, bottom: space.m },
  pane: { width: 380, borderLeftWidth: 1, borderLeftColor: colour.hairline },
});
