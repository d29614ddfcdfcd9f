import { attributesOf, formOf, formsOfKind, KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import { useState } from 'react';
import { useFormState, useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { FormEnd } from '../draw/FormEnd';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Icon } from '../ui/Icon';
import { Txt } from '../ui/Txt';
import { AttributeFields } from './AttributeFields';
import { startSaid, type SupplyForm } from './model';

interface KindAndFormProps {
  readonly control: Control<SupplyForm>;
  readonly setValue: UseFormSetValue<SupplyForm>;
  readonly fixedKind?: boolean;
}

/** How far the row is open: not at all, to the kinds, or to everything. */
type Open = 'no' | 'kinds' | 'all';

/**
 * What sort of thing it is, in one row that says the answer and opens to drawn choices. Where nothing was said yet one
 * line of kinds stands under it, and choosing one opens its forms; for the next one, and for a thing that is edited, it is
 * folded.
 */
export function KindAndForm({ control, setValue, fixedKind = false }: KindAndFormProps) {
  const [kind = 'ink', form = '', said = {}] = useWatch({ control, name: ['kind', 'form', 'said'] });
  const { submitCount } = useFormState({ control });
  const [chosen, setChosen] = useState<{ readonly at: number; readonly open: Open } | null>(null);
  const start: Open = !fixedKind && submitCount === 0 ? 'kinds' : 'no';
  const open = chosen?.at === submitCount ? chosen.open : start;
  const turn = (next: Open): void => setChosen({ at: submitCount, open: next });
  const choose = (next: Kind, nextForm: string): void => {
    setValue('kind', next);
    setValue('form', nextForm);
    setValue('said', { ...startSaid(next, nextForm), ...(next === kind ? said : {}) });
  };
  const answers = attributesOf(kind, form).flatMap(({ id, type, ask }) =>
    type === 'choice' && ask === 'first' && said[`a_${id}`] ? [said[`a_${id}`] ?? ''] : [],
  );
  const answer = [KIND_DEFINITIONS[kind].name, formOf(kind, form).name, ...answers].join(' · ');
  return (
    <View style={styles.box}>
      <Pressable
        role="button"
        aria-expanded={open === 'all'}
        aria-label={`What it is: ${answer}`}
        onPress={() => turn(open === 'all' ? 'no' : 'all')}
        style={styles.row}
      >
        <FormEnd kind={kind} form={form} />
        <Txt look="strong" style={styles.answer}>
          {answer}
        </Txt>
        <View style={open === 'all' && styles.turned}>
          <Icon name="next" size={20} />
        </View>
      </Pressable>
      {open !== 'no' && !fixedKind && (
        <ScrollView
          horizontal
          showsHorizontalScrollIndicator={false}
          contentContainerStyle={styles.kinds}
          role="radiogroup"
          aria-label="Kind"
        >
          {KINDS.map((each) => (
            <Chip
              key={each}
              label={KIND_DEFINITIONS[each].name}
              on={each === kind}
              onPress={() => {
                if (each !== kind) choose(each, KIND_DEFINITIONS[each].defaultForm);
                turn('all');
              }}
            />
          ))}
        </ScrollView>
      )}
      {open === 'all' && (
        <View style={styles.choices}>
          <View style={styles.chips} role="radiogroup" aria-label="Form">
            {formsOfKind(kind).map((each) => (
              <Pressable
                key={each.id}
                role="radio"
                aria-checked={each.id === form}
                aria-label={each.name}
                onPress={() => choose(kind, each.id)}
                style={[styles.tile, each.id === form && styles.on]}
              >
                <FormEnd kind={kind} form={each.id} />
                <Txt look="quiet" style={styles.name}>
                  {each.name}
                </Txt>
              </Pressable>
            ))}
          </View>
          <AttributeFields control={control} kind={kind} form={form} ask="first" only="choice" />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: {
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
  },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m - 4,
    minHeight: 56,
    paddingHorizontal: space.m - 4,
  },
  answer: { flex: 1 },
  turned: { transform: [{ rotate: '90deg' }] },
  kinds: { gap: space.s, paddingHorizontal: space.m - 4, paddingBottom: space.m - 4 },
  choices: { gap: space.m - 4, padding: space.m - 4, paddingTop: 0 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  tile: {
    minWidth: 76,
    minHeight: TOUCH,
    alignItems: 'center',
    gap: space.xs,
    padding: space.s,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
  },
  on: { borderColor: colour.text, boxShadow: `inset 0 0 0 1px ${colour.text}` },
  name: { textAlign: 'center' },
});
