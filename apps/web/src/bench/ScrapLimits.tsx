import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../api/queries';
import { usePreferenceChange } from '../api/usePreferenceChange';
import { sayLength } from '../copy/measure';
import { scrapLimits } from '../copy/scraps';
import { measure, typed } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Folded } from '../ui/Folded';

/** What a person calls small, of card size, short: from which size on a scrap is kept, and where the classes end. */
export function ScrapLimits() {
  const { preferences } = usePreferences();
  const { units } = preferences;
  const now = scrapLimits(preferences);
  const size = typed(measure('length', units));
  const said = z
    .object({ keep: size, small: size, card: size, short: size, middle: size })
    .superRefine(({ keep, small, card, short, middle }, context) => {
      const refuse = (path: string, message: string) =>
        context.addIssue({ code: 'custom', path: [path], message });
      if (keep > small) refuse('keep', 'What is kept begins before small ends.');
      if (small > card) refuse('small', 'The limit for small scraps cannot be above the one for card size.');
      if (short > middle)
        refuse('short', 'The limit for short lengths cannot be above the one for middle lengths.');
    });
  const ask = useAsk('scrapLimits', said, {
    keep: sayLength(now.keepFromUm, units),
    small: sayLength(now.smallToUm, units),
    card: sayLength(now.cardToUm, units),
    short: sayLength(now.shortToUm, units),
    middle: sayLength(now.middleToUm, units),
  });
  const change = usePreferenceChange();
  const submit = (): void =>
    ask.submit(({ keep, small, card, short, middle }) =>
      change.mutateAsync({
        keepFromUm: keep,
        scrapLimits: { smallToUm: small, cardToUm: card, shortToUm: short, middleToUm: middle },
      }),
    );
  const field = (name: 'keep' | 'small' | 'card' | 'short' | 'middle', label: string) => (
    <View style={styles.field}>
      <Field control={ask.control} name={name} label={label} onSubmit={submit} />
    </View>
  );
  return (
    <Folded
      label="Your own sizes"
      value={`kept from ${sayLength(now.keepFromUm, units)}, small to ${sayLength(now.smallToUm, units)}, card size to ${sayLength(now.cardToUm, units)}`}
    >
      <View style={styles.row}>
        {field('keep', 'Scraps kept from')}
        {field('small', 'Small up to')}
        {field('card', 'Card size up to')}
        {field('short', 'Remnants short up to')}
        {field('middle', 'Middle length up to')}
      </View>
      <View style={styles.row}>
        <Button label="Keep it so" says="Keep these sizes" busy={change.isPending} onPress={submit} />
      </View>
    </Folded>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'flex-start' },
  field: { flexGrow: 1, flexBasis: 150 },
});
