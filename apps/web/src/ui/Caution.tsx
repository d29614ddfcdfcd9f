import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
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

/** A caution where the act is, shown until this browser has been told "got it". */
export function Caution({ id, children }: { readonly id: string; readonly children: string }) {
  const [read, setRead] = useState(() => wasRead(id));
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
      <Txt>{children}</Txt>
      <View style={styles.act}>
        <Button label="Got it" onPress={gotIt} />
      </View>
    </Note>
  );
}

const styles = StyleSheet.create({ act: { alignItems: 'flex-start' } });
