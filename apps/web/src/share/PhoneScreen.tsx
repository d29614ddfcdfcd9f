import type { ShareView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { shutDoor } from '../api/door';
import { useShare, useShareActs } from '../api/useShare';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Columns } from '../ui/Columns';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Waiting } from '../ui/Waiting';
import { Devices } from './Devices';
import { PassphraseForm } from './PassphraseForm';
import { QrCode } from './QrCode';
import { Trust } from './Trust';

const HOUSE_ONLY =
  'Share it in your own house’s network only, not in a café or a hotel. Nothing leaves the house.';

/** Reaching the stash from a phone: where, how it comes to trust this computer, and which devices were let in. */
export function PhoneScreen() {
  const { data, error } = useShare();
  return (
    <Page title="On your phone" {...(data?.state === 'on' ? { aside: 'Shared in the house' } : {})}>
      {data ? <Shared share={data} /> : <Waiting error={error} />}
    </Page>
  );
}

function Shared({ share }: { readonly share: ShareView }) {
  if (share.asking !== null) return <OnDevice share={share} />;
  if (share.state === 'off') return <Off because={share.because} />;
  if (share.state === 'passphrase') return <First />;
  return <Columns first={<Where share={share} />} second={<Trust fingerprint={share.fingerprint} />} />;
}

function Off({ because }: { readonly because: string | null }) {
  return (
    <View style={styles.part}>
      {because ? <Note sort="attention">{because}</Note> : null}
      <Txt>
        Red Shelf answers on this computer only. To reach it from your phone, end it in its window with
        Ctrl+C, and start it again with:
      </Txt>
      <Txt style={styles.command}>npm start -- --share</Txt>
      <Txt look="quiet">Or, for the demo room: npm run demo -- --share</Txt>
      <Txt look="quiet">{HOUSE_ONLY}</Txt>
    </View>
  );
}

function First() {
  return (
    <View style={styles.part}>
      <Txt>
        First a passphrase: every device is asked for it once. Nothing can be reached before it is set.
      </Txt>
      <PassphraseForm act="Set it, and share" />
      <Txt look="quiet">{HOUSE_ONLY}</Txt>
    </View>
  );
}

function Where({ share: { addresses, devices } }: { readonly share: ShareView }) {
  const [first = ''] = addresses;
  const { shutOut } = useShareActs();
  const [changing, setChanging] = useState(false);
  return (
    <>
      <View style={styles.part}>
        <Txt look="title" level={2}>
          Open it on the phone
        </Txt>
        <Txt>Phone and computer are in the same network. Point the phone’s camera at this, or type:</Txt>
        {addresses.map((address) => (
          <Txt key={address} look="strong">
            {address}
          </Txt>
        ))}
        <QrCode text={first} />
        <Txt look="quiet">
          The address stays as long as the router gives this computer the same one; most routers can be told
          to.
          {` ${HOUSE_ONLY}`}
        </Txt>
      </View>
      <View style={styles.part}>
        <Txt look="title" level={2}>
          Devices that were let in
        </Txt>
        {devices.length === 0 && <Txt look="quiet">None yet.</Txt>}
        <Devices devices={devices} act="Shut out" onShutOut={(id) => shutOut.mutate(id)} />
        {shutOut.error && <Note sort="error">{shutOut.error.message}</Note>}
        {devices.length > 0 && (
          <Txt look="quiet">
            Who is shut out sees nothing from then on, and comes in again with the passphrase.
          </Txt>
        )}
      </View>
      <View style={styles.part}>
        {changing ? (
          <>
            <Txt>Another passphrase shuts out every device: each is asked for the new one.</Txt>
            <PassphraseForm act="Change the passphrase" onDone={() => setChanging(false)} />
          </>
        ) : (
          <View style={styles.acts}>
            <Button label="Another passphrase" onPress={() => setChanging(true)} />
          </View>
        )}
      </View>
    </>
  );
}

function OnDevice({ share: { devices } }: { readonly share: ShareView }) {
  const { shutOut } = useShareActs();
  return (
    <View style={styles.part}>
      <Txt>This device was let in. Who else comes and goes is seen on the computer that holds the stash.</Txt>
      <Devices
        devices={devices}
        act="Leave"
        onShutOut={(id) => shutOut.mutate(id, { onSuccess: shutDoor })}
      />
      {shutOut.error && <Note sort="error">{shutOut.error.message}</Note>}
      <Txt look="quiet">
        After leaving, this device asks for the passphrase. It keeps nothing of the stash but changes that
        were not sent yet.
      </Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s, maxWidth: 620 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  command: {
    fontFamily: 'monospace',
    padding: space.m,
    color: colour.text,
    backgroundColor: colour.card,
    alignSelf: 'flex-start',
  },
});
