import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import type { Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { sayPrice } from '../copy/measure';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { sayAge, WHAT, type Group } from './group';
import { Home, Mixed } from './GroupJudgements';
import { MemberPicker } from './MemberPicker';
import { useWhere, type Where } from '../api/where';
import { ReasonRow } from '../row/ReasonRow';
import { sayStock, sayWhat } from '../copy/supply';

/** One kit, collection, palette or pack: what is in it, what goes with it, whether it stays whole. */
export function GroupPage({ group, stash }: { readonly group: Group; readonly stash: Stash }) {
  const { body } = group;
  const where = useWhere(stash);
  const [picking, setPicking] = useState<'members' | 'matches' | null>(null);
  const keep = useChange((next: GroupBody) =>
    order(routes.editRecord, { id: group.id, body: { version: group.version, body: next } }),
  );
  const remove = useChange(() =>
    order(routes.removeRecord, { id: group.id, body: { version: group.version } }),
  );
  const find = (ids: readonly string[]): SupplyView[] => ids.flatMap((id) => stash.byId.get(id) ?? []);
  const members = find(body.members.map(({ supplyId }) => supplyId));
  const matches = find(body.matches);
  const flip = (what: 'members' | 'matches', id: string): void => {
    if (what === 'members') {
      const left = body.members.filter(({ supplyId }) => supplyId !== id);
      const amount = stash.byId.get(id)?.stock.left ?? 0;
      keep.mutate({
        ...body,
        members: left.length < body.members.length ? left : [...left, { supplyId: id, amount }],
      });
    } else {
      const left = body.matches.filter((each) => each !== id);
      keep.mutate({ ...body, matches: left.length < body.matches.length ? left : [...left, id] });
    }
  };
  const today = (): string => format(new Date(), 'yyyy-MM-dd');
  return (
    <Page title={body.name} narrow aside={`${WHAT[body.what]}, ${sayAge(group)}`}>
      {Boolean(body.price ?? body.source) && (
        <Txt>{[body.price ? sayPrice(body.price) : null, body.source].filter(Boolean).join(', from ')}</Txt>
      )}
      {body.dissolvedOn && <Note>It was dissolved: its things stand on their own, by kind and colour.</Note>}
      <Members title="In it" supplies={members} where={where} />
      <Mixed members={members} />
      {body.what === 'kit' && !body.dissolvedOn && members.length > 0 && (
        <Txt look="quiet">What is in it is kept for it: it does not count as free.</Txt>
      )}
      {body.what === 'palette' && <Home body={body} stash={stash} onChange={(next) => keep.mutate(next)} />}
      {body.what !== 'pack' && body.what !== 'palette' && (
        <Members title="Solids that go with it" supplies={matches} where={where} />
      )}
      {picking && (
        <MemberPicker
          stash={stash}
          chosen={new Set((picking === 'members' ? members : matches).map(({ id }) => id))}
          onFlip={(id) => flip(picking, id)}
        />
      )}
      <View style={styles.row}>
        {!body.dissolvedOn && (
          <Button
            label={picking === 'members' ? 'Close' : 'Choose what is in it'}
            onPress={() => setPicking(picking === 'members' ? null : 'members')}
          />
        )}
        {body.what !== 'pack' && body.what !== 'palette' && (
          <Button
            label={picking === 'matches' ? 'Close' : 'Choose matching solids'}
            onPress={() => setPicking(picking === 'matches' ? null : 'matches')}
          />
        )}
        {body.what !== 'pack' && (
          <Button
            label={body.dissolvedOn ? 'Make it whole again' : 'Dissolve it'}
            onPress={() => keep.mutate({ ...body, dissolvedOn: body.dissolvedOn ? null : today() })}
          />
        )}
        <Button
          label="Remove"
          onPress={() => remove.mutate(undefined, { onSuccess: () => router.setParams({ group: '' }) })}
        />
        <Button label="All kits and packs" onPress={() => router.setParams({ group: '' })} />
      </View>
    </Page>
  );
}

interface MembersProps {
  readonly title: string;
  readonly supplies: readonly SupplyView[];
  readonly where: Where;
}

function Members({ title, supplies, where }: MembersProps) {
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        {title}
      </Txt>
      {supplies.length === 0 && <Txt look="quiet">Nothing yet.</Txt>}
      <View role="list" aria-label={title} style={styles.list}>
        {supplies.map((supply) => (
          <ReasonRow
            key={supply.id}
            supply={supply}
            reason={`${sayWhat(supply)} · ${sayStock(supply)} · ${where(supply) ?? 'no place'}`}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  list: { marginHorizontal: -space.m },
});
