import { formOf, KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import type { GroupBody } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { z } from 'zod';
import { usePreferences } from '../../api/queries';
import { ColourWays } from '../../colour/ColourWays';
import { readMeasure, type Units } from '../../copy/measure';
import type { Need } from '../../copy/project';
import { ChoiceField } from '../../form/bound';
import { useAsk } from '../../form/useAsk';
import { colour, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Txt } from '../../ui/Txt';
import { Colours } from './Colours';

const EXAMPLES = {
  length: 'a length, such as 80 cm or 12 in',
  sheets: 'sheets, such as 1 or 1/4',
  pieces: 'how many, such as 3',
  fill: 'how many uses, such as 1',
} as const;
const countingOf = (kind: Kind) => formOf(kind, KIND_DEFINITIONS[kind].defaultForm).counting;

/** "1/4" or "0.25" as a number; null for what is none above nothing. */
export function readPart(text: string): number | null {
  const found = /^(\d{1,6}(?:[.,]\d{1,4})?)(?:\s*\/\s*(\d{1,4}))?$/.exec(text.trim());
  const value = Number(found?.[1]?.replace(',', '.')) / Number(found?.[2] ?? 1);
  return Number.isFinite(value) && value > 0 ? value : null;
}

const needSaid = (units: Units) =>
  z
    .object({
      kind: z.enum(KINDS),
      hex: z
        .string()
        .min(1, 'Say which colour: by its name, on a wheel, from a photo, or one of the project.'),
      each: z.string(),
    })
    .transform(({ kind, hex, each }, context): Need => {
      const counting = countingOf(kind);
      const read = counting === 'length' ? readMeasure(each, 'length', units) : null;
      const amount = counting === 'length' ? (read?.ok ? Number(read.value) : null) : readPart(each);
      if (amount === null || amount <= 0) {
        context.addIssue({ code: 'custom', path: ['each'], message: `Say ${EXAMPLES[counting]}.` });
        return z.NEVER;
      }
      return { id: v7(), kind, hex, each: amount, of: null };
    });

interface NewNeedProps {
  readonly groupId: string;
  readonly body: GroupBody;
  readonly onAdd: (need: Need) => Promise<unknown>;
}

/** A kind, a colour, and how much each that is made takes. */
export function NewNeed({ groupId, body, onAdd }: NewNeedProps) {
  const { units } = usePreferences().preferences;
  const ask = useAsk(`need.${groupId}`, needSaid(units), { kind: 'ribbon', hex: '', each: '' });
  const { kind, hex } = ask.said;
  const [elsewhere, setElsewhere] = useState((body.colours ?? []).length === 0);
  const take = (next: string): void => {
    ask.set('hex', next);
    setElsewhere(false);
  };
  const submit = (): void => ask.submit(onAdd);
  const message = ask.wrong('hex');
  return (
    <View style={styles.box} role="form" aria-label="A need">
      <ChoiceField
        control={ask.control}
        name="kind"
        label="What"
        options={KINDS}
        say={(each) => KIND_DEFINITIONS[each as Kind].name}
      />
      <Colours label="In which colour" colours={withChosen(body, hex)} chosen={hex} onChoose={take} />
      {elsewhere ? (
        <ColourWays hex={hex || '#8fb58a'} onTake={({ hex: taken }) => take(taken)} />
      ) : (
        <View style={styles.row}>
          <Button label="Another colour" onPress={() => setElsewhere(true)} />
        </View>
      )}
      {message && <Txt look="strong">{message}</Txt>}
      <Field
        control={ask.control}
        name="each"
        label="How much each"
        hint={EXAMPLES[countingOf(kind as Kind)]}
        onSubmit={submit}
      />
      <View style={styles.row}>
        <Button label="Need so much" main onPress={submit} />
      </View>
    </View>
  );
}

/** The project's colours, and the one that was taken from elsewhere. */
const withChosen = ({ colours = [] }: GroupBody, hex: string) =>
  hex === '' || colours.some((each) => each.hex === hex) ? colours : [...colours, { name: hex, hex }];

const styles = StyleSheet.create({
  box: {
    ...{ gap: space.s, padding: space.m - 4, borderWidth: 1, borderColor: colour.hairline },
    backgroundColor: colour.card,
  },
  row: { flexDirection: 'row' },
});
