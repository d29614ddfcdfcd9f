import { remainsOf } from '@red-shelf/core';
import { stockRequest, type StockRequestBody, type SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../api/queries';
import { onePart } from '../copy/parts';
import { into, measure, typed, typedOr } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Field } from '../ui/Field';

interface RemainsProps {
  /** Under which name what is typed is kept. */
  readonly name: string;
  readonly supply: SupplyView;
  readonly busy: boolean;
  readonly onWrite: (body: StockRequestBody) => Promise<unknown>;
}

/** What stays when some of a roll is cut off, or a sheet is begun: kept as a remnant of a length, or as a part of a sheet. */
export const Remains = (props: RemainsProps) =>
  props.supply.kind === 'ribbon' ? <Remnant {...props} /> : <PartSheet {...props} />;

function Remnant({ name, supply, busy, onWrite }: RemainsProps) {
  const { units } = usePreferences().preferences;
  const length = measure('length', units);
  const said = z
    .object({ used: typedOr(0, length), kept: typed(length) })
    .transform(({ used, kept }) => ({
      ...{ act: 'cut' as const, amount: used + kept, items: 0, left: 1 },
      pieces: [{ as: 'scrap' as const, items: 1, sizeUm: remainsOf(supply, { lengthUm: kept }) }],
    }))
    .transform(into(stockRequest));
  const ask = useAsk(name, said, { used: '', kept: '' });
  const submit = (): void => ask.submit(onWrite);
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        <Field control={ask.control} name="used" label="Used of what is cut off" hint="may stay empty" />
        <Field
          control={ask.control}
          name="kept"
          label="Length of the remnant"
          hint="40 cm"
          onSubmit={submit}
        />
      </View>
      <Button label="Note it: cut off" main busy={busy} onPress={submit} />
    </View>
  );
}

/** How much of a begun sheet is left. */
const SHARES = [
  ['three quarters', 0.75],
  ['half', 0.5],
  ['a quarter', 0.25],
] as const;

function PartSheet({ supply, busy, onWrite }: RemainsProps) {
  const [share, setShare] = useState<number>(0.5);
  const write = (): void => {
    const sizeUm = remainsOf(supply, { share });
    void onWrite({
      ...{ act: 'cut', amount: 1, items: 0, left: 1 },
      pieces: [{ as: 'scrap', items: 1, sizeUm }],
    }).catch(() => undefined);
  };
  return (
    <View style={styles.box}>
      <View style={styles.row} role="radiogroup" aria-label="How much of the sheet is left">
        {SHARES.map(([label, of]) => (
          <Chip key={label} label={label} on={of === share} onPress={() => setShare(of)} />
        ))}
      </View>
      <Button label={`Note it: ${onePart('scrap', supply.kind)} is left`} main busy={busy} onPress={write} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
