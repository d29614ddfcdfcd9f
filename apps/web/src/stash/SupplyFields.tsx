import {
  FINISHES,
  familyOf,
  formsOfKind,
  groupOf,
  FAMILIES,
  KIND_DEFINITIONS,
  KINDS,
  parseColour,
  type Family,
  type Finish,
  type Kind,
} from '@red-shelf/core';
import { useState } from 'react';
import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Field } from '../ui/Field';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { ColourPicker } from './ColourPicker';

/** A supply as the form holds it. */
export interface SupplyForm {
  kind: Kind;
  form: string;
  name: string;
  maker: string;
  range: string;
  code: string;
  hex: string;
  finish: Finish;
  familyOverride: Family | null;
  familyReason: string;
  note: string;
}

interface SupplyFieldsProps {
  readonly control: Control<SupplyForm>;
  readonly setValue: UseFormSetValue<SupplyForm>;
  /** An existing supply keeps its kind: its history is counted that way. */
  readonly fixedKind?: boolean;
  readonly onSubmit: () => void;
}

/** The questions every supply is asked; what seldom matters is folded away. */
export function SupplyFields({ control, setValue, fixedKind = false, onSubmit }: SupplyFieldsProps) {
  const [more, setMore] = useState(false);
  const { kind, form } = useWatch({ control });
  const forms = formsOfKind(kind ?? 'ink');
  return (
    <>
      {!fixedKind && (
        <View style={styles.chips} role="radiogroup" aria-label="Kind">
          {KINDS.map((each) => (
            <Chip
              key={each}
              label={KIND_DEFINITIONS[each].name}
              on={each === kind}
              onPress={() => {
                setValue('kind', each);
                setValue('form', KIND_DEFINITIONS[each].defaultForm);
              }}
            />
          ))}
        </View>
      )}
      <View style={styles.chips} role="radiogroup" aria-label="Form">
        {forms.map((each) => (
          <Chip
            key={each.id}
            label={each.name}
            on={each.id === form}
            onPress={() => setValue('form', each.id)}
          />
        ))}
      </View>
      <Field control={control} name="name" label="Name" onSubmit={onSubmit} />
      <ColourLine control={control} setValue={setValue} onSubmit={onSubmit} />
      <View style={styles.pair}>
        <Field control={control} name="code" label="Code" onSubmit={onSubmit} />
        <Field control={control} name="maker" label="Maker" onSubmit={onSubmit} />
        <Field control={control} name="range" label="Range" onSubmit={onSubmit} />
      </View>
      <View style={styles.start}>
        <Button label={more ? 'Fewer questions' : 'Finish, family, note'} onPress={() => setMore(!more)} />
      </View>
      {more && <More control={control} setValue={setValue} />}
    </>
  );
}

function ColourLine({
  control,
  setValue,
  onSubmit,
}: Pick<SupplyFieldsProps, 'control' | 'setValue' | 'onSubmit'>) {
  const { hex = '', finish } = useWatch({ control });
  const colour = parseColour(hex);
  const opinion = colour.ok ? familyOf(colour.hex, finish) : null;
  return (
    <View style={styles.colour}>
      <Field
        control={control}
        name="hex"
        label="Colour"
        hint={
          opinion
            ? `${opinion.family}, ${Math.round(opinion.confidence * 100)}% sure`
            : 'a hex such as #c23b42, or a name'
        }
        onSubmit={onSubmit}
      />
      <View style={styles.swatch}>
        {colour.ok && opinion && <Swatch hex={colour.hex} group={groupOf(opinion.family)} />}
        <ColourPicker
          hex={colour.ok ? colour.hex : '#999999'}
          onPick={(picked) => setValue('hex', picked, { shouldValidate: true })}
        />
      </View>
    </View>
  );
}

function More({ control, setValue }: Pick<SupplyFieldsProps, 'control' | 'setValue'>) {
  const { finish, familyOverride } = useWatch({ control });
  return (
    <>
      <Txt look="quiet">Finish</Txt>
      <View style={styles.chips} role="radiogroup" aria-label="Finish">
        {FINISHES.map((each) => (
          <Chip key={each} label={each} on={each === finish} onPress={() => setValue('finish', each)} />
        ))}
      </View>
      <Txt look="quiet">File it under</Txt>
      <View style={styles.chips} role="radiogroup" aria-label="Family">
        <Chip
          label="as computed"
          on={familyOverride === null}
          onPress={() => setValue('familyOverride', null)}
        />
        {FAMILIES.map((each) => (
          <Chip
            key={each}
            label={each}
            on={each === familyOverride}
            onPress={() => setValue('familyOverride', each)}
          />
        ))}
      </View>
      {familyOverride && <Field control={control} name="familyReason" label="Why (kept with it)" />}
      <Field control={control} name="note" label="Note" multiline />
    </>
  );
}

const styles = StyleSheet.create({
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  pair: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  colour: { flexDirection: 'row', gap: space.s },
  swatch: { flexDirection: 'row', gap: space.s, paddingTop: 8 },
  start: { alignItems: 'flex-start' },
});
