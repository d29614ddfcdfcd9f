import { familyOf, familyWithout, groupOf, parseColour } from '@red-shelf/core';
import { useDeferredValue, useState, type RefObject } from 'react';
import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { StyleSheet, View, type TextInput } from 'react-native';
import { ColourWays } from '../colour/ColourWays';
import { NamedColours } from '../colour/NamedColours';
import type { TakenColour } from '../colour/taken';
import { calledSo, useColourNames } from '../colour/useColourNames';
import type { SupplyForm } from './model';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { FamilyAsk } from './FamilyAsk';

interface ColourLineProps {
  readonly control: Control<SupplyForm>;
  readonly setValue: UseFormSetValue<SupplyForm>;
  readonly onSubmit: () => void;
  /** Told how the colour was taken, where it was not typed. */
  readonly onTake?: (colour: TakenColour) => void;
  /** Where the colour is typed, for putting the cursor there. */
  readonly colourPlace?: RefObject<TextInput | null>;
}

/** Names shown under the field; the name way lists more. */
const MOST_NAMES = 3;

/**
 * The colour: a hex or any colour's name, typed, with names offered as they are; or another way. Enter on a name that is
 * just so takes it and goes on.
 */
export function ColourLine({ control, setValue, onSubmit, onTake, colourPlace }: ColourLineProps) {
  const [kind = 'ink', form = '', hex = '', finish = 'matte', familyOverride = null] = useWatch({
    control,
    name: ['kind', 'form', 'hex', 'finish', 'familyOverride'],
  });
  const [ways, setWays] = useState(false);
  // A thing that usually has no colour is asked for one when somebody says it has.
  const [asked, setAsked] = useState<string | null>(null);
  const colour = parseColour(hex);
  const without = hex.trim() === '' && familyWithout(kind, form, familyOverride) !== null;
  const names = useColourNames(useDeferredValue(colour.ok ? '' : hex));
  const opinion = colour.ok ? familyOf(colour.hex, finish) : null;
  const take = (taken: TakenColour): void => {
    setValue('hex', taken.hex, { shouldValidate: true });
    setWays(false);
    onTake?.(taken);
  };
  const takeName = (named: { hex: string }): void => take({ hex: named.hex, taken: 'name' });
  const submit = (): void => {
    const named = colour.ok ? null : calledSo(hex, names);
    if (named) takeName(named);
    onSubmit();
  };
  if (without && asked !== form)
    return (
      <View style={styles.without}>
        <Txt look="quiet">No colour needed.</Txt>
        <Button
          label="It has one"
          says="Give it a colour"
          onPress={() => {
            setAsked(form);
            if (familyOverride === 'none') setValue('familyOverride', null);
          }}
        />
      </View>
    );
  return (
    <>
      <View style={styles.colour}>
        <Field
          control={control}
          name="hex"
          label="Colour"
          place={colourPlace}
          hint={
            opinion
              ? `${opinion.family}, ${Math.round(opinion.confidence * 100)}% sure`
              : 'a hex such as #c23b42, or a name'
          }
          onSubmit={submit}
        />
        <View style={styles.swatch}>
          {colour.ok && opinion && (
            <Swatch hex={colour.hex} group={groupOf(familyOverride ?? opinion.family)} />
          )}
          <Button
            label={ways ? 'Close' : 'Take it'}
            says={ways ? 'Close the colour ways' : 'Take a colour: name, wheel, photo or reader'}
            onPress={() => setWays(!ways)}
          />
        </View>
      </View>
      {!colour.ok && <NamedColours names={names.slice(0, MOST_NAMES)} onTake={takeName} />}
      {ways && <ColourWays hex={colour.ok ? colour.hex : '#999999'} onTake={take} />}
      {colour.ok && (
        <FamilyAsk
          hex={colour.hex}
          finish={finish}
          override={familyOverride}
          onChoose={(family, reason) => {
            setValue('familyOverride', family);
            setValue('familyReason', reason);
          }}
        />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  colour: { flexDirection: 'row', gap: space.s },
  without: { flexDirection: 'row', alignItems: 'center', gap: space.m - 4 },
  swatch: { flexDirection: 'row', gap: space.s, paddingTop: 8, alignItems: 'flex-start' },
});
