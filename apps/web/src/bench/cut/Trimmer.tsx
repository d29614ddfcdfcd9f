import { z } from 'zod';
import { StyleSheet, View } from 'react-native';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { usePreferences } from '../../api/queries';
import { sayLength } from '../../copy/measure';
import { measure, typed } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Folded } from '../../ui/Folded';

const SHORTEST_UM = 10_000;
const LONGEST_UM = 5_000_000;
const WIDEST_UM = 1_000_000;

/** The longest cut the trimmer makes, and from which size on what is left is kept. */
export function Trimmer() {
  const { preferences } = usePreferences();
  const { units, trimmerUm, keepFromUm } = preferences;
  const said = z
    .object({ trimmer: typed(measure('length', units)), keep: typed(measure('length', units)) })
    .superRefine(({ trimmer, keep }, context) => {
      if (trimmer < SHORTEST_UM || trimmer > LONGEST_UM)
        context.addIssue({ code: 'custom', path: ['trimmer'], message: 'A trimmer cuts from 1 cm to 5 m.' });
      if (keep > WIDEST_UM)
        context.addIssue({ code: 'custom', path: ['keep'], message: 'Nothing would be kept: at most 1 m.' });
    });
  const ask = useAsk('trimmer', said, {
    trimmer: sayLength(trimmerUm, units),
    keep: sayLength(keepFromUm, units),
  });
  const keep = usePreferenceChange();
  const submit = (): void =>
    ask.submit((next) => keep.mutateAsync({ trimmerUm: next.trimmer, keepFromUm: next.keep }));
  return (
    <Folded
      label="Trimmer and scraps"
      value={`cuts up to ${sayLength(trimmerUm, units)}, scraps kept from ${sayLength(keepFromUm, units)}`}
    >
      <View style={styles.row}>
        <Field control={ask.control} name="trimmer" label="Longest cut" onSubmit={submit} />
        <Field
          control={ask.control}
          name="keep"
          label="Keep scraps from"
          hint="the shorter side"
          onSubmit={submit}
        />
        <Button label="Keep it so" busy={keep.isPending} onPress={submit} />
      </View>
    </Folded>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'flex-end' },
});
