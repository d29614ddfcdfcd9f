import { KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences, useStash } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { useBegun } from '../../form/useDraft';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Input } from '../../ui/Input';
import { Txt } from '../../ui/Txt';

const limits = z.partialRecord(z.enum(KINDS), z.string());

/** One in, one out: at most so many of each kind. Empty means no limit. */
export function KindLimits() {
  const { stash } = useStash();
  const { preferences } = usePreferences();
  const keep = usePreferenceChange();
  const [typed, setTyped, clear] = useBegun('limits', limits);
  const said = (kind: Kind): string => typed?.[kind] ?? String(preferences.caps[kind] ?? '');
  const wrong = KINDS.filter((kind) => !/^\d{0,6}$/.test(said(kind).trim()) || said(kind).trim() === '0');
  const submit = (): void => {
    const caps = Object.fromEntries(
      KINDS.flatMap((kind) => (said(kind).trim() === '' ? [] : [[kind, Number(said(kind))]])),
    );
    if (wrong.length === 0) keep.mutate({ caps }, { onSuccess: clear });
  };
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
            <Input
              label={KIND_DEFINITIONS[kind].plural}
              value={said(kind)}
              onChange={(text) => setTyped({ ...typed, [kind]: text })}
              onSubmit={submit}
              numeric
              hint={`${stash?.supplies.filter((each) => each.kind === kind && each.facts.status !== 'gone').length ?? 0} now`}
              error={wrong.includes(kind) ? 'A limit is a whole number from 1 up.' : undefined}
            />
          </View>
        ))}
      </View>
      {typed && <Button label="Keep these limits" main busy={keep.isPending} onPress={submit} />}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  field: { flexBasis: 100, flexGrow: 1 },
});
