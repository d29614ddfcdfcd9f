import type { RefObject } from 'react';
import type { TextInput } from 'react-native';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { Input } from './Input';

interface FieldProps<T extends FieldValues> {
  readonly control: Control<T>;
  readonly name: FieldPath<T>;
  readonly label: string;
  /** The keyboard is one of numbers; what is typed stays as it is typed. */
  readonly numeric?: boolean;
  readonly multiline?: boolean;
  readonly autoFocus?: boolean;
  /** Read out instead of the label, where the label alone would be said of several fields. */
  readonly says?: string;
  readonly hint?: string;
  readonly secret?: 'current-password' | 'new-password' | undefined;
  readonly onSubmit?: () => void;
  /** For putting the cursor here at once, without waiting for the form. */
  readonly place?: RefObject<TextInput | null> | undefined;
}

/** A text field of a form, with what is wrong said under it. */
export function Field<T extends FieldValues>({ control, name, place, ...shown }: FieldProps<T>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <Input
      {...shown}
      ref={(input) => {
        field.ref(input);
        if (place) place.current = input;
      }}
      value={field.value === undefined || field.value === null ? '' : String(field.value)}
      onChange={field.onChange}
      onBlur={field.onBlur}
      error={fieldState.error?.message}
    />
  );
}
