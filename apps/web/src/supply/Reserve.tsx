import { formOf, freeOf } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../api/queries';
import { useHeld } from '../api/useHeld';
import { useFactsChange } from '../api/useSupplyChange';
import { measure, typed, whole, words } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { MadeAlready } from '../judge/MadeAlready';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';

const NOTHING = { project: '', amount: '' };
const MOST = 1e9;

/** Sets some aside for a project, so that it is not used up by another. */
export function Reserve({ supply, onDone }: { readonly supply: SupplyView; readonly onDone: () => void }) {
  const { preferences } = usePreferences();
  const { counting } = formOf(supply.kind, supply.form);
  const held = useHeld(supply.id);
  const free = freeOf(supply.stock.left, supply.facts, held);
  const amount =
    counting === 'length'
      ? measure('length', preferences.units)
      : whole(1, MOST, 'Say how much, a whole number from 1 up.');
  const said = z.object({
    project: words('Name the project it is put aside for.'),
    amount: typed(amount)
      .refine((n) => n >= 1, 'Say how much, something above 0.')
      .refine((n) => n <= free, 'That is more than is left and free. Count it first if that is wrong.'),
  });
  const ask = useAsk(`reserve.${supply.id}`, said, NOTHING);
  const change = useFactsChange(supply);
  const { reserved = [] } = supply.facts;
  const submit = (): void =>
    ask.submit((aside) =>
      change.mutateAsync({ ...supply.facts, reserved: [...reserved, aside] }).then(onDone),
    );
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        <Field control={ask.control} name="project" label="For the project" />
        <Field
          control={ask.control}
          name="amount"
          label={counting === 'fill' ? 'Uses' : 'How much'}
          onSubmit={submit}
        />
      </View>
      <MadeAlready job={ask.said.project} />
      <Button label="Put it aside" main busy={change.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
