import { setPassphrase } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useShareActs } from '../api/useShare';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';
import { useSecret } from './useSecret';

/** Sets the passphrase, on the computer that holds the stash. */
export function PassphraseForm({ act, onDone }: { readonly act: string; readonly onDone?: () => void }) {
  const { control, handleSubmit, reset } = useSecret(setPassphrase, { passphrase: '' });
  const { setPassphrase: set } = useShareActs();
  const [shown, setShown] = useState(false);
  const submit = (): void =>
    void handleSubmit(({ passphrase }) =>
      set.mutateAsync(passphrase).then(
        () => {
          reset();
          onDone?.();
        },
        () => undefined,
      ),
    )();
  return (
    <View style={styles.form}>
      <Field
        control={control}
        name="passphrase"
        label="Passphrase"
        secret={shown ? undefined : 'new-password'}
        hint="At least 10 characters. Four words that do not belong together are easy to keep in mind."
        onSubmit={submit}
      />
      <View style={styles.acts}>
        <Button label={act} main busy={set.isPending} onPress={submit} />
        <Chip many label="Show what I type" on={shown} onPress={() => setShown(!shown)} />
      </View>
      {set.error && <Note sort="error">{set.error.message}</Note>}
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: space.s, maxWidth: 460 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
});
