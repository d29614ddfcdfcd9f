import {
  KIND_DEFINITIONS,
  KINDS,
  sortOutOrder,
  spaceFreed,
  VERDICTS,
  type Doubt,
  type Kind,
  type Verdict,
} from '@red-shelf/core';
import type { RecordView, SessionBody, SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { recordsOf, useRecords, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { addressOf, sayLastUsed, sayStock, sayWhat } from '../copy/supply';
import { many } from '../copy/words';
import { Waiting } from '../frame/Waiting';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Columns } from '../ui/Columns';
import { Flag, Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Salvage } from './Salvage';
import { PainList } from '../storage/PainList';
import { useKeys } from '../ui/useKeys';

type Session = RecordView & { body: SessionBody };

/** Sorting out, one pile at a time; a pile can be left and taken up again. */
export function SortOutScreen() {
  const { session: id } = useLocalSearchParams<{ session?: string }>();
  const { stash, error } = useStash();
  const { data } = useRecords();
  const sessions = recordsOf(data, 'session').filter(({ body }) => body.what === 'sort out');
  const start = useChange((kind: Kind) =>
    call(routes.addRecord, {
      body: {
        body: {
          sort: 'session',
          what: 'sort out',
          name: `${KIND_DEFINITIONS[kind].plural}, ${format(new Date(), 'd MMM yyyy')}`,
          kind,
          form: null,
        },
      },
    }),
  );
  if (!stash || !data) return <Waiting error={error} />;
  const current = sessions.find((each) => each.id === id);
  if (current)
    return (
      <Pile session={current} supplies={stash.supplies.filter(({ kind }) => kind === current.body.kind)} />
    );
  const open = sessions.filter(({ body }) => body.finishedOn === null);
  return (
    <Page title="Sort out" narrow aside="One pile at a time; leave it whenever you like">
      {open.length > 0 && (
        <View style={styles.box}>
          <Txt look="strong" level={2}>
            Take up again
          </Txt>
          {open.map((session) => (
            <Button
              key={session.id}
              label={`${session.body.name}: ${session.body.done.length} decided`}
              onPress={() => router.setParams({ session: session.id })}
            />
          ))}
        </View>
      )}
      <View style={styles.box}>
        <Txt look="strong" level={2}>
          Which pile bothers you most?
        </Txt>
        <PainList stash={stash} />
        {KINDS.map((kind) => {
          const pile = stash.supplies.filter(
            (supply) => supply.kind === kind && supply.facts.status !== 'gone',
          );
          if (pile.length === 0) return null;
          const doubtful = sortOutOrder(pile, Date.now()).filter(({ doubts }) => doubts.length > 0).length;
          return (
            <Button
              key={kind}
              label={`${KIND_DEFINITIONS[kind].plural}: ${pile.length}, ${doubtful} with a question mark`}
              disabled={start.isPending}
              onPress={() =>
                start.mutate(kind, { onSuccess: ({ record }) => router.setParams({ session: record.id }) })
              }
            />
          );
        })}
      </View>
    </Page>
  );
}

const WHY: Readonly<Record<Doubt, string>> = {
  'never opened': 'never opened',
  'never used': 'opened, never used',
  'idle a year': 'not used for a year',
  doubled: 'you have its double',
  'half-liked': 'only half liked',
  retired: 'retired by its maker',
  'on trial': 'on trial',
};
const SAY: Readonly<Record<Verdict, string>> = {
  keep: 'Keep',
  'use once': 'Use once',
  'pass on': 'Pass on',
  'let go': 'Let go',
};

function Pile({
  session,
  supplies,
}: {
  readonly session: Session;
  readonly supplies: readonly SupplyView[];
}) {
  const { stash } = useStash();
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const decided = useMemo(() => new Set(session.body.done.map(({ supplyId }) => supplyId)), [session]);
  const [opened] = useState(() => Date.now());
  const order = useMemo(() => sortOutOrder(supplies, opened), [supplies, opened]);
  const waiting = order.filter(({ item }) => !decided.has(item.id));
  const next = waiting.find(({ item }) => !skipped.has(item.id)) ?? waiting[0];
  const decide = useChange(({ supply, verdict }: { supply: SupplyView; verdict: Verdict }) =>
    call(routes.decideSupply, {
      id: supply.id,
      body: { version: supply.version, verdict, sessionId: session.id },
    }),
  );
  const finish = useChange(() =>
    call(routes.editRecord, {
      id: session.id,
      body: {
        version: session.version,
        body: { ...session.body, finishedOn: format(new Date(), 'yyyy-MM-dd') },
      },
    }),
  );
  const say = (verdict: Verdict) => {
    if (next && !decide.isPending) decide.mutate({ supply: next.item, verdict });
  };
  useKeys(Object.fromEntries(VERDICTS.map((verdict, i) => [String(i + 1), () => say(verdict)])));
  const freed = spaceFreed(
    session.body.done.flatMap(({ verdict, space: took }) =>
      verdict && took ? [{ verdict, space: took }] : [],
    ),
  );
  const total = session.body.done.length + waiting.length;
  return (
    <Page title={session.body.name} aside={`${session.body.done.length} of ${total} decided`}>
      <Columns
        first={
          next && stash ? (
            <View style={styles.card}>
              <View style={[styles.swatch, { backgroundColor: next.item.hex }]} />
              <Txt look="page" level={2}>
                {next.item.name}
              </Txt>
              <Txt look="quiet">{sayWhat(next.item)}</Txt>
              <Txt>
                {sayStock(next.item)} · {sayLastUsed(next.item)} ·{' '}
                {addressOf(next.item, stash.wall.units) ?? 'no place'}
              </Txt>
              <View style={styles.row}>
                {next.doubts.map((doubt) => (
                  <Flag key={doubt} label={WHY[doubt]} />
                ))}
                {next.item.facts.collection && <Flag label="collection, leave in peace" />}
              </View>
              <Salvage supply={next.item} />
              <View style={styles.verdicts}>
                {VERDICTS.map((verdict, i) => (
                  <View key={verdict} style={styles.verdict}>
                    <Button
                      label={SAY[verdict]}
                      says={`${SAY[verdict]} (${i + 1})`}
                      main={verdict === 'keep'}
                      disabled={decide.isPending}
                      onPress={() => say(verdict)}
                    />
                  </View>
                ))}
              </View>
              <Button label="Later" onPress={() => setSkipped(new Set([...skipped, next.item.id]))} />
            </View>
          ) : (
            <Note>Every thing of this pile is decided.</Note>
          )
        }
        second={
          <>
            <View style={styles.box} role="list" aria-label="What it frees">
              {VERDICTS.map((verdict) => (
                <Txt key={verdict}>
                  {SAY[verdict]}: {many(freed[verdict].count, 'thing')}
                  {verdict === 'keep' || freed[verdict].count === 0
                    ? ''
                    : `, frees ${many(freed[verdict].slots, 'slot')}, ${Math.round(freed[verdict].alongMm / 10)} cm along the shelf, ${freed[verdict].litres.toFixed(1)} l`}
                </Txt>
              ))}
            </View>
            <View style={styles.row}>
              <Button label="Leave it for now" onPress={() => router.setParams({ session: '' })} />
              <Button
                label="This pile is done"
                main={!next}
                busy={finish.isPending}
                onPress={() =>
                  finish.mutate(undefined, { onSuccess: () => router.setParams({ session: '' }) })
                }
              />
            </View>
          </>
        }
      />
    </Page>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  card: {
    gap: space.s,
    padding: space.m,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  swatch: { height: 120, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  verdict: { flexBasis: '45%', flexGrow: 1 },
  verdicts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
