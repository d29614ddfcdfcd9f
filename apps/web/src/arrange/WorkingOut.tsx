import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { call, routes } from '../api/client';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';

/** What is done sooner says nothing, ms. */
const SOON_MS = 600;
/** How often it is asked how far it is, ms. */
const ASK_MS = 400;

interface WorkingOutProps {
  readonly on: boolean;
  /** The name under which it can be asked how far it is. */
  readonly watch: () => string;
  readonly onStop: () => void;
}

/** Says that a large stash is being worked out, and how far that is; and lets one stop it. */
export function WorkingOut({ on, watch, onStop }: WorkingOutProps) {
  const [share, setShare] = useState<number | null>(null);
  useEffect(() => {
    if (!on) return undefined;
    let ended = false;
    const look = (): void => {
      setShare((now) => now ?? 0);
      // Where nobody says how far it is, it goes on all the same.
      call(routes.arrangeProgress, { id: watch() })
        .then(({ done, total }) => ended || setShare(total === 0 ? 0 : done / total))
        .catch(() => undefined);
    };
    let timer: ReturnType<typeof setInterval> | undefined;
    const soon = setTimeout(() => {
      look();
      timer = setInterval(look, ASK_MS);
    }, SOON_MS);
    return () => {
      ended = true;
      clearTimeout(soon);
      clearInterval(timer);
      setShare(null);
    };
  }, [on]);
  if (share === null) return null;
  return (
    <View role="status" style={styles.box}>
      <View style={styles.words}>
        <Txt>Working out what goes where…</Txt>
        <ProgressBar progress={share} color={colour.action} accessibilityLabel="How far it is" />
      </View>
      <Button label="Stop" says="Stop working it out" onPress={onStop} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  words: { flex: 1, gap: space.s },
});
