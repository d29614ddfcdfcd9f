import { isOnWall } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { unitTitle } from '../../copy/supply';
import { listOf, many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { Chip } from '../../ui/Chip';
import { Folded } from '../../ui/Folded';
import { Txt } from '../../ui/Txt';
import type { Choice } from './choice';

const NAMED = 2;

/** Flips one choice of several. */
export const flip = <T,>(chosen: readonly T[], each: T): T[] =>
  chosen.includes(each) ? chosen.filter((other) => other !== each) : [...chosen, each];

/** "A Pad rack and B Pad rack", "A Pad rack, B Pad rack and 3 others". */
function sayUnits(units: readonly UnitView[]): string {
  if (units.length === 0) return 'nowhere yet';
  const more = units.length - NAMED;
  const named = units.slice(0, NAMED).map(unitTitle);
  return listOf(more > 0 ? [...named, many(more, 'other')] : named);
}

interface PlacesProps {
  readonly units: readonly UnitView[];
  /** Ids of those that are filled. */
  readonly chosen: readonly string[];
  readonly choice: Choice;
  readonly onChange: (change: Partial<Choice>) => void;
}

/** Which places are filled, and which are emptied into them. */
export function Places({ units, chosen, choice, onChange }: PlacesProps) {
  const into = units.filter(({ id }) => chosen.includes(id));
  const outOf = units.filter(({ id }) => choice.outOf.includes(id));
  return (
    <Folded
      label="Into"
      value={`${sayUnits(into)}${outOf.length > 0 ? `, emptying ${sayUnits(outOf)}` : ''}`}
    >
      <View style={styles.chips} role="group" aria-label="Places to arrange into">
        {units.filter(isOnWall).map((unit) => (
          <Chip
            key={unit.id}
            many
            label={unitTitle(unit)}
            on={chosen.includes(unit.id)}
            onPress={() => onChange({ unitIds: flip(chosen, unit.id) })}
          />
        ))}
      </View>
      <Txt look="quiet">Emptied into those, to take one down or to put several into one:</Txt>
      <View style={styles.chips} role="group" aria-label="Places to empty">
        {units
          .filter((unit) => isOnWall(unit) && !chosen.includes(unit.id))
          .map((unit) => (
            <Chip
              key={unit.id}
              many
              label={unitTitle(unit)}
              on={choice.outOf.includes(unit.id)}
              onPress={() => onChange({ outOf: flip(choice.outOf, unit.id) })}
            />
          ))}
        <Chip
          many
          label="whatever of these kinds is elsewhere"
          on={choice.fromElsewhere}
          onPress={() => onChange({ fromElsewhere: !choice.fromElsewhere })}
        />
      </View>
    </Folded>
  );
}

const styles = StyleSheet.create({
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
