import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Input } from '../ui/Input';
import { NamedColours } from './NamedColours';
import type { TakenColour } from './taken';
import { useColourNames } from './useColourNames';

/** Colour names people use, suggested as one types. */
export function NameWay({ onTake }: { readonly onTake: (colour: TakenColour) => void }) {
  const [text, setText] = useState('');
  const names = useColourNames(useDeferredValue(text));
  return (
    <View style={styles.box}>
      <Input label="Colour name" value={text} onChange={setText} hint="moss, dusty rose, petrol" />
      <NamedColours names={names} onTake={({ hex }) => onTake({ hex, taken: 'name' })} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: 2 } });
