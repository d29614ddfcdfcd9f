import { KIND_DEFINITIONS, KINDS, sortOutOrder, type Kind } from '@red-shelf/core';
import { format } from 'date-fns';
import { router, useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { recordsOf, useRecords, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { Waiting } from '../frame/Waiting';
import { PainList } from '../storage/PainList';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Pile } from './Pile';

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

const styles = StyleSheet.create({ box: { gap: space.s } });
