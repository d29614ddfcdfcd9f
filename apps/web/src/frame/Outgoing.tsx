import { useIsFetching, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import { onNotUnderstood } from '../api/checkSoon';
import { keys } from '../api/list';
import { outboxOf } from '../api/outgoing';
import { sayAway, sayRefused, saySaved } from '../copy/waiting';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { loadNewVersion, useNewVersion } from './newVersion';

/** What the person has to know on every screen: what was done here and waits or was refused, and a new version. */
export function Outgoing() {
  const client = useQueryClient();
  const outbox = outboxOf(client);
  const { waiting, refused, stuck, because } = useSyncExternalStore(outbox.subscribe, outbox.now);
  const [odd, setOdd] = useState('');
  useEffect(() => onNotUnderstood(setOdd), []);
  // Looked at again whenever the list was asked for: an answer that does not come there is a sign too.
  useIsFetching({ queryKey: keys.supplies });
  const unread = client.getQueryState(keys.supplies)?.fetchFailureReason ?? null;
  const away = stuck || (unread !== null && client.getQueryData(keys.supplies) !== undefined);
  const fresh = useNewVersion();
  if (!away && refused.length === 0 && odd === '' && !fresh) return null;
  return (
    <View style={styles.all} role="status">
      {away && (
        <Note sort="attention">{because ? saySaved(because, waiting.length) : sayAway(waiting.length)}</Note>
      )}
      {fresh && (
        <Note>
          <Txt>A new version of Red Shelf is there. What you did, and what is half filled, is kept.</Txt>
          <Button label="Load it" onPress={loadNewVersion} />
        </Note>
      )}
      {odd !== '' && <Note sort="error">{odd}</Note>}
      {refused.map(({ command, change, refusal = '' }) => (
        <Note key={command.id} sort="error">
          <Txt>{sayRefused(change, refusal)}</Txt>
          <Button label="Seen" onPress={() => void outbox.dismiss(command.id)} />
        </Note>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ all: { gap: space.s, padding: space.s } });
