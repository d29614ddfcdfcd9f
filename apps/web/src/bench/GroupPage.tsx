import { holdsBack } from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { usePreferences, type Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { sayPrice } from '../copy/measure';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { sayAge, WHAT, type Group } from './group';
import { Home, Mixed } from './GroupJudgements';
import { Dissolve } from './Dissolve';
import { GroupFacts } from './GroupFacts';
import { firstAmount, KitMember } from './KitMember';
import { MemberPicker } from './MemberPicker';
import { Envelope } from './project/Envelope';
import { Makes } from './project/Makes';
import { Needs } from './project/Needs';
import { Palette } from './project/Palette';
import { PullPart } from './PullPart';
import { AllThere, isWhole, Whole } from './Whole';
import { MadeAlready } from '../judge/MadeAlready';
import { useWhere, type Where } from '../api/where';
import { ReasonRow } from '../row/ReasonRow';
import { sayStock, sayWhat } from '../copy/supply';

/** How a group comes to an end, and how it does not. */
const ENDING = {
  project: { end: 'Close it…', keep: 'Leave it open', again: 'Open it again' },
  whole: { end: 'Dissolve…', keep: 'Keep it whole', again: 'Make it whole again' },
} as const;

/** One project, kit, collection, palette or pack: what is in it, what goes with it, whether it stays whole. */
export function GroupPage({ group, stash }: { readonly group: Group; readonly stash: Stash }) {
  const { body } = group;
  const where = useWhere(stash);
  const { units } = usePreferences().preferences;
  const [picking, setPicking] = useState<'members' | 'matches' | null>(null);
  const [asking, setAsking] = useState<'facts' | 'dissolve' | null>(null);
  const closed = (): void => setAsking(null);
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
      const supply = stash.byId.get(id);
      const amount = supply ? firstAmount(supply) : 0;
      keep.mutate({
        ...body,
        members: left.length < body.members.length ? left : [...left, { supplyId: id, amount }],
      });
    } else {
      const left = body.matches.filter((each) => each !== id);
      keep.mutate({ ...body, matches: left.length < body.matches.length ? left : [...left, id] });
    }
  };
  const project = body.what === 'project';
  const holds = holdsBack(body.what) && !body.dissolvedOn;
  const kitRow = (supply: SupplyView): ReactNode => {
    const member = body.members.find(({ supplyId }) => supplyId === supply.id);
    if (!member) return null;
    return (
      <>
        {isWhole(body) && <Whole body={body} supply={supply} onKeep={(next) => keep.mutate(next)} />}
        {amountOf(supply, member)}
      </>
    );
  };
  const amountOf = (supply: SupplyView, member: GroupBody['members'][number]): ReactNode => {
    if (!holds) return null;
    const keepSome = (amount: number) =>
      keep.mutateAsync({
        ...body,
        members: body.members.map((each) => (each === member ? { ...each, amount } : each)),
      });
    return <KitMember supply={supply} member={member} units={units} onKeep={keepSome} />;
  };
  return (
    <Page title={body.name} narrow aside={`${WHAT[body.what]}, ${sayAge(group)}`}>
      {Boolean(body.price ?? body.source) && (
        <Txt>{[body.price ? sayPrice(body.price) : null, body.source].filter(Boolean).join(', from ')}</Txt>
      )}
      {body.dissolvedOn && (
        <Note>
          {project
            ? 'It is closed: it keeps nothing back.'
            : 'It was dissolved: its things stand on their own, by kind and colour.'}
        </Note>
      )}
      {body.note !== '' && <Txt>{body.note}</Txt>}
      {asking === 'facts' && <GroupFacts group={group} onKeep={keep.mutateAsync} onDone={closed} />}
      {project && !body.dissolvedOn && (
        <>
          <Makes groupId={group.id} body={body} onKeep={keep.mutateAsync} />
          <Palette
            body={body}
            stash={stash}
            onKeep={(next) => keep.mutate(next)}
            onAdd={(id) => flip('members', id)}
          />
          <Needs groupId={group.id} body={body} stash={stash} onKeep={keep.mutateAsync} />
        </>
      )}
      {project && !body.dissolvedOn && (
        <>
          <MadeAlready
            job={`${body.name} ${body.note}`}
            taken={body.members.map(({ supplyId }) => supplyId)}
            onTake={(id) => flip('members', id)}
          />
          <Envelope body={body} members={members} onKeep={(next) => keep.mutate(next)} />
        </>
      )}
      <Members title="In it" supplies={members} where={where} of={kitRow} />
      {isWhole(body) && <AllThere body={body} members={members} onKeep={(next) => keep.mutate(next)} />}
      <Mixed members={members} />
      {holds && members.length > 0 && (
        <Txt look="quiet">
          So much is kept for it, and does not count as free; using some for {project ? 'it' : 'the kit'}{' '}
          lowers it.
        </Txt>
      )}
      {holds && members.length > 0 && (
        <PullPart
          groupId={group.id}
          body={body}
          members={members}
          stash={stash}
          onKeep={(next) => keep.mutate(next)}
          onAdd={(id) => flip('members', id)}
        />
      )}
      {body.what === 'palette' && <Home body={body} stash={stash} onChange={(next) => keep.mutate(next)} />}
      {hasSolids(body) && <Members title="Solids that go with it" supplies={matches} where={where} />}
      {picking && (
        <MemberPicker
          stash={stash}
          chosen={new Set((picking === 'members' ? members : matches).map(({ id }) => id))}
          onFlip={(id) => flip(picking, id)}
        />
      )}
      <View style={styles.row}>
        <Button
          label={asking === 'facts' ? 'Close' : 'Change what it is'}
          onPress={() => setAsking(asking === 'facts' ? null : 'facts')}
        />
        {!body.dissolvedOn && (
          <Button
            label={picking === 'members' ? 'Close' : 'Choose what is in it'}
            onPress={() => setPicking(picking === 'members' ? null : 'members')}
          />
        )}
        {hasSolids(body) && (
          <Button
            label={picking === 'matches' ? 'Close' : 'Choose matching solids'}
            onPress={() => setPicking(picking === 'matches' ? null : 'matches')}
          />
        )}
        {body.what !== 'pack' && (
          <Button
            label={
              ENDING[project ? 'project' : 'whole'][
                body.dissolvedOn ? 'again' : asking === 'dissolve' ? 'keep' : 'end'
              ]
            }
            onPress={() =>
              body.dissolvedOn
                ? keep.mutate({ ...body, dissolvedOn: null })
                : setAsking(asking === 'dissolve' ? null : 'dissolve')
            }
          />
        )}
        <Button
          label="Remove"
          onPress={() => remove.mutate(undefined, { onSuccess: () => router.setParams({ group: '' }) })}
        />
        <Button label="All projects, kits and packs" onPress={() => router.setParams({ group: '' })} />
      </View>
      {asking === 'dissolve' && (
        <Dissolve {...{ body, members, where, stash }} onKeep={keep.mutateAsync} onDone={closed} />
      )}
    </Page>
  );
}

/** Packs, palettes and travel lists have no matching solids. */
const hasSolids = ({ what }: GroupBody): boolean =>
  what === 'kit' || what === 'project' || what === 'collection';

interface MembersProps {
  readonly title: string;
  readonly supplies: readonly SupplyView[];
  readonly where: Where;
  /** What can be said of one. */
  readonly of?: (supply: SupplyView) => ReactNode;
}

function Members({ title, supplies, where, of }: MembersProps) {
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
          >
            {of?.(supply)}
          </ReasonRow>
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
