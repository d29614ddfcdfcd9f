import { FAMILY_GROUP_INFO, KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import { FlashList } from '@shopify/flash-list';
import { router, useLocalSearchParams } from 'expo-router';
import { useCallback, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View, type TextInput } from 'react-native';
import { useStash } from '../api/queries';
import { Waiting } from '../frame/Waiting';
import { addressOf } from '../copy/supply';
import { many, words } from '../copy/words';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Note } from '../ui/Note';
import { PageHead } from '../ui/Page';
import { SearchField } from '../ui/SearchField';
import { Txt } from '../ui/Txt';
import { useKeys } from '../ui/useKeys';
import { useWide } from '../ui/useWide';
import { useFound } from '../wall/useWall';
import { stashRows, type StashRow } from './rows';
import { SupplyPanel } from './SupplyPanel';
import { SupplyRow } from './SupplyRow';

/** Every supply, grouped by family; the chosen one beside the list, or over it on a phone. */
export function StashScreen() {
  const { stash, error } = useStash();
  const wide = useWide();
  const { supply: chosen } = useLocalSearchParams<{ supply?: string }>();
  const [query, setQuery] = useState('');
  const [kind, setKind] = useState<Kind | null>(null);
  const field = useRef<TextInput>(null);
  const found = useFound(stash, query);
  const rows = useMemo(() => stashRows(found ?? stash?.supplies ?? [], kind), [found, stash, kind]);
  const open = useCallback((id: string) => router.setParams({ supply: id, act: '' }), []);
  const close = useCallback(() => router.setParams({ supply: '', act: '' }), []);
  useKeys({ '/': () => field.current?.focus(), ...(chosen ? { Escape: close } : {}) });
  if (!stash) return <Waiting error={error} />;

  const panel = chosen ? (
    <SupplyPanel key={chosen} id={chosen} units={stash.wall.units} onClose={close} />
  ) : null;
  if (panel && !wide) return panel;
  const shown = rows.reduce((n, row) => n + (row.sort === 'supply' ? 1 : 0), 0);
  return (
    <View style={styles.split}>
      <View style={styles.list}>
        <View style={styles.top}>
          <PageHead title="Stash" aside={many(stash.supplies.length, 'supply', 'supplies')} />
          <SearchField ref={field} value={query} onChange={setQuery} />
          <ScrollView
            horizontal
            showsHorizontalScrollIndicator={false}
            contentContainerStyle={styles.kinds}
            role="radiogroup"
            aria-label="Kind"
          >
            <Chip label="All" on={kind === null} onPress={() => setKind(null)} />
            {KINDS.map((each) => (
              <Chip
                key={each}
                label={KIND_DEFINITIONS[each].plural}
                on={kind === each}
                onPress={() => setKind(each)}
              />
            ))}
          </ScrollView>
          {shown === 0 && <Note>{stash.supplies.length === 0 ? words.emptyStash : words.nothingFound}</Note>}
        </View>
        <View style={styles.rows}>
          <FlashList
            data={rows}
            keyExtractor={(row) => (row.sort === 'family' ? row.group : row.supply.id)}
            getItemType={(row) => row.sort}
            renderItem={({ item }) =>
              item.sort === 'family' ? (
                <FamilyHead row={item} />
              ) : (
                <SupplyRow
                  supply={item.supply}
                  address={addressOf(item.supply, stash.wall.units)}
                  selected={item.supply.id === chosen}
                  onPress={open}
                />
              )
            }
            extraData={chosen}
            contentContainerStyle={styles.foot}
          />
        </View>
        <View style={styles.add}>
          <Button label="Add" icon="plus" main onPress={() => router.push('/stash/add')} />
        </View>
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
  top: { padding: space.m, paddingTop: 14, paddingBottom: space.s, gap: 12 },
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
