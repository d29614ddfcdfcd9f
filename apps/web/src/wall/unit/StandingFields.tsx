import { FACES, FIXINGS, OPENINGS, TOLERANCES, type Model } from '@red-shelf/core';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Pose, UnitFacts } from '@red-shelf/core';
import { sayLength, type Units } from '../../copy/measure';
import { FACE_WORDS, FIXING_WORDS, OPENING_WORDS, TOLERANCE_WORDS } from '../../copy/room';
import { ChoiceField } from '../../form/bound';
import { useAsk } from '../../form/useAsk';
import { space } from '../../theme/tokens';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { Txt } from '../../ui/Txt';
import { saidStanding, standingSchema } from './standing';

/** The form of where something stands; `facts` is null while it cannot be read. */
export function useStanding(name: string, facts: UnitFacts, units: Units) {
  const schema = useMemo(() => standingSchema(units), [units]);
  const ask = useAsk(name, schema, saidStanding(facts, units), { live: true });
  const read = schema.safeParse(ask.said);
  /** Fills in where it stands. */
  const stand = ({ wall = '', alongUm, upUm }: Pose): void => {
    ask.set('wall', wall);
    ask.set('along', alongUm === undefined ? '' : sayLength(alongUm, units));
    ask.set('up', upUm === undefined ? '' : sayLength(upUm, units));
  };
  return { ...ask, facts: read.success ? read.data : null, stand };
}

interface StandingFieldsProps {
  readonly form: ReturnType<typeof useStanding>;
  /** What it is: a piece of furniture says its outside and what it is fixed to, a unit how one gets at it. */
  readonly sort: 'piece' | 'unit';
  readonly model: Model | null;
  /** It stands in something else than the room itself. */
  readonly within: boolean;
}

const of =
  <K extends string>(words: Readonly<Record<K, string>>) =>
  (option: string): string =>
    words[option as K];

/** Where it stands, measured from the wall and the floor or from what it stands in, and how one gets at it. */
export function StandingFields({ form, sort, model, within }: StandingFieldsProps) {
  const { control, said, set } = form;
  const yes = (field: 'lies' | 'covers' | 'seat' | 'noLongerSold' | 'stays', label: string) => (
    <Chip many label={label} on={said[field]} onPress={() => set(field, !said[field])} />
  );
  return (
    <View style={styles.box}>
      <Txt look="quiet">
        {within
          ? 'Where it stands in that: from its left side and its bottom. Left empty, it is drawn where there is room.'
          : 'Where it stands: from the left end of the wall and from the floor. Left empty, it is drawn where there is room.'}
      </Txt>
      <View style={styles.row}>
        <Field control={control} name="along" label="From the left" hint="as measured" />
        <Field control={control} name="up" label={within ? 'From the bottom' : 'From the floor'} />
        {!within && <Field control={control} name="wall" label="Which wall" hint="where there are several" />}
      </View>
      <Txt look="quiet">Its outside, where that was measured</Txt>
      <View style={styles.row}>
        <Field control={control} name="width" label="Width" says="Outside width" />
        <Field control={control} name="height" label="Height" says="Outside height" />
        <Field control={control} name="depth" label="Depth" says="Outside depth" />
        <Field control={control} name="bears" label="It may bear" hint="as its maker says, such as 15 kg" />
      </View>
      <ChoiceField
        control={control}
        name="fixedTo"
        label="Fixed to"
        options={FIXINGS}
        say={of(FIXING_WORDS)}
        optional
      />
      <ChoiceField
        control={control}
        name="face"
        label="What is in it is"
        options={FACES}
        say={of(FACE_WORDS)}
        optional
      />
      {sort === 'piece' && (
        <View style={styles.chips} role="group" aria-label="Where one sits">
          {yes('seat', 'this is where I sit')}
        </View>
      )}
      {sort === 'unit' && (
        <>
          <ChoiceField
            control={control}
            name="opens"
            label="To get at it"
            options={OPENINGS}
            say={of(OPENING_WORDS)}
            optional
          />
          <View style={styles.chips} role="group" aria-label="How it lies">
            {yes('covers', 'it lies upon what else is in there')}
            {yes('noLongerSold', 'it is no longer sold')}
            {yes('stays', 'arranging leaves it as it is')}
            {model?.model === 'grid' && yes('lies', 'it lies flat, seen from above')}
          </View>
          <ChoiceField
            control={control}
            name="tolerance"
            label="Things go back"
            options={TOLERANCES}
            say={of(TOLERANCE_WORDS)}
            optional
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s + 2 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
