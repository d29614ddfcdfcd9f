import type { SupplyView } from '@red-shelf/contract';
import { addYears } from 'date-fns/addYears';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { useFactsChange } from '../api/useSupplyChange';
import { DayField } from '../form/bound';
import { words } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';

const sleepSaid = z.object({
  purpose: words('Say what it was for, such as the school fair.'),
  wakeOn: words('Choose the day to look at it again.'),
});

/** Left over from a purpose that may come back: put to sleep until a day. */
export function Dormant({ supply, onDone }: { readonly supply: SupplyView; readonly onDone: () => void }) {
  const { facts } = supply;
  const [start] = useState(() => ({
    purpose: facts.dormant?.purpose ?? '',
    wakeOn: facts.dormant?.wakeOn ?? format(addYears(new Date(), 1), 'yyyy-MM-dd'),
  }));
  const ask = useAsk(`sleep.${supply.id}`, sleepSaid, start);
  const change = useFactsChange(supply);
  const submit = (): void => ask.submit((dormant) => change.mutateAsync({ ...facts, dormant }).then(onDone));
  return (
    <View style={styles.box}>
      <Field
        control={ask.control}
        name="purpose"
        label="It was for"
        onSubmit={submit}
        hint="the school fair"
      />
      <DayField control={ask.control} name="wakeOn" label="Look at it again on" />
      <Button label="Let it sleep" main busy={change.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s } });
