import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { fileRoutes } from '@red-shelf/contract';
import { restoreDocument } from '../api/client';
import { useChange } from '../api/useChange';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { chooseFile, saveFrom } from '../ui/files';

/** Lists in and out, and the whole stash as one document. */
export function DataScreen() {
  const [chosen, setChosen] = useState<File | null>(null);
  const restore = useChange((file: File) => restoreDocument(file), { quiet: true });
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
        text="Every supply as CSV, for a spreadsheet. Bringing it in again changes nothing."
      >
        <Button label="Save as CSV" onPress={() => saveFrom(fileRoutes.exportCsv.path)} />
      </Part>
      <Part
        title="Keep the whole stash"
        text="Supplies, racks, places and the whole history in one JSON document. Importing it gives exactly this state."
      >
        <Button label="Save as JSON" onPress={() => saveFrom(fileRoutes.exportJson.path)} />
      </Part>
      <Part
        title="Bring the whole stash back"
        text="Replaces everything here by a document saved before. It can be undone."
      >
        {chosen ? (
          <>
            <Txt look="strong">{`Replace everything by “${chosen.name}”?`}</Txt>
            <View style={styles.acts}>
              <Button
                label="Replace"
                main
                busy={restore.isPending}
                onPress={() => restore.mutate(chosen, { onSettled: () => setChosen(null) })}
              />
              <Button label="Keep what is here" onPress={() => setChosen(null)} />
            </View>
          </>
        ) : (
          <Button
            label="Choose a JSON document"
            onPress={() => {
              restore.reset();
              void chooseFile('.json,application/json').then(setChosen);
            }}
          />
        )}
        {restore.error && <Note sort="error">{restore.error.message}</Note>}
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
