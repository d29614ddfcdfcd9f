import type { SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { useFactsChange } from '../api/useSupplyChange';
import { many } from '../copy/words';
import { typed, whole } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Txt } from '../ui/Txt';

/** Of a set whose pieces are known: how many are there before it goes back; what is missing is kept as missing. */
export function SetCount({ supply }: { readonly supply: SupplyView }) {
  const { attributes = {} } = supply.facts;
  const { pieces } = attributes;
  return typeof pieces === 'number' && pieces > 1 ? <Count supply={supply} pieces={pieces} /> : null;
}

function Count({ supply, pieces }: { readonly supply: SupplyView; readonly pieces: number }) {
  const { attributes = {} } = supply.facts;
  const missing = typeof attributes.missing === 'number' ? attributes.missing : 0;
  const change = useFactsChange(supply);
  const said = z.object({
    there: typed(whole(0, pieces, `Say how many of its ${pieces} pieces are there, from 0 to ${pieces}.`)),
  });
  const ask = useAsk(`pieces.${supply.id}`, said, { there: String(pieces - missing) });
  const submit = (): void =>
    ask.submit(({ there }) => {
      const { missing: _, ...rest } = attributes;
      const next = there < pieces ? { ...rest, missing: pieces - there } : rest;
      return change.mutateAsync({ ...supply.facts, attributes: next });
    });
  return (
    <View style={styles.row}>
      <View style={styles.field}>
        <Field
          control={ask.control}
          name="there"
          label={`Of ${pieces} pieces there`}
          says={`Pieces of ${supply.name} that are there, of ${pieces}`}
          numeric
          onSubmit={submit}
        />
      </View>
      {ask.begun && <Button label="So many" says={`So many of ${supply.name} are there`} onPress={submit} />}
      {missing > 0 && !ask.begun && <Txt look="quiet">{`${many(missing, 'piece')} missing`}</Txt>}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  field: { width: 150 },
});
