import {
  LEVELS,
  type FormDefinition,
  type Kind,
  type Level,
  type OpeningCount,
  type Part,
} from '@red-shelf/core';
import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { partsName } from '../copy/parts';
import { space } from '../theme/tokens';
import { Field } from '../ui/Field';
import { AMOUNT_LABEL, readAmount } from './amount';
import { LevelChoice } from './LevelChoice';

/** "Unopened packs", "Scraps", "Remnants": what a part is called before a count of it. */
export function partLabel(part: Part, kind: Kind): string {
  const name = partsName(part, kind);
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** How many of a thing, as typed: the amount, how full the open one is, and for card its packs, bases and scraps. */
export interface CountSaid {
  amount: string;
  level: Level;
  parts: Record<string, string>;
}
export const ONE: CountSaid = { amount: '1', level: 'full', parts: { pack: '', base: '', scrap: '' } };

/** What was counted; a part that was not typed is none. */
export interface Counted {
  readonly count: OpeningCount;
  readonly parts?: Partial<Record<Part, number>>;
}

/** Reads a count for a form. */
export const countSaid = (form: FormDefinition) =>
  z
    .object({ amount: z.string(), level: z.enum(LEVELS), parts: z.record(z.string(), z.string()) })
    .transform(({ amount, level, parts: typed }, context): Counted => {
      const reading = readAmount(amount, level, form);
      if (!reading.ok) context.addIssue({ code: 'custom', path: ['amount'], message: reading.message });
      const parts: Partial<Record<Part, number>> = {};
      for (const part of form.parts ?? []) {
        const text = (typed[part] ?? '').trim();
        if (!/^\d{0,6}$/.test(text)) {
          const message = `${partLabel(part, form.kind)}: “${text.slice(0, 40)}” is not a whole number.`;
          context.addIssue({ code: 'custom', path: ['parts', part], message });
        } else if (Number(text) > 0) parts[part] = Number(text);
      }
      if (!reading.ok) return z.NEVER;
      return { count: reading.count, ...(Object.keys(parts).length > 0 ? { parts } : {}) };
    });

interface CountFieldsProps {
  readonly control: Control<CountSaid>;
  readonly set: UseFormSetValue<CountSaid>;
  readonly form: FormDefinition;
  readonly onSubmit: () => void;
}

export function CountFields({ control, set, form, onSubmit }: CountFieldsProps) {
  const level = useWatch({ control, name: 'level' });
  return (
    <>
      <Field
        control={control}
        name="amount"
        label={AMOUNT_LABEL[form.counting]}
        onSubmit={onSubmit}
        numeric={form.counting !== 'length'}
      />
      {form.counting === 'fill' && <LevelChoice value={level} onChange={(next) => set('level', next)} />}
      {form.parts && (
        <View style={styles.row}>
          {form.parts.map((part) => (
            <Field
              key={part}
              control={control}
              name={`parts.${part}`}
              label={partLabel(part, form.kind)}
              numeric
            />
          ))}
        </View>
      )}
    </>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
