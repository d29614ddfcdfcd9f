import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Input } from '../ui/Input';
import { Txt } from '../ui/Txt';
import type { TakenColour } from './taken';

/** Colour names people use, suggested as one types. */
export function NameWay({ onTake }: { readonly onTake: (colour: TakenColour) => void }) {
  const [text, setText] = useState('');
  const query = useDeferredValue(text.trim());
  const { data } = useQuery({
    queryKey: ['colour names', query],
    queryFn: () => call(routes.colourNames, { body: { query } }),
    enabled: query.length > 1,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const names = query.length > 1 ? (data?.names ?? []) : [];
  return (
    <View style={styles.box}>
      <Input label="Colour name" value={text} onChange={setText} hint="moss, dusty rose, petrol" />
      {names.map(({ name, hex }) => (
        <Pressable
          key={name}
          role="button"
          aria-label={`Take ${name}`}
          onPress={() => onTake({ hex, taken: 'name' })}
          style={styles.name}
        >
          <View style={[styles.swatch, { backgroundColor: hex }]} />
          <Txt>{name}</Txt>
          <Txt look="quiet">{hex}</Txt>
        </Pressable>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: 2 },
  name: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: TOUCH },
  swatch: { width: 32, height: 32, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
});
