import { groupBody, type GroupBody } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../api/queries';
import { sayPrice } from '../copy/measure';
import { DayField } from '../form/bound';
import { into, price, typedOr } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import type { Group } from './group';

/** What a person says of a kit or a pack besides what is in it, as typed. */
const factsSaid = (body: GroupBody, currency: string) =>
  z
    .object({
      name: z.string(),
      source: z.string(),
      acquiredOn: z.string(),
      price: typedOr(undefined, price(currency)),
      note: z.string(),
    })
    .transform(({ price: paid, acquiredOn, ...said }) => {
      const { price: _, ...rest } = body;
      return { ...rest, ...said, acquiredOn: acquiredOn || null, ...(paid ? { price: paid } : {}) };
    })
    .transform(into(groupBody));

interface GroupFactsProps {
  readonly group: Group;
  readonly onKeep: (next: GroupBody) => Promise<unknown>;
  readonly onDone: () => void;
}

/** Name, where from, when, for how much, a note. */
export function GroupFacts({ group: { id, body }, onKeep, onDone }: GroupFactsProps) {
  const { currency } = usePreferences().preferences;
  const ask = useAsk(`group.${id}`, factsSaid(body, body.price?.currency ?? currency), {
    name: body.name,
    source: body.source,
    acquiredOn: body.acquiredOn ?? '',
    price: body.price ? sayPrice(body.price) : '',
    note: body.note,
  });
  const { control } = ask;
  const submit = (): void => ask.submit((next) => onKeep(next).then(onDone));
  return (
    <View style={styles.box} role="form" aria-label="What it is">
      <Field control={control} name="name" label="Name" onSubmit={submit} />
      <View style={styles.row}>
        <Field control={control} name="source" label="From" />
        <DayField control={control} name="acquiredOn" label="Acquired" />
        <Field control={control} name="price" label="Price" hint="unknown is fine" />
      </View>
      <Field control={control} name="note" label="Note" />
      <Button label="Keep it so" main onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
