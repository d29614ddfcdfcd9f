import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';
import { colour } from '../theme/tokens';

interface FieldProps<T extends FieldValues> {
  readonly control: Control<T>;
  readonly name: FieldPath<T>;
  readonly label: string;
  /** The value is a number; what cannot be read as one is kept as typed and refused with a sentence. */
  readonly numeric?: boolean;
  readonly multiline?: boolean;
  readonly hint?: string;
  readonly onSubmit?: () => void;
}

/** A text field of a form, with what is wrong said under it. */
export function Field<T extends FieldValues>({
  control,
  name,
  label,
  numeric,
  multiline,
  hint,
  onSubmit,
}: FieldProps<T>) {
  const { field, fieldState } = useController({ control, name });
  const message = fieldState.error?.message;
  const read = (text: string): string | number =>
    numeric && /^\d+$/.test(text.trim()) ? Number(text) : text;
  return (
    <View style={styles.field}>
      <TextInput
        mode="outlined"
        dense
        label={label}
        aria-label={label}
        value={field.value === undefined || field.value === null ? '' : String(field.value)}
        onChangeText={(text) => field.onChange(read(text))}
        onBlur={field.onBlur}
        ref={field.ref}
        error={message !== undefined}
        inputMode={numeric ? 'numeric' : 'text'}
        multiline={multiline ?? false}
        onSubmitEditing={onSubmit}
        outlineColor={colour.hairline}
        style={styles.input}
      />
      {message ? (
        <HelperText type="error" style={styles.help}>
          ⚠ {message}
        </HelperText>
      ) : hint ? (
        <HelperText type="info" style={styles.help}>
          {hint}
        </HelperText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { flex: 1, minWidth: 96 },
  input: { backgroundColor: colour.card },
  help: { paddingHorizontal: 2 },
});
