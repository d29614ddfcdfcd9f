import { familyOf, isSure, type Family, type Finish } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Txt } from '../ui/Txt';

interface FamilyAskProps {
  readonly hex: string;
  readonly finish: Finish;
  readonly override: Family | null;
  readonly onChoose: (family: Family | null, reason: string) => void;
}

/** Where the app is not sure of a family it asks, showing the two it lies between; one tap decides. */
export function FamilyAsk({ hex, finish, override, onChoose }: FamilyAskProps) {
  const opinion = familyOf(hex, finish);
  const { family, runnerUp } = opinion;
  if (isSure(opinion)) return null;
  const reason = `between ${family} and ${runnerUp}`;
  return (
    <View style={styles.box} role="group" aria-label="Which family?">
      <Txt>It lies {reason}. File it under</Txt>
      <View style={styles.chips} role="radiogroup" aria-label="File it under">
        {[family, runnerUp].map((each) => (
          <Chip
            key={each}
            label={each}
            on={(override ?? '') === each}
            onPress={() => onChoose(override === each ? null : each, override === each ? '' : reason)}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  chips: { flexDirection: 'row', gap: space.s },
});
