import type { SupplyView } from '@red-shelf/contract';
import { addYears } from 'date-fns/addYears';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useDraft } from '../form/useDraft';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { DateField } from '../ui/DateField';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { useFactsChange } from '../api/useSupplyChange';

/** Left over from a purpose that may come back: put to sleep until a day. */
export function Dormant({ supply, onDone }: { readonly supply: SupplyView; readonly onDone: () => void }) {
  const [start] = useState(() => ({
    purpose: supply.facts.dormant?.purpose ?? '',
    wakeOn: supply.facts.dormant?.wakeOn ?? format(addYears(new Date(), 1), 'yyyy-MM-dd'),
  }));
  const [draft, setDraft, clear] = useDraft(`sleep.${supply.id}`, start);
  const { purpose, wakeOn } = draft;
  const [refusal, setRefusal] = useState<string | null>(null);
  const change = useFactsChange(supply);
  const submit = (): void => {
    if (change.isPending) return;
    if (purpose.trim() === '') return setRefusal('Say what it was for, such as the school fair.');
    if (wakeOn === '') return setRefusal('Choose the day to look at it again.');
    return change.mutate(
      { ...supply.facts, dormant: { purpose: purpose.trim(), wakeOn } },
      {
        onSuccess: () => {
          clear();
          onDone();
        },
      },
    );
  };
  return (
    <View style={styles.box}>
      <Input
        label="It was for"
        value={purpose}
        onChange={(text) => setDraft({ ...draft, purpose: text })}
        onSubmit={submit}
        hint="the school fair"
      />
      <DateField
        label="Look at it again on"
        value={wakeOn}
        onChange={(on) => setDraft({ ...draft, wakeOn: on })}
      />
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label="Let it sleep" main busy={change.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s } });
