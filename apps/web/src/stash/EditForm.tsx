import type { SupplyView } from '@red-shelf/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { ApiError, call, routes } from '../api/client';
import { keys } from '../api/queries';
import { useChange } from '../api/useChange';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { SupplyFields, type SupplyForm } from './SupplyFields';

interface EditFormProps {
  readonly supply: SupplyView;
  readonly onDone: () => void;
}

const EDITED = [
  'kind',
  'form',
  'name',
  'maker',
  'range',
  'code',
  'hex',
  'finish',
  'familyOverride',
  'familyReason',
  'note',
] as const;
const fieldsOf = (supply: SupplyView): SupplyForm =>
  Object.fromEntries(EDITED.map((key) => [key, supply[key]])) as unknown as SupplyForm;

/** Change what a supply is. If another window was quicker, both versions are shown and nothing is overwritten. */
export function EditForm({ supply, onDone }: EditFormProps) {
  // The version seen when editing began: later news from the server must not be mistaken for ours.
  const form = useForm<SupplyForm & { version: number }>({
    defaultValues: { ...fieldsOf(supply), version: supply.version },
  });
  const client = useQueryClient();
  const save = useChange(
    (body: SupplyForm & { version: number }) => call(routes.editSupply, { id: supply.id, body }),
    { quiet: true },
  );
  const problem = save.error instanceof ApiError ? save.error.problem : null;
  const theirs = problem?.code === 'stale' ? (problem.current as SupplyView) : null;
  const submit = () =>
    void form.handleSubmit((fields) =>
      save.mutate(fields, {
        onSuccess: onDone,
        onError: (error) => {
          if (!(error instanceof ApiError)) return;
          for (const { path, message } of error.problem.fields ?? [])
            form.setError(path as keyof SupplyForm, { message });
        },
      }),
    )();
  const keepMine = () => {
    if (theirs) form.setValue('version', theirs.version);
    submit();
  };
  const takeTheirs = () => {
    void client.invalidateQueries({ queryKey: keys.supply(supply.id) });
    void client.invalidateQueries({ queryKey: keys.supplies });
    onDone();
  };
  return (
    <View style={styles.form}>
      <SupplyFields
        control={form.control as never}
        setValue={form.setValue as never}
        fixedKind
        onSubmit={submit}
      />
      {problem && (
        <Note sort="error">
          <Txt>{problem.title}</Txt>
          {theirs && <Txt look="strong">{differences(form.getValues(), theirs)}</Txt>}
        </Note>
      )}
      {theirs ? (
        <View style={styles.acts}>
          <Button label="Keep mine" main grow busy={save.isPending} onPress={keepMine} />
          <Button label="Take theirs" grow onPress={takeTheirs} />
        </View>
      ) : (
        <View style={styles.acts}>
          <Button label="Save" main grow busy={save.isPending} onPress={submit} />
          <Button label="Cancel" grow onPress={onDone} />
        </View>
      )}
    </View>
  );
}

/** "name: yours Fern, theirs Moss" for every field that differs. */
function differences(mine: SupplyForm, theirs: SupplyView): string {
  const other = fieldsOf(theirs);
  return EDITED.filter((key) => mine[key] !== other[key])
    .map(
      (key) =>
        `${key === 'hex' ? 'colour' : key}: yours “${mine[key] ?? 'none'}”, theirs “${other[key] ?? 'none'}”`,
    )
    .join('; ');
}

const styles = StyleSheet.create({
  form: { gap: space.m - 4 },
  acts: { flexDirection: 'row', gap: space.s },
});
