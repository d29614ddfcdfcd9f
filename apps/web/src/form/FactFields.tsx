import { GRADES, splitWords, STATUSES, tagCounts } from '@red-shelf/core';
import { useController, useWatch, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { useStash } from '../api/queries';
import { space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Choice } from '../ui/Choice';
import { DateField } from '../ui/DateField';
import { Field } from '../ui/Field';
import { Txt } from '../ui/Txt';
import type { SupplyForm } from './model';

type Said = { readonly control: Control<SupplyForm>; readonly name: string; readonly label: string };

/** Its life in the stash: standing, grade, dates, money, tags. */
export function FactFields({ control }: { readonly control: Control<SupplyForm> }) {
  const said = useWatch({ control, name: 'said' }) ?? {};
  return (
    <View style={styles.fields}>
      <SaidChoice control={control} name="status" label="Standing" options={STATUSES} />
      {said.status === 'trial' && <SaidDate control={control} name="decideOn" label="Decide by" />}
      <SaidChoice control={control} name="grade" label="Good enough for" options={GRADES} />
      <View style={styles.row}>
        <SaidFlag control={control} name="collection" label="Collection, leave in peace" />
        <SaidFlag control={control} name="lidColour" label="Colour is only the lid’s" />
        <SaidFlag control={control} name="stays" label="Leave where it is when arranging" />
      </View>
      <TagField control={control} />
      <View style={styles.row}>
        <Field control={control} name="said.spares" label="Spares I mean to keep" />
        <Field control={control} name="said.lowAt" label="Low at" hint="as usual when empty" />
        <Field control={control} name="said.par" label="When low, buy up to" hint="as usual when empty" />
        <Field
          control={control}
          name="said.usesPerFill"
          label="Uses from full to dry"
          hint="as usual when empty"
        />
        <Field control={control} name="said.price" label="Price" hint="4.50" />
        <Field control={control} name="said.source" label="From" />
      </View>
      <View style={styles.row}>
        <SaidDate control={control} name="acquiredOn" label="Acquired" />
        <SaidDate control={control} name="openedOn" label="Opened" />
      </View>
      <View style={styles.row}>
        <Field control={control} name="said.barcode" label="Barcode" />
        <Field control={control} name="said.size" label="Outside size" hint="98 × 20 × 66 mm" />
        <Field control={control} name="said.massMg" label="Mass of one" hint="62 g" />
      </View>
    </View>
  );
}

function SaidChoice({ control, name, label, options }: Said & { readonly options: readonly string[] }) {
  const { field } = useController({ control, name: `said.${name}` });
  return (
    <Choice label={label} options={options} value={field.value ?? ''} onChange={field.onChange} optional />
  );
}

function SaidFlag({ control, name, label }: Said) {
  const { field } = useController({ control, name: `said.${name}` });
  const on = field.value === 'yes';
  return <Chip many label={label} on={on} onPress={() => field.onChange(on ? '' : 'yes')} />;
}

function SaidDate({ control, name, label }: Said) {
  const { field, fieldState } = useController({ control, name: `said.${name}` });
  return (
    <DateField
      label={label}
      value={field.value ?? ''}
      onChange={field.onChange}
      error={fieldState.error?.message}
    />
  );
}

const OFFERED = 6;

/** Tags, with those already in use offered, so that one meaning keeps one word. */
function TagField({ control }: { readonly control: Control<SupplyForm> }) {
  const { field } = useController({ control, name: 'said.tags' });
  const { stash } = useStash();
  const typed = field.value ?? '';
  const last = (typed.split(',').at(-1) ?? '').trim().toLowerCase();
  const given = splitWords(typed);
  const offered = tagCounts(stash?.supplies ?? [])
    .filter(({ tag }) => !given.includes(tag) && tag.toLowerCase().startsWith(last))
    .slice(0, OFFERED);
  const take = (tag: string): void => {
    const before = last === '' ? given : given.slice(0, -1);
    field.onChange(`${[...before, tag].join(', ')}, `);
  };
  return (
    <View style={styles.tags}>
      <Field control={control} name="said.tags" label="Tags" hint="with commas between" />
      {offered.length > 0 && (
        <View style={styles.row}>
          <Txt look="quiet">In use:</Txt>
          {offered.map(({ tag, count }) => (
            <Chip key={tag} label={`${tag} ${count}`} on={false} onPress={() => take(tag)} />
          ))}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { gap: space.m - 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  tags: { gap: space.xs },
});
