import { formOf, partnerCounts, type PartnerCount, type PartnerHabit } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { usePreferences, type Stash } from '../api/queries';
import { usePreferenceChange } from '../api/usePreferenceChange';
import { many } from '../copy/words';
import { space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Folded } from '../ui/Folded';
import { Txt } from '../ui/Txt';

const WAYS: readonly (readonly [PartnerHabit | null, string])[] = [
  [null, 'as it shows'],
  ['together', 'always together'],
  ['never', 'never'],
];

/** How the person buys partners, as the stash shows it; and said, where it shows it wrong. */
export function Habits({ stash }: { readonly stash: Stash }) {
  const { partnerHabits: said = {} } = usePreferences().preferences;
  const change = usePreferenceChange();
  const counts = partnerCounts(stash.supplies);
  if (counts.length === 0) return null;
  const own = counts.filter(({ sort }) => said[sort]).length;
  const keep = ({ sort }: PartnerCount, habit: PartnerHabit | null): void => {
    const { [sort]: _, ...rest } = said;
    change.mutate({ partnerHabits: habit ? { ...rest, [sort]: habit } : rest });
  };
  return (
    <Folded
      label="What you buy together"
      value={own === 0 ? 'as your stash shows' : `${many(own, 'habit')} of your own`}
    >
      {counts.map((count) => (
        <View key={count.sort} style={styles.habit}>
          <Txt>{sayCount(count)}</Txt>
          <View style={styles.row} role="radiogroup" aria-label={`Bought together: ${sayCount(count)}`}>
            {WAYS.map(([habit, label]) => (
              <Chip
                key={label}
                label={label}
                on={(said[count.sort] ?? null) === habit}
                onPress={() => keep(count, habit)}
              />
            ))}
          </View>
        </View>
      ))}
    </Folded>
  );
}

/** "full pad and its refill: 4 of 60 have it". */
const sayCount = ({ of, partner, all, with: have }: PartnerCount): string =>
  `${formOf(of.kind, of.form).name} and ${partner.name}: ${have} of ${all} ${have === 1 ? 'has' : 'have'} it`;

const styles = StyleSheet.create({
  habit: { gap: space.xs, paddingVertical: space.xs },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
