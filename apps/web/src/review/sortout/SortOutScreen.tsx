import { KIND_DEFINITIONS, KINDS, sortOutOrder, type Kind } from '@red-shelf/core';
import { dealtWithIn } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { router, useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { livesIn } from '../../api/contents';
import { recordsOf, useRecords, useStash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { Waiting } from '../../ui/Waiting';
import { PainList } from '../../judge/PainList';
import { space } from '../../theme/tokens';
import { Page } from '../../ui/Page';
import { RowLink } from '../../ui/RowLink';
import { Txt } from '../../ui/Txt';
import { Pile } from './Pile';
import { unitTitle } from '../../copy/supply';

/** Sorting out, one pile at a time; a pile can be left and taken up again. */
export function SortOutScreen() {
  const { session: id } = useLocalSearchParams<{ session?: string }>();
  const { stash, error } = useStash();
  const { data } = useRecords();
  const sessions = recordsOf(data, 'session').filter(({ body }) => body.what === 'sort out');
  const begin = useChange(({ of, ...what }: { of: string; kind: Kind | null; unitId: string | null }) =>
    order(routes.addRecord, {
      body: {
        body: {
          sort: 'session',
          what: 'sort out',
          name: `${of}, ${format(new Date(), 'd MMM yyyy')}`,
          form: null,
          ...what,
        },
      },
    }),
  );
  const start = (of: string, what: { kind: Kind | null; unitId: string | null }): void =>
    begin.mutate(
      { of, ...what },
      { onSuccess: ({ record }) => router.setParams({ session: record.id, zone: '' }) },
    );
  if (!stash || !data) return <Waiting error={error} />;
  const current = sessions.find((each) => each.id === id);
  if (current)
    return (
      <Pile
        key={current.id}
        session={current}
        done={dealtWithIn(data, current.id)}
        supplies={stash.supplies.filter((supply) =>
          current.body.unitId === null
            ? supply.kind === current.body.kind
            : livesIn(supply, current.body.unitId),
        )}
      />
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
            <RowLink
              key={session.id}
              title={session.body.name}
              detail={`${dealtWithIn(data, session.id).length} decided`}
              onPress={() => router.setParams({ session: session.id, zone: '' })}
            />
          ))}
        </View>
      )}
      <View style={styles.box}>
        <Txt look="strong" level={2}>
          What bothers you most?
        </Txt>
        <PainList
          stash={stash}
          busy={begin.isPending}
          onStart={(unit) => start(unitTitle(unit), { kind: null, unitId: unit.id })}
        />
        <Txt look="strong" level={2}>
          Or all of a kind
        </Txt>
        {KINDS.map((kind) => {
          const pile = stash.supplies.filter((supply) => supply.kind === kind);
          if (pile.length === 0) return null;
          const doubtful = sortOutOrder(pile, Date.now()).filter(({ doubts }) => doubts.length > 0).length;
          return (
            <RowLink
              key={kind}
              title={KIND_DEFINITIONS[kind].plural}
              detail={`${pile.length}, ${doubtful} with a question mark`}
              disabled={begin.isPending}
              onPress={() => start(KIND_DEFINITIONS[kind].plural, { kind, unitId: null })}
            />
          );
        })}
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s } });
