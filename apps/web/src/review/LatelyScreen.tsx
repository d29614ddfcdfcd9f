import { useQuery } from '@tanstack/react-query';
import { router } from 'expo-router';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import { parseISO } from 'date-fns/parseISO';
import { StyleSheet, View } from 'react-native';
import { call, order, routes } from '../api/client';
import { keys } from '../api/list';
import { useChange } from '../api/useChange';
import { sayChange } from '../copy/change';
import { Waiting } from '../ui/Waiting';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';

/** Changes that moved things; to before any of them everything can be carried back, lift by lift. */
const MOVED: ReadonlySet<string> = new Set(['arrange']);

/** What was done lately; everything can be undone from here, not only the latest. */
export function LatelyScreen() {
  const { data, error } = useQuery({ queryKey: keys.journal, queryFn: () => call(routes.journal) });
  const undo = useChange((id: string) => order(routes.undoChange, { id }));
  const back = useChange((changeId: string) => order(routes.arrangeBack, { body: { changeId } }), {
    silent: true,
  });
  if (!data) return <Waiting error={error} />;
  return (
    <Page title="What happened" narrow aside="Everything can be undone">
      {data.changes.length === 0 && <Txt look="quiet">Nothing was done yet.</Txt>}
      {data.changes.map((change) => (
        <View key={change.id} style={styles.row}>
          <View style={styles.words}>
            <Txt>
              {change.kind === 'undo' ? `${change.name || 'A change'}: undone.` : sayChange(change)}
              {change.undone ? ' Undone since.' : ''}
            </Txt>
            <Txt look="quiet">{formatDistanceToNow(parseISO(change.at), { addSuffix: true })}</Txt>
          </View>
          {MOVED.has(change.kind) && (
            <Button
              label="Back to before"
              says={`Plan everything back to how it stood before: ${sayChange(change)}`}
              disabled={back.isPending}
              onPress={() =>
                back.mutate(change.id, {
                  onSuccess: ({ record }) =>
                    router.push({ pathname: '/arrange/plan', params: { plan: record.id } }),
                })
              }
            />
          )}
          {!change.undone && (
            <Button
              label="Undo"
              says={`Undo: ${sayChange(change)}`}
              disabled={undo.isPending}
              onPress={() => undo.mutate(change.id)}
            />
          )}
        </View>
      ))}
    </Page>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    gap: space.s,
    alignItems: 'center',
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
  },
  words: { flex: 1 },
});
