import { attributesOf, type AttributeDefinition, type Kind } from '@red-shelf/core';
import { useController, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import type { SupplyForm } from './model';

interface AttributeFieldsProps {
  readonly control: Control<SupplyForm>;
  readonly kind: Kind;
  readonly form: string;
  readonly ask: AttributeDefinition['ask'];
  /** Only questions of this sort, or all but those. */
  readonly only?: AttributeDefinition['type'];
  readonly but?: AttributeDefinition['type'];
}

/** The questions a form asks beyond name, colour and count. */
export function AttributeFields({ control, kind, form, ask, only, but }: AttributeFieldsProps) {
  const asked = attributesOf(kind, form).filter(
    ({ ask: when, type }) => when === ask && (!only || type === only) && type !== but,
  );
  if (asked.length === 0) return null;
  return (
    <View style={styles.fields}>
      {asked.map((attribute) => (
        <AttributeField key={`${kind} ${attribute.id}`} control={control} attribute={attribute} />
      ))}
    </View>
  );
}

const HINT: Partial<Record<AttributeDefinition['type'], string>> = {
  paper: '216 gsm, 110 lb cover, 65 lb index',
};

function AttributeField({
  control,
  attribute,
}: {
  readonly control: Control<SupplyForm>;
  readonly attribute: AttributeDefinition;
}) {
  const name = `said.a_${attribute.id}` as const;
  const { field } = useController({ control, name });
  if (attribute.type === 'choice')
    return (
      <View style={styles.whole}>
        <Choice
          label={attribute.name}
          options={attribute.options}
          value={field.value ?? ''}
          onChange={field.onChange}
          optional
        />
      </View>
    );
  if (attribute.type === 'flag')
    return (
      <Chip
        many
        label={attribute.name}
        on={field.value === 'yes'}
        onPress={() => field.onChange(field.value === 'yes' ? '' : 'yes')}
      />
    );
  const hint = ('like' in attribute && attribute.like) || HINT[attribute.type];
  return (
    <View style={styles.half}>
      <Field control={control} name={name} label={attribute.name} {...(hint ? { hint } : {})} />
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  whole: { width: '100%' },
  half: { flexGrow: 1, flexBasis: 150 },
});
