import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { restoreStash, restoringNow } from '../api/files';
import { useChange } from '../api/useChange';
import { colour, LIP, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { chooseFile } from '../ui/files';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

const LOOK_MS = 700;
const STEPS = {
  reading: 'Reading the file',
  photos: 'Putting the photos in their place',
  checking: 'Checking what it says',
  writing: 'Writing it down',
} as const;

/** Replaces everything by a backup or a document, and says how far that is. */
export function BringBack() {
  const [chosen, setChosen] = useState<File | null>(null);
  const restore = useChange((file: File) => restoreStash(file), { quiet: true });
  if (restore.isPending) return <HowFar />;
  return (
    <>
      {chosen ? (
        <>
          <Txt look="strong">{`Replace everything by “${chosen.name}”?`}</Txt>
          <View style={styles.acts}>
            <Button
              label="Replace"
              main
              onPress={() => restore.mutate(chosen, { onSettled: () => setChosen(null) })}
            />
            <Button label="Keep what is here" onPress={() => setChosen(null)} />
          </View>
        </>
      ) : (
        <Button
          label="Choose a backup or document"
          onPress={() => {
            restore.reset();
            void chooseFile('.zip,.json,application/zip,application/json').then(setChosen);
          }}
        />
      )}
      {restore.error && <Note sort="error">{restore.error.message}</Note>}
    </>
  );
}

function HowFar() {
  const { data } = useQuery({ queryKey: ['restoring'], queryFn: restoringNow, refetchInterval: LOOK_MS });
  const share = data ? data.done / Math.max(1, data.total) : 0;
  return (
    <View style={styles.far} role="status" aria-live="polite">
      <Txt>
        {data ? STEPS[data.step] : 'Sending the file'}
        {data && data.total > 1 ? `, ${Math.round(100 * share)}%` : ''}…
      </Txt>
      <View style={styles.track}>
        <View style={[styles.done, { width: `${100 * share}%` }]} />
      </View>
      <Txt look="quiet">
        Until it is done, what is here stays as it is. Other windows can be used meanwhile.
      </Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  far: { gap: space.s, width: '100%' },
  track: { height: LIP, backgroundColor: colour.hairline },
  done: { height: LIP, backgroundColor: colour.action },
});
