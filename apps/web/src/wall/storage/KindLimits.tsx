import { KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import { preferencesBody } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences, useStash } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { into, typedOr, whole } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Txt } from '../../ui/Txt';

const LIMIT = 'A limit is a whole number from 1 up.';
const limitsSaid = z
  .record(z.enum(KINDS), typedOr(null, whole(1, 999_999, LIMIT)))
  .transform((limits) => ({
    caps: Object.fromEntries(Object.entries(limits).filter(([, most]) => most !== null)),
  }))
  .transform(into(preferencesBody.pick({ caps: true })));

/** One in, one out: at most so many of each kind. Empty means no limit. */
export function KindLimits() {
  const { caps } = usePreferences().preferences;
  const { stash } = useStash();
  const keep = usePreferenceChange();
  const start = Object.fromEntries(KINDS.map((kind) => [kind, String(caps[kind] ?? '')]));
  const ask = useAsk('limits', limitsSaid, start as Record<Kind, string>);
  const submit = (): void => ask.submit((changes) => keep.mutateAsync(changes));
  const now = (kind: Kind): number => stash?.supplies.filter((each) => each.kind === kind).length ?? 0;
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        One in, one out
      </Txt>
      <Txt look="quiet">
        At most so many of a kind; leave it empty for no limit. A rack has its own limit.
      </Txt>
      <View style={styles.row}>
        {KINDS.map((kind) => (
          <View key={kind} style={styles.field}>
            <Field
              control={ask.control}
              name={kind}
              label={KIND_DEFINITIONS[kind].plural}
              onSubmit={submit}
              numeric
              hint={`${now(kind)} now`}
            />
          </View>
        ))}
      </View>
      {ask.begun && <Button label="Keep these limits" main busy={keep.isPending} onPress={submit} />}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  field: { flexBasis: 100, flexGrow: 1 },
});
