import { fileRoutes } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { colour, font, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { saveFrom } from '../ui/files';
import { Txt } from '../ui/Txt';

/** What the page itself says of the certificate proves nothing: whoever stands between could say it too. */
const STEPS = [
  'Open the address on the phone. The browser warns that it does not know this computer: look under “Advanced” or “Details”, and go on once.',
  'Before the passphrase, get the certificate there. Or save it here, and carry it over by cable or message.',
  'Android: Settings, search for “CA certificate”, install the file. iPhone and iPad: Settings, the downloaded profile, Install; then General, About, Certificate Trust Settings, and switch it on. The words differ from phone to phone.',
  'In the phone’s settings look at the certificate’s details: its fingerprint is the one below. If it is not, take it out again, and stop: something stands between phone and computer.',
  'Open the address again: there is no warning any more. Now give the passphrase, and put the page on the home screen from the browser’s menu.',
];

/** How a device comes to trust this computer, so that it can keep the app, use its camera and work with no signal. */
export function Trust({ fingerprint }: { readonly fingerprint: string | null }) {
  return (
    <View style={styles.box}>
      <Txt look="title" level={2}>
        Let the phone trust this computer
      </Txt>
      <Txt look="quiet">
        Once for each phone. Without it the page opens after a warning, but the phone keeps no app, and works
        only in reach. The certificate vouches for addresses of a house’s own network, and for nothing else.
      </Txt>
      <View role="list" style={styles.steps}>
        {STEPS.map((step, i) => (
          <View key={step} role="listitem" style={styles.step}>
            <Txt look="number">{i + 1}</Txt>
            <Txt style={styles.text}>{step}</Txt>
          </View>
        ))}
      </View>
      {fingerprint && (
        <View style={styles.print}>
          <Txt look="quiet">Fingerprint of the certificate (SHA-256)</Txt>
          <Txt style={styles.digits}>{fingerprint.replaceAll(':', ' ')}</Txt>
        </View>
      )}
      <View style={styles.acts}>
        <Button label="Save the certificate" onPress={() => saveFrom(fileRoutes.authority.path)} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.m },
  steps: { gap: space.s },
  step: { flexDirection: 'row', gap: space.m },
  text: { flex: 1, lineHeight: 22 },
  print: { gap: 2 },
  digits: { fontFamily: font.label, fontSize: 17, letterSpacing: 1, color: colour.text },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
