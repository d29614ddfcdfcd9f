import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { StyleSheet } from 'react-native';
import { Snackbar } from 'react-native-paper';
import { words } from '../copy/words';
import { font } from '../theme/tokens';
import { useKeys } from './useKeys';

interface Saying {
  readonly text: string;
  readonly undo?: () => void;
}
const SayContext = createContext<(saying: Saying) => void>(() => undefined);

/** Says something at the foot of the screen, with undo where there is something to undo. */
export const useSay = (): ((saying: Saying) => void) => useContext(SayContext);

/** Long enough to read, think and reach. */
const STAYS_MS = 12_000;

export function SayProvider({ children }: { readonly children: ReactNode }) {
  const [saying, setSaying] = useState<(Saying & { at: number }) | null>(null);
  const say = useCallback((next: Saying) => setSaying({ ...next, at: Date.now() }), []);
  const close = useCallback(() => setSaying(null), []);
  const undo = saying?.undo;
  const takeBack = useMemo(
    () =>
      undo &&
      (() => {
        close();
        undo();
      }),
    [undo, close],
  );
  useKeys(takeBack ? { u: takeBack } : {});
  return (
    <SayContext.Provider value={say}>
      {children}
      {/* Only while it speaks: the first screen need not know it. */}
      {saying && (
        <Snackbar
          key={saying.at}
          visible
          onDismiss={close}
          duration={STAYS_MS}
          icon="close"
          onIconPress={close}
          iconAccessibilityLabel={words.dismiss}
          wrapperStyle={styles.wrapper}
          action={takeBack ? { label: words.undo, onPress: takeBack, labelStyle: styles.label } : undefined}
        >
          {saying.text}
        </Snackbar>
      )}
    </SayContext.Provider>
  );
}

const styles = StyleSheet.create({
  wrapper: { bottom: 64, maxWidth: 560, alignSelf: 'center' },
  label: { fontFamily: font.bold },
});
