import { findGaps, formOf, KIND_DEFINITIONS } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { Waiting } from '../ui/Waiting';
import { sayStock, sayWhat } from '../copy/supply';
import { many, thousands } from '../copy/words';
import { ReasonRow } from '../row/ReasonRow';
import { colour, LIP, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { useWhere } from '../api/where';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';

type Sort = 'running' | 'unplaced';
/** Rows drawn at first, and how many each “show more” adds: nobody buys a thousand things at once. */
const ROWS = 40;

/** What is low or out, and what has no place. */
export function GapsScreen() {
  const { stash, error } = useStash();
  const [sort, setSort] = useState<Sort>('running');
  const [most, setMost] = useState(ROWS);
  const where = useWhere(stash);
  const gaps = useMemo(
    () => findGaps((stash?.supplies ?? []).map((supply) => ({ ...supply, placed: where(supply) !== null }))),
    [stash, where],
  );
  if (!stash) return <Waiting error={error} />;
  const running = [...gaps.out, ...gaps.low];
  const all = sort === 'running' ? running : gaps.unplaced;
  const shown = all.slice(0, most);
  const choose = (next: Sort): void => {
    setSort(next);
    setMost(ROWS);
  };
  return (
    <Page title="Gaps" aside={`${many(running.length + gaps.unplaced.length, 'thing')} worth a look`}>
      <View style={styles.links}>
        <Button label="Worth a look" onPress={() => router.push('/gaps/look')} />
        <Button label="Sort out" onPress={() => router.push('/gaps/sort-out')} />
      </View>
      <View style={styles.tiles} role="radiogroup" aria-label="Which gaps">
        <Tile
          label={`running out: ${gaps.out.length} out, ${gaps.low.length} low`}
          count={running.length}
          on={sort === 'running'}
          onPress={() => choose('running')}
        />
        <Tile
          label="without a place"
          count={gaps.unplaced.length}
          on={sort === 'unplaced'}
          onPress={() => choose('unplaced')}
        />
      </View>
      {shown.length === 0 ? (
        <Note>
          {sort === 'running' ? 'Nothing is low. Use something pretty.' : 'Everything has a place.'}
        </Note>
      ) : (
        <View role="list" style={styles.list}>
          {shown.map((supply) => (
            <GapRow key={supply.id} supply={supply} sort={sort} />
          ))}
        </View>
      )}
      {all.length > most && (
        <Button
          label={`Show more (${thousands(all.length - most)} left)`}
          onPress={() => setMost(most + ROWS)}
        />
      )}
    </Page>
  );
}

function Tile({
  label,
  count,
  on,
  onPress,
}: {
  label: string;
  count: number;
  on: boolean;
  onPress: () => void;
}) {
  return (
    <Pressable
      role="radio"
      aria-checked={on}
      aria-label={`${count} ${label}`}
      onPress={onPress}
      style={styles.tile}
    >
      <View style={[styles.tileLip, on && styles.tileOn]} />
      <Txt look="number" style={styles.count}>
        {count}
      </Txt>
      <Txt look="quiet">{label}</Txt>
    </Pressable>
  );
}

function GapRow({ supply, sort }: { readonly supply: SupplyView; readonly sort: Sort }) {
  const form = formOf(supply.kind, supply.form);
  const buy = useChange(() =>
    order(routes.actOnSupply, { id: supply.id, body: { act: 'buy', amount: form.usualPurchase } }),
  );
  const { state, uses } = supply.stock;
  const used = uses === 0 ? 'never used' : `used ${many(uses, 'time')}`;
  const reason = state === 'out' ? `out, ${used}` : `${sayStock(supply)}, ${used}`;
  return (
    <ReasonRow
      supply={supply}
      reason={sort === 'running' ? `${reason} · ${sayWhat(supply)}` : sayWhat(supply)}
    >
      {sort === 'running' ? (
        <Button
          label="Bought"
          says={`Bought: ${supply.name}`}
          busy={buy.isPending}
          onPress={() => buy.mutate(undefined)}
        />
      ) : (
        <Button
          label="Find a place"
          says={`Find a place for ${KIND_DEFINITIONS[supply.kind].plural}`}
          onPress={() => router.push({ pathname: '/arrange', params: { kind: supply.kind } })}
        />
      )}
    </ReasonRow>
  );
}

const styles = StyleSheet.create({
  links: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  tiles: { flexDirection: 'row', gap: space.s },
  tile: {
    flex: 1,
    padding: space.m - 4,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
    overflow: 'hidden',
  },
  tileLip: { position: 'absolute', left: 0, right: 0, top: 0, height: LIP },
  tileOn: { backgroundColor: colour.lip },
  count: { fontSize: 24 },
  list: { backgroundColor: colour.card, marginHorizontal: -space.m },
});
