import type { RefObject } from 'react';
import type { TextInput } from 'react-native';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { Input } from './Input';

interface FieldProps<T extends FieldValues> {
  readonly control: Control<T>;
  readonly name: FieldPath<T>;
  readonly label: string;
  /** The value is a number; what cannot be read as one is kept as typed and refused with a sentence. */
  readonly numeric?: boolean;
  readonly multiline?: boolean;
  readonly hint?: string;
  readonly onSubmit?: () => void;
  /** For putting the cursor here at once, without waiting for the form. */
  readonly place?: RefObject<TextInput | null> | undefined;
}

/** A text field of a form, with what is wrong said under it. */
export function Field<T extends FieldValues>({
  control,
  name,
  numeric = false,
  place,
  ...shown
}: FieldProps<T>) {
  const { field, fieldState } = useController({ control, name });
  const read = (text: string): string | number =>
    numeric && /^\d+$/.test(text.trim()) ? Number(text) : text;
  return (
    <Input
      {...shown}
      ref={(input) => {
        field.ref(input);
        if (place) place.current = input;
      }}
      value={field.value === undefined || field.value === null ? '' : String(field.value)}
      onChange={(text) => field.onChange(read(text))}
      onBlur={field.onBlur}
      error={fieldState.error?.message}
      numeric={numeric}
    />
  );
}
