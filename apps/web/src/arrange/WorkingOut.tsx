import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';

/** What is done sooner says nothing, ms. */
const SOON_MS = 600;

/** Says that a large stash is being worked out, and lets one stop it. */
export function WorkingOut({ on, onStop }: { readonly on: boolean; readonly onStop: () => void }) {
  const [long, setLong] = useState(false);
  useEffect(() => {
    if (!on) return undefined;
    const timer = setTimeout(() => setLong(true), SOON_MS);
    return () => {
      clearTimeout(timer);
      setLong(false);
    };
  }, [on]);
  if (!long) return null;
  return (
    <View role="status" style={styles.box}>
      <View style={styles.words}>
        <Txt>Working out what goes where…</Txt>
        <ProgressBar indeterminate color={colour.action} />
      </View>
      <Button label="Stop" says="Stop working it out" onPress={onStop} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  words: { flex: 1, gap: space.s },
});
