import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button } from './Button';
import { Note } from './Note';
import { Txt } from './Txt';

const keyOf = (id: string): string => `red-shelf.caution.${id}`;

function wasRead(id: string): boolean {
  try {
    return localStorage.getItem(keyOf(id)) !== null;
  } catch {
    // A browser that keeps nothing shows the caution each time, which does no harm.
    return false;
  }
}

/** A caution where the act is: one line with its sign, open for the rest; for this thing until somebody has got it. */
export function Caution({ id, children }: { readonly id: string; readonly children: string }) {
  const [read, setRead] = useState(() => wasRead(id));
  const [open, setOpen] = useState(false);
  if (read) return null;
  const gotIt = () => {
    setRead(true);
    try {
      localStorage.setItem(keyOf(id), 'read');
    } catch {
      // As above.
    }
  };
  return (
    <Note sort="attention">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`Caution: ${children}`}
        onPress={() => setOpen(!open)}
        style={styles.line}
      >
        <Txt lines={open ? 0 : 1}>{children}</Txt>
      </Pressable>
      {open && (
        <View style={styles.act}>
          <Button label="Got it" onPress={gotIt} />
        </View>
      )}
    </Note>
  );
}

const styles = StyleSheet.create({
  line: { minHeight: 24, justifyContent: 'center' },
  act: { alignItems: 'flex-start' },
});
