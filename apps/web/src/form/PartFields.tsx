import type { FormDefinition, Part } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Input } from '../ui/Input';

export const PART_LABEL: Readonly<Record<Part, string>> = {
  pack: 'Unopened packs',
  base: 'Cut bases',
  scrap: 'Scraps',
};

interface PartFieldsProps {
  readonly form: FormDefinition;
  readonly value: Readonly<Record<string, string>>;
  readonly onChange: (value: Record<string, string>) => void;
}

/** The separate counts of card: packs, bases, scraps. Forms that keep none show nothing. */
export function PartFields({ form, value, onChange }: PartFieldsProps) {
  if (!form.parts) return null;
  return (
    <View style={styles.row}>
      {form.parts.map((part) => (
        <Input
          key={part}
          label={PART_LABEL[part]}
          value={value[part] ?? ''}
          onChange={(text) => onChange({ ...value, [part]: text })}
          numeric
        />
      ))}
    </View>
  );
}

type PartsReading =
  | { readonly ok: true; readonly given: { parts?: Partial<Record<Part, number>> } }
  | { readonly ok: false; readonly message: string };

/** Reads the separate counts; an empty field is none. */
export function readParts(value: Readonly<Record<string, string>>, form: FormDefinition): PartsReading {
  const parts: Partial<Record<Part, number>> = {};
  for (const part of form.parts ?? []) {
    const text = (value[part] ?? '').trim();
    if (text === '') continue;
    if (!/^\d{1,6}$/.test(text))
      return { ok: false, message: `${PART_LABEL[part]}: “${text}” is not a whole number.` };
    if (Number(text) > 0) parts[part] = Number(text);
  }
  return { ok: true, given: Object.keys(parts).length > 0 ? { parts } : {} };
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
