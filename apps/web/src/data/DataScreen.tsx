import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { fileRoutes } from '@red-shelf/contract';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { saveFrom } from '../ui/files';
import { BringBack } from './BringBack';

/** Lists in and out, and the whole stash as one file. */
export function DataScreen() {
  return (
    <Page title="Data" aside="Open formats, on this machine only">
      <Part
        title="Bring in a list"
        text="A CSV of supplies, columns in any order. You see what will happen to every row before anything is written."
      >
        <Button label="Choose a CSV" main onPress={() => router.push('/data/import')} />
      </Part>
      <Part
        title="Take the list out"
        text="Every supply as CSV, for a spreadsheet: what it is, where it lies, what is put aside. Photos go into a backup. Bringing the list in again changes nothing."
      >
        <Button label="Save as CSV" onPress={() => saveFrom(fileRoutes.exportCsv.path)} />
      </Part>
      <Part
        title="Keep a backup"
        text="Everything in one zip: supplies, racks, places, the whole history, and all photos. Copies of the last seven days lie beside the stash by themselves, without photos."
      >
        <Button label="Save a backup" main onPress={() => saveFrom(fileRoutes.backup.path)} />
        <Button label="Without photos, as JSON" onPress={() => saveFrom(fileRoutes.exportJson.path)} />
      </Part>
      <Part
        title="Bring the whole stash back"
        text="Replaces everything here by a backup or document saved before. It can be undone."
      >
        <BringBack />
      </Part>
    </Page>
  );
}

function Part({ title, text, children }: { title: string; text: string; children: React.ReactNode }) {
  return (
    <View style={styles.part}>
      <Txt look="title" level={2}>
        {title}
      </Txt>
      <Txt look="quiet">{text}</Txt>
      <View style={styles.acts}>{children}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s, maxWidth: 620 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
});
