import type { SupplySwatch } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useFactsChange } from '../api/useSupplyChange';
import { NewSwatch } from './NewSwatch';

/** The colours a supply really makes, each made how and on what; one of them is true and decides the order. */
export function Swatches({ supply }: { readonly supply: SupplyView }) {
  const [adding, setAdding] = useState(false);
  const { swatches = [], trueSwatch, lidColour, otherHexes = [] } = supply.facts;
  const change = useFactsChange(supply);
  const decide = (id: string) => change.mutate({ ...supply.facts, trueSwatch: id, lidColour: false });
  const drop = (id: string) => {
    const { trueSwatch: decided, ...facts } = supply.facts;
    const left = swatches.filter((swatch) => swatch.id !== id);
    change.mutate({
      ...facts,
      swatches: left,
      ...(decided && decided !== id ? { trueSwatch: decided } : {}),
    });
  };
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Swatches
      </Txt>
      {lidColour && (
        <Note sort="attention">
          The colour shown is only the lid’s. Make a swatch on paper to know the true one.
        </Note>
      )}
      {swatches.length === 0 && !lidColour && (
        <Txt look="quiet">None yet. A swatch made on paper is truer than the lid.</Txt>
      )}
      {swatches.map((swatch) => (
        <View key={swatch.id} style={styles.row}>
          <View style={[styles.swatch, { backgroundColor: swatch.hex }]} />
          <View style={styles.words}>
            <Txt look={swatch.id === trueSwatch ? 'strong' : 'body'}>
              {swatch.made} on {swatch.ground}
              {swatch.id === trueSwatch ? ', true' : ''}
            </Txt>
            <Txt look="quiet">{saySwatch(swatch)}</Txt>
          </View>
          {swatch.id !== trueSwatch && (
            <Button
              label="True"
              says={`Make ${swatch.made} on ${swatch.ground} the true colour`}
              onPress={() => decide(swatch.id)}
            />
          )}
          <Button
            label="Drop"
            says={`Drop the swatch ${swatch.made} on ${swatch.ground}`}
            onPress={() => drop(swatch.id)}
          />
        </View>
      ))}
      {otherHexes.length > 0 && (
        <View style={styles.row} role="img" aria-label={`Also found by ${otherHexes.join(', ')}`}>
          <Txt look="quiet">Also found by</Txt>
          {otherHexes.map((hex) => (
            <View key={hex} style={[styles.other, { backgroundColor: hex }]} />
          ))}
        </View>
      )}
      {adding ? (
        <NewSwatch supply={supply} onDone={() => setAdding(false)} />
      ) : (
        <View style={styles.start}>
          <Button label="Add a swatch" onPress={() => setAdding(true)} />
        </View>
      )}
    </View>
  );
}

const saySwatch = ({ hex, taken, spread, on }: SupplySwatch): string =>
  [
    hex,
    taken,
    spread === undefined ? null : `spread ${spread.toFixed(1)} ΔE`,
    on ? format(new Date(on), 'd MMM yyyy') : null,
  ]
    .filter(Boolean)
    .join(' · ');

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center', minHeight: TOUCH },
  swatch: {
    width: TOUCH,
    height: TOUCH,
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  other: { width: 24, height: 24, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
  words: { flex: 1, minWidth: 130 },
  start: { alignItems: 'flex-start' },
});
