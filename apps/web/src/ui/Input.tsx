import { forwardRef } from 'react';
import { StyleSheet, View, type TextInput as NativeInput } from 'react-native';
import { HelperText, TextInput, useTheme } from 'react-native-paper';
import { colour } from '../theme/tokens';

interface InputProps {
  readonly label: string;
  /** Read out instead of the label, where the label alone would be said of several fields. */
  readonly says?: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onSubmit?: (() => void) | undefined;
  readonly onBlur?: (() => void) | undefined;
  readonly error?: string | undefined;
  readonly hint?: string | undefined;
  readonly numeric?: boolean;
  readonly multiline?: boolean;
  readonly autoFocus?: boolean;
  readonly testID?: string;
  /** What is typed is not shown; the browser is told what it is. */
  readonly secret?: 'current-password' | 'new-password' | undefined;
}

/** A labelled text field; what is wrong is said under it. */
export const Input = forwardRef<NativeInput, InputProps>(function Input(
  {
    label,
    says,
    value,
    onChange,
    onSubmit,
    onBlur,
    error,
    hint,
    numeric = false,
    multiline = false,
    autoFocus = false,
    testID,
    secret,
  },
  ref,
) {
  const { colors } = useTheme();
  return (
    <View style={styles.field}>
      <TextInput
        mode="outlined"
        dense
        label={label}
        aria-label={says ?? label}
        value={value}
        onChangeText={onChange}
        onBlur={() => onBlur?.()}
        ref={ref}
        error={error !== undefined}
        inputMode={numeric ? 'numeric' : 'text'}
        multiline={multiline}
        autoFocus={autoFocus}
        {...(secret ? { secureTextEntry: true, autoComplete: secret } : {})}
        onSubmitEditing={() => onSubmit?.()}
        // Enter goes on to what comes next; the cursor is not taken away.
        blurOnSubmit={false}
        outlineColor={colors.outlineVariant}
        style={styles.input}
        testID={testID ?? 'input'}
      />
      {error ? (
        <HelperText type="error" style={styles.help}>
          ⚠ {error}
        </HelperText>
      ) : hint ? (
        <HelperText type="info" style={styles.help}>
          {hint}
        </HelperText>
      ) : null}
    </View>
  );
});

const styles = StyleSheet.create({
  field: { flex: 1, minWidth: 96 },
  input: { backgroundColor: colour.card },
  help: { paddingHorizontal: 2 },
});
