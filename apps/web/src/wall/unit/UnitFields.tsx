import { FILLINGS, KIND_DEFINITIONS, KINDS } from '@red-shelf/core';
import { Controller, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';
import type { How, UnitSaid } from './said';

const HOW_WORDS: Readonly<Record<How, string>> = {
  cells: 'in cells',
  run: 'side by side',
  stack: 'on one another',
  loose: 'loose, as they fall',
};
const WAY_WORDS: Readonly<Record<UnitSaid['way'], string>> = {
  stand: 'stand on a shelf or in a gutter',
  rail: 'stand on a rail',
  rod: 'hang on a rod',
  hooks: 'hang on hooks',
  file: 'stand filed, edges up',
};
const FILLING_WORDS = { rows: 'row by row', columns: 'column by column', snake: 'as a snake' } as const;

const wordOf = <K extends string>(words: Readonly<Record<K, string>>, word: string): K | undefined =>
  (Object.keys(words) as K[]).find((key) => words[key] === word);

/** What a unit is: name and letter, how it holds things and its sizes, what it is made for. */
export function UnitFields({
  control,
  how,
  way,
  onTurn,
}: {
  readonly control: Control<UnitSaid>;
  readonly how: How;
  readonly way: UnitSaid['way'];
  /** Turns it a quarter; left out where what is in it would have to move. */
  readonly onTurn?: (() => void) | undefined;
}) {
  return (
    <>
      <View style={styles.row}>
        <View style={styles.wide}>
          <Field control={control} name="name" label="Name" />
        </View>
        <Field control={control} name="label" label="Letter" hint="next free one when empty" />
      </View>
      <Controller
        control={control}
        name="how"
        render={({ field }) => (
          <Choice
            label="Things stand"
            options={Object.values(HOW_WORDS)}
            value={HOW_WORDS[field.value]}
            onChange={(word) => field.onChange(wordOf(HOW_WORDS, word) ?? 'cells')}
          />
        )}
      />
      {how === 'cells' && <Cells control={control} />}
      {how === 'cells' && onTurn && <Button label="Turn it a quarter" onPress={onTurn} />}
      {how === 'run' && <Run control={control} way={way} />}
      {(how === 'stack' || how === 'loose') && <Inside control={control} how={how} />}
      <MadeFor control={control} />
    </>
  );
}

function Cells({ control }: { readonly control: Control<UnitSaid> }) {
  return (
    <>
      <View style={styles.row}>
        <Field control={control} name="rows" label="Rows" />
        <View style={styles.wide}>
          <Field
            control={control}
            name="rowHeight"
            label="Height of a row"
            hint="22 mm; or one for each: 22; 22; 40 mm"
          />
        </View>
      </View>
      <View style={styles.row}>
        <Field control={control} name="columns" label="Columns" />
        <View style={styles.wide}>
          <Field
            control={control}
            name="columnWidth"
            label="Width of a column"
            hint="inside, 4 in or 102 mm"
          />
        </View>
      </View>
      <View style={styles.row}>
        <Field control={control} name="depth" label="Depth" hint="of one spot" />
        <Field control={control} name="layers" label="Spots deep" hint="behind one another" />
        <Field control={control} name="wall" label="Walls between" />
        <Field control={control} name="front" label="Front hides" hint="of each row, from below" />
      </View>
      <Controller
        control={control}
        name="filling"
        render={({ field }) => (
          <Choice
            label="Filled"
            options={FILLINGS.map((filling) => FILLING_WORDS[filling])}
            value={FILLING_WORDS[field.value]}
            onChange={(word) => field.onChange(wordOf(FILLING_WORDS, word) ?? 'rows')}
          />
        )}
      />
      <View style={styles.row}>
        <Field control={control} name="skip" label="Columns to skip" hint="3, 7; none when empty" />
        <Limit control={control} />
      </View>
    </>
  );
}

function Run({ control, way }: { readonly control: Control<UnitSaid>; readonly way: UnitSaid['way'] }) {
  return (
    <>
      <Controller
        control={control}
        name="way"
        render={({ field }) => (
          <Choice
            label="They"
            options={Object.values(WAY_WORDS)}
            value={WAY_WORDS[field.value]}
            onChange={(word) => field.onChange(wordOf(WAY_WORDS, word) ?? 'stand')}
          />
        )}
      />
      <View style={styles.row}>
        <Field control={control} name="width" label="Length inside" />
        <Field control={control} name="height" label="Height inside" />
        <Field
          control={control}
          name="inner"
          label="Depth inside"
          {...(way === 'rod' ? { hint: 'twice as far as the rod is from the wall' } : {})}
        />
      </View>
      <View style={styles.row}>
        {way === 'rod' ? (
          <Field control={control} name="rod" label="Rod, across" hint="12 mm, or 1/2 in" />
        ) : (
          <Field control={control} name="lip" label="Lip in front" hint="how high; 0 where there is none" />
        )}
        <Field control={control} name="finger" label="Keep free" hint="length for a finger to leaf" />
        <Limit control={control} />
      </View>
    </>
  );
}

function Inside({ control, how }: { readonly control: Control<UnitSaid>; readonly how: 'stack' | 'loose' }) {
  return (
    <>
      <View style={styles.row}>
        <Field control={control} name="width" label="Width inside" />
        <Field control={control} name="height" label="Height inside" />
        <Field control={control} name="inner" label="Depth inside" />
      </View>
      <View style={styles.row}>
        {how === 'loose' ? (
          <Field control={control} name="fill" label="Full at, percent" hint="leave room for fingers" />
        ) : (
          <Field control={control} name="finger" label="Keep free above" hint="for a hand to lift the pile" />
        )}
        <Limit control={control} />
      </View>
    </>
  );
}

const Limit = ({ control }: { readonly control: Control<UnitSaid> }) => (
  <Field control={control} name="cap" label="At most" hint="things; then one in, one out" />
);

function MadeFor({ control }: { readonly control: Control<UnitSaid> }) {
  return (
    <Controller
      control={control}
      name="kinds"
      render={({ field, fieldState }) => (
        <View style={styles.box}>
          <Txt look="quiet">Made for</Txt>
          <View style={styles.chips} role="group" aria-label="Made for">
            {KINDS.map((kind) => (
              <Chip
                key={kind}
                many
                label={KIND_DEFINITIONS[kind].plural}
                on={field.value.includes(kind)}
                onPress={() =>
                  field.onChange(
                    field.value.includes(kind)
                      ? field.value.filter((each) => each !== kind)
                      : [...field.value, kind],
                  )
                }
              />
            ))}
          </View>
          {fieldState.error && <Note sort="error">{fieldState.error.message ?? ''}</Note>}
        </View>
      )}
    />
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  wide: { flex: 2, minWidth: 170, flexDirection: 'row' },
  box: { gap: space.xs },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
