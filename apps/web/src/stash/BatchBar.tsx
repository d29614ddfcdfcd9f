import { FAMILIES, GRADES, splitWords, STATUSES } from '@red-shelf/core';
import { batchSet, type BatchSet, type SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { ApiError, order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { many } from '../copy/words';
import { ChoiceField, DayField } from '../form/bound';
import { into } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

export interface BatchBarProps {
  readonly chosen: readonly SupplyView[];
  readonly onDone: () => void;
  readonly onAll: () => void;
}

const FAMILY_CHOICES = ['as computed', ...FAMILIES] as const;

/** What was filled in; empty fields are left out. */
const batchSaid = z
  .object({
    status: z.enum(['', ...STATUSES]),
    decideOn: z.string(),
    grade: z.enum(['', ...GRADES]),
    maker: z.string().trim(),
    range: z.string().trim(),
    addTags: z.string(),
    dropTags: z.string(),
    family: z.enum(['', ...FAMILY_CHOICES]),
    lift: z.boolean(),
  })
  .transform(({ family, addTags, dropTags, ...said }) => {
    const computed = family === 'as computed';
    const filed = family === '' ? null : computed ? null : family;
    const all = {
      ...said,
      addTags: splitWords(addTags),
      dropTags: splitWords(dropTags),
    };
    return {
      ...Object.fromEntries(
        Object.entries(all).filter(([, value]) => (Array.isArray(value) ? value.length > 0 : value)),
      ),
      ...(computed ? { familyOverride: null, familyReason: '' } : {}),
      ...(filed ? { familyOverride: filed, familyReason: 'chosen for many at once' } : {}),
    };
  })
  .transform(into(batchSet));

const EMPTY: z.input<typeof batchSaid> = {
  status: '',
  decideOn: '',
  grade: '',
  maker: '',
  range: '',
  addTags: '',
  dropTags: '',
  family: '',
  lift: false,
};

/** Changes many supplies at once; empty fields leave things as they are. One undo takes it all back. */
export function BatchBar({ chosen, onDone, onAll }: BatchBarProps) {
  const [open, setOpen] = useState(false);
  const ask = useAsk('batch', batchSaid, EMPTY);
  const seen = chosen.map(({ id, version }) => ({ id, version }));
  const change = useChange(
    (what: { set?: BatchSet; remove?: boolean }) =>
      order(routes.batchEdit, { body: { supplies: seen, ...what } }),
    { quiet: true },
  );
  const merge = useChange(
    ([keep, other]: readonly [SupplyView, SupplyView]) =>
      order(routes.mergeSupplies, {
        body: {
          keep: { id: keep.id, version: keep.version },
          other: { id: other.id, version: other.version },
        },
      }),
    { quiet: true },
  );
  const apply = (): void => ask.submit((set) => change.mutateAsync({ set }).then(onDone));
  const [first, second] = chosen;
  const error = change.error ?? merge.error;
  return (
    <View style={styles.bar}>
      <View style={styles.row}>
        <Txt look="strong">{many(chosen.length, 'chosen', 'chosen')}</Txt>
        <Button label="All shown" onPress={onAll} />
        <Button
          label={open ? 'Close' : 'Change'}
          main
          disabled={chosen.length === 0}
          onPress={() => setOpen(!open)}
        />
        {first && second && chosen.length === 2 && (
          <Button
            label="They are one thing"
            busy={merge.isPending}
            onPress={() => merge.mutate([first, second], { onSuccess: onDone })}
          />
        )}
        <Button
          label="Remove"
          disabled={chosen.length === 0}
          busy={change.isPending}
          onPress={() => change.mutate({ remove: true }, { onSuccess: onDone })}
        />
        <Button label="Done" onPress={onDone} />
      </View>
      {error && <Note sort="error">{error instanceof ApiError ? error.message : 'That did not work.'}</Note>}
      {open && (
        <ScrollView style={styles.form} contentContainerStyle={styles.inside}>
          <ChoiceField control={ask.control} name="status" label="Standing" options={STATUSES} optional />
          {ask.said.status === 'trial' && (
            <DayField control={ask.control} name="decideOn" label="Decide by" />
          )}
          <ChoiceField control={ask.control} name="grade" label="Good enough for" options={GRADES} optional />
          <View style={styles.row}>
            <Field control={ask.control} name="maker" label="Maker of all" />
            <Field control={ask.control} name="range" label="Range of all" />
          </View>
          <View style={styles.row}>
            <Field control={ask.control} name="addTags" label="Add tags" />
            <Field control={ask.control} name="dropTags" label="Drop tags" />
          </View>
          <ChoiceField
            control={ask.control}
            name="family"
            label="File all under"
            options={FAMILY_CHOICES}
            optional
          />
          <Chip
            many
            label="Lift them all out of their slots"
            on={ask.said.lift}
            onPress={() => ask.set('lift', !ask.said.lift)}
          />
          <Button
            label={`Change ${many(chosen.length, 'supply', 'supplies')}`}
            main
            busy={change.isPending}
            onPress={apply}
          />
        </ScrollView>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    padding: space.s,
    gap: space.s,
    backgroundColor: colour.card,
    borderTopWidth: 1,
    borderTopColor: colour.hairline,
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  form: { maxHeight: 360 },
  inside: { gap: space.s },
});
