import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { Choice } from '../ui/Choice';
import { FoldedChoice } from '../ui/FoldedChoice';
import { DateField } from '../ui/DateField';
import { Note } from '../ui/Note';

interface Bound<T extends FieldValues> {
  readonly control: Control<T>;
  readonly name: FieldPath<T>;
  readonly label: string;
}
interface ChoiceFieldProps<T extends FieldValues> extends Bound<T> {
  readonly options: readonly string[];
  /** How an option is said; as it is, where nothing else is. */
  readonly say?: (option: string) => string;
  readonly optional?: boolean;
  /** Many options: the answer is said, and the others open on request. */
  readonly folded?: boolean;
}

/** One of a few words, in a form. */
export function ChoiceField<T extends FieldValues>({
  control,
  name,
  options,
  say = (option) => option,
  folded = false,
  ...shown
}: ChoiceFieldProps<T>) {
  const { field, fieldState } = useController({ control, name });
  const Shown = folded ? FoldedChoice : Choice;
  const chosen = options.find((each) => each === field.value);
  return (
    <>
      <Shown
        {...shown}
        options={options.map(say)}
        value={chosen === undefined ? '' : say(chosen)}
        onChange={(word) => field.onChange(options.find((each) => say(each) === word) ?? '')}
      />
      {fieldState.error?.message && <Note sort="error">{fieldState.error.message}</Note>}
    </>
  );
}

/** A day, in a form. */
export function DayField<T extends FieldValues>({ control, name, label }: Bound<T>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <DateField
      label={label}
      value={String(field.value ?? '')}
      onChange={field.onChange}
      error={fieldState.error?.message}
    />
  );
}
