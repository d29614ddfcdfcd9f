import { isOnWall } from '@red-shelf/core';
import type { GroupBody, RecordView, SupplyView } from '@red-shelf/contract';
import { differenceInDays, format, parseISO } from 'date-fns';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { recordsOf, useRecords, useStash, type Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { many } from '../copy/words';
import { useDraft } from '../form/useDraft';
import { Waiting } from '../frame/Waiting';
import { sayPrice } from '../measure/say';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { MadeAlready } from './MadeAlready';
import { MemberPicker } from './MemberPicker';

type Group = RecordView & { body: GroupBody };
const WHAT = { kit: 'Kit', collection: 'Collection', pack: 'Pack', palette: 'Palette' } as const;
const BEGUN = ['kit', 'collection', 'palette'] as const;

/** Kits and collections stay whole until they are dissolved; palettes are colours used together; packs remember a purchase. */
export function KitsScreen() {
  const { group: id } = useLocalSearchParams<{ group?: string }>();
  const { data, error } = useRecords();
  const { stash } = useStash();
  if (!data || !stash) return <Waiting error={error} />;
  const groups = recordsOf(data, 'group');
  const current = groups.find((group) => group.id === id);
  if (current) return <GroupPage key={current.id} group={current} stash={stash} />;
  const oldest = [...groups].sort((p, q) =>
    (p.body.acquiredOn ?? p.createdAt).localeCompare(q.body.acquiredOn ?? q.createdAt),
  );
  return (
    <Page title="Kits and packs" narrow aside="Oldest first">
      {oldest.map((group) => (
        <Button
          key={group.id}
          label={`${WHAT[group.body.what]} “${group.body.name}”: ${many(group.body.members.length, 'thing')}, ${sayAge(group)}`}
          onPress={() => router.setParams({ group: group.id })}
        />
      ))}
      {groups.length === 0 && <Note>No kits, collections or packs yet.</Note>}
      <NewGroup />
      <Button label="A mixed pack" onPress={() => router.push('/stash/pack')} />
    </Page>
  );
}

function sayAge({ body, createdAt }: Group): string {
  if (body.dissolvedOn) return `dissolved ${format(parseISO(body.dissolvedOn), 'd MMM yyyy')}`;
  const days = differenceInDays(new Date(), parseISO(body.acquiredOn ?? createdAt));
  return days < 60 ? `${many(Math.max(0, days), 'day')} old` : `${many(Math.round(days / 30), 'month')} old`;
}

const NO_GROUP: { what: (typeof BEGUN)[number]; name: string } = { what: 'kit', name: '' };

function NewGroup() {
  const [draft, setDraft, clear] = useDraft('group', NO_GROUP);
  const { what, name } = draft;
  const add = useChange((body: GroupBody) => call(routes.addRecord, { body: { body } }), { quiet: true });
  const submit = () =>
    add.mutate(
      {
        sort: 'group',
        what,
        name,
        note: '',
        source: '',
        acquiredOn: null,
        members: [],
        matches: [],
        dissolvedOn: null,
        home: null,
      },
      {
        onSuccess: ({ record }) => {
          clear();
          router.setParams({ group: record.id });
        },
      },
    );
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Begin one
      </Txt>
      <Choice
        label="It is a"
        options={BEGUN}
        value={what}
        onChange={(word) => setDraft({ ...draft, what: BEGUN.find((each) => each === word) ?? what })}
      />
      <Input
        label="Its name"
        value={name}
        onChange={(text) => setDraft({ ...draft, name: text })}
        onSubmit={submit}
        error={add.error?.message}
      />
      <MadeAlready job={name} />
      <Button label="Begin" main busy={add.isPending} onPress={submit} />
    </View>
  );
}

function GroupPage({ group, stash }: { readonly group: Group; readonly stash: Stash }) {
  const { body } = group;
  const [picking, setPicking] = useState<'members' | 'matches' | null>(null);
  const keep = useChange((next: GroupBody) =>
    call(routes.editRecord, { id: group.id, body: { version: group.version, body: next } }),
  );
  const remove = useChange(() =>
    call(routes.removeRecord, { id: group.id, body: { version: group.version } }),
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
      <Members title="In it" supplies={members} />
      <Mixed members={members} />
      {body.what === 'kit' && !body.dissolvedOn && members.length > 0 && (
        <Txt look="quiet">What is in it is kept for it: it does not count as free.</Txt>
      )}
      {body.what === 'palette' && <Home body={body} stash={stash} onChange={(next) => keep.mutate(next)} />}
      {body.what !== 'pack' && body.what !== 'palette' && (
        <Members title="Solids that go with it" supplies={matches} />
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

/** Retired things cannot be bought again; a project that mixes them with current ones should know. */
function Mixed({ members }: { readonly members: readonly SupplyView[] }) {
  const scarce = members.filter(
    ({ facts }) => facts.status === 'retired' || facts.status === 'irreplaceable',
  );
  if (scarce.length === 0 || scarce.length === members.length) return null;
  return (
    <Note sort="attention">
      {`${scarce.map(({ name }) => name).join(', ')}: cannot be bought again. Use sparingly, or choose a stand-in before you count on it.`}
    </Note>
  );
}

/** The rack that holds a palette instead of a family. */
function Home({
  body,
  stash,
  onChange,
}: {
  readonly body: GroupBody;
  readonly stash: Stash;
  readonly onChange: (next: GroupBody) => void;
}) {
  const units = stash.wall.units.filter(({ facts }) => isOnWall(facts));
  const title = ({ letter, name }: (typeof units)[number]): string => `${letter} ${name}`;
  const home = units.find(({ id }) => id === body.home);
  return (
    <>
      <Choice
        label="It lives together in"
        options={units.map(title)}
        value={home ? title(home) : ''}
        onChange={(word) =>
          onChange({ ...body, home: units.find((unit) => title(unit) === word)?.id ?? null })
        }
        optional
      />
      {home && (
        <Txt look="quiet">Arrange keeps {title(home)} for this palette, and puts nothing else into it.</Txt>
      )}
    </>
  );
}

function Members({ title, supplies }: { readonly title: string; readonly supplies: readonly SupplyView[] }) {
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        {title}
      </Txt>
      {supplies.length === 0 && <Txt look="quiet">Nothing yet.</Txt>}
      <View style={styles.row}>
        {supplies.map(({ id, name, hex }) => (
          <View key={id} style={styles.member}>
            <View style={[styles.swatch, { backgroundColor: hex }]} />
            <Txt>{name}</Txt>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  member: { flexDirection: 'row', gap: space.xs, alignItems: 'center', paddingRight: space.s },
  swatch: { width: 24, height: 24, borderWidth: 1, borderColor: colour.hairline },
});
