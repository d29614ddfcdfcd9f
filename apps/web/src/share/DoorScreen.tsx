import { enter, fileRoutes } from '@red-shelf/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, useSyncExternalStore } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { openDoor } from '../api/door';
import { outboxOf } from '../api/outgoing';
import { many } from '../copy/words';
import { colour, LIP, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Field } from '../ui/Field';
import { saveFrom } from '../ui/files';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useSecret } from './useSecret';

/** A name to begin with, by what the browser says it runs on. */
const nameOfDevice = (agent: string): string =>
  /iPad|Tablet/.test(agent) ? 'Tablet' : /Mobi|Android|iPhone/.test(agent) ? 'Phone' : 'Another computer';

/** What a device sees that has not been let in, or not any more. */
export function DoorScreen() {
  const { control, handleSubmit } = useSecret(enter, {
    passphrase: '',
    name: nameOfDevice(navigator.userAgent),
  });
  const [shown, setShown] = useState(false);
  const client = useQueryClient();
  const outbox = outboxOf(client);
  const { waiting } = useSyncExternalStore(outbox.subscribe, outbox.now);
  const come = useMutation({
    mutationFn: (body: { passphrase: string; name: string }) => call(routes.enter, { body }),
    onSuccess: openDoor,
  });
  const submit = (): void => void handleSubmit((body) => come.mutate(body))();
  return (
    <ScrollView style={styles.page} contentContainerStyle={styles.inside}>
      <View style={styles.lip} />
      <Txt look="page" level={1}>
        Red Shelf
      </Txt>
      <Txt>
        This device has not been let in. The passphrase was set on the computer that holds the stash, and is
        asked once.
      </Txt>
      <Field
        control={control}
        name="passphrase"
        label="Passphrase"
        secret={shown ? undefined : 'current-password'}
        autoFocus
        onSubmit={submit}
      />
      <Field control={control} name="name" label="Name of this device" onSubmit={submit} />
      <View style={styles.acts}>
        <Button label="Come in" main busy={come.isPending || come.isSuccess} onPress={submit} />
        <Chip many label="Show what I type" on={shown} onPress={() => setShown(!shown)} />
      </View>
      {come.error && <Note sort="error">{come.error.message}</Note>}
      {waiting.length > 0 && (
        <Note sort="attention">
          {`${many(waiting.length, 'change')} made here ${waiting.length === 1 ? 'waits' : 'wait'}, and will be sent once it is let in.`}
        </Note>
      )}
      <View style={styles.trust}>
        <Txt look="strong" level={2}>
          Did the browser warn you?
        </Txt>
        <Txt look="quiet">
          Then this device does not trust the computer yet. Do that before you give the passphrase: get the
          certificate, compare its fingerprint with the one the computer shows under Settings, “On your
          phone”, and install it as described there.
        </Txt>
        <View style={styles.acts}>
          <Button label="Get the certificate" onPress={() => saveFrom(fileRoutes.authority.path)} />
        </View>
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, backgroundColor: colour.ground },
  inside: {
    padding: space.m,
    paddingTop: space.l,
    gap: space.m,
    maxWidth: 520,
    width: '100%',
    alignSelf: 'center',
  },
  lip: { width: 26, height: LIP, backgroundColor: colour.lip },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  trust: { gap: space.s, paddingTop: space.m, borderTopWidth: 1, borderTopColor: colour.hairline },
});
