import { FAMILIES, FINISHES } from '@red-shelf/core';
import { useState } from 'react';
import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import type { TakenColour } from '../colour/taken';
import { AttributeFields } from './AttributeFields';
import { FactFields } from './FactFields';
import { KindAndForm } from './KindAndForm';
import type { SupplyForm } from './model';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { ColourLine } from './ColourLine';

export type { SupplyForm } from './model';

interface SupplyFieldsProps {
  readonly control: Control<SupplyForm>;
  readonly setValue: UseFormSetValue<SupplyForm>;
  /** An existing supply keeps its kind: its history is counted that way. */
  readonly fixedKind?: boolean;
  readonly onSubmit: () => void;
  /** Told how the colour was taken, where it was not typed. */
  readonly onTake?: (colour: TakenColour) => void;
}

/** The questions every supply is asked; what seldom matters is folded away. */
export function SupplyFields({ control, setValue, fixedKind = false, onSubmit, onTake }: SupplyFieldsProps) {
  const [more, setMore] = useState(false);
  const [kind = 'ink', form = ''] = useWatch({ control, name: ['kind', 'form'] });
  return (
    <>
      <KindAndForm control={control} setValue={setValue} fixedKind={fixedKind} />
      <Field control={control} name="name" label="Name" onSubmit={onSubmit} />
      <ColourLine control={control} setValue={setValue} onSubmit={onSubmit} {...(onTake ? { onTake } : {})} />
      <AttributeFields control={control} kind={kind} form={form} ask="first" but="choice" />
      <View style={styles.pair}>
        <Field control={control} name="code" label="Code" onSubmit={onSubmit} />
        <Field control={control} name="maker" label="Maker" onSubmit={onSubmit} />
        <Field control={control} name="range" label="Range" onSubmit={onSubmit} />
      </View>
      <View style={styles.start}>
        <Button
          label={more ? 'Fewer questions' : 'Finish, family, note'}
          says={more ? 'Fewer questions' : 'More questions: finish, family, standing, measures, note'}
          onPress={() => setMore(!more)}
        />
      </View>
      {more && (
        <>
          <FinishAndFamily control={control} setValue={setValue} />
          <AttributeFields control={control} kind={kind} form={form} ask="more" />
          <FactFields control={control} />
          <Field control={control} name="note" label="Note" multiline />
        </>
      )}
    </>
  );
}

function FinishAndFamily({ control, setValue }: Pick<SupplyFieldsProps, 'control' | 'setValue'>) {
  const [finish = 'matte', familyOverride] = useWatch({ control, name: ['finish', 'familyOverride'] });
  return (
    <>
      <Choice
        label="Finish"
        options={FINISHES}
        value={finish}
        onChange={(next) => setValue('finish', next as SupplyForm['finish'])}
      />
      <Choice
        label="File it under"
        options={['as computed', ...FAMILIES]}
        value={familyOverride ?? 'as computed'}
        onChange={(next) =>
          setValue('familyOverride', next === 'as computed' ? null : (next as SupplyForm['familyOverride']))
        }
      />
      {familyOverride && <Field control={control} name="familyReason" label="Why (kept with it)" />}
    </>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  start: { alignItems: 'flex-start' },
});
