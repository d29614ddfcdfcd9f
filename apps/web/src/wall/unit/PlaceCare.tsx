import {
  bodyOf,
  careFor,
  careOfPlace,
  careRule,
  CARE_IDS,
  PLACE_MARKS,
  type CareId,
  type PlaceMark,
  type PlaceSign,
  type UnitFacts,
} from '@red-shelf/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Contents, Living } from '../../api/contents';
import { usePreferences } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { MARK_WORDS, sayCare, sayCareSource } from '../../copy/care';
import { listOf, many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Input } from '../../ui/Input';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';

type Accepted = NonNullable<UnitFacts['accepted']>;

interface MarksProps {
  readonly value: readonly PlaceMark[];
  readonly onChange: (marks: PlaceMark[]) => void;
}

/** What it is like there: ticked, as many as are true. */
export function Marks({ value, onChange }: MarksProps) {
  return (
    <View style={styles.box}>
      <Txt look="quiet">What it is like there</Txt>
      <View style={styles.chips} role="group" aria-label="What it is like there">
        {PLACE_MARKS.map((mark) => (
          <Chip
            key={mark}
            many
            label={MARK_WORDS[mark]}
            on={value.includes(mark)}
            onPress={() =>
              onChange(value.includes(mark) ? value.filter((each) => each !== mark) : [...value, mark])
            }
          />
        ))}
      </View>
    </View>
  );
}

const NAMED = 3;

/** By rule, what suffers in a place that is like this; of the place itself, nothing does. */
const suffering = (contents: Contents, signs: ReadonlySet<PlaceSign>): [CareId, Living[]][] => [
  ...careOfPlace(signs).map((rule): [CareId, Living[]] => [rule, []]),
  ...CARE_IDS.flatMap((rule): [CareId, Living[]][] => {
    const things = contents.filter(
      (each): each is Living =>
        each !== null && careFor(each.supply, signs, bodyOf(each.supply, each.lot).massMg).includes(rule),
    );
    return things.length > 0 ? [[rule, things]] : [];
  }),
];

interface PlaceCareProps {
  /** What the person left so, with their reasons. */
  readonly accepted: Accepted;
  readonly onAccept: (accepted: Accepted) => void;
  readonly contents: Contents;
  /** What it is like there. */
  readonly signs: ReadonlySet<PlaceSign>;
}

/** What the place does to what is in it, rule by rule, each with what to do; or left so, with a reason. */
export function PlaceCare({ accepted, onAccept, contents, signs }: PlaceCareProps) {
  const { habits } = usePreferences().preferences;
  const keep = usePreferenceChange();
  const leave = (rule: CareId, because: string): void => onAccept([...accepted, { rule, because }]);
  return (
    <>
      {suffering(contents, signs).map(([rule, things]) => {
        const left = accepted.find((each) => each.rule === rule);
        if (left)
          return (
            <View key={rule} style={styles.left}>
              <Txt look="quiet" style={styles.words}>{`${sayCare(rule)} Left so: “${left.because}”.`}</Txt>
              <Button
                label="Mind it again"
                onPress={() => onAccept(accepted.filter((each) => each !== left))}
              />
            </View>
          );
        if (habits.includes(rule))
          return (
            <View key={rule} style={styles.left}>
              <Txt look="quiet" style={styles.words}>{`${sayCare(rule)} You keep them so everywhere.`}</Txt>
              <Button
                label="Mind it again everywhere"
                onPress={() => keep.mutate({ habits: habits.filter((each) => each !== rule) })}
              />
            </View>
          );
        const names = things.slice(0, NAMED).map(({ supply }) => supply.name);
        const more = things.length - names.length;
        return (
          <Note key={rule} sort="attention">
            <Txt>{sayCare(rule)}</Txt>
            <Txt look="quiet">
              {listOf([...names, ...(more > 0 ? [many(more, 'other')] : [])])}
              {sayCareSource(rule) && ` · ${sayCareSource(rule)}`}
            </Txt>
            <LeaveSo onLeave={(because) => leave(rule, because)} />
            {careRule(rule).sure === 'usual' && (
              <Button
                label="I keep them so everywhere"
                onPress={() => keep.mutate({ habits: [...habits, rule] })}
              />
            )}
          </Note>
        );
      })}
    </>
  );
}

/** Leaves it so for a reason: without one, nobody knows later why. */
function LeaveSo({ onLeave }: { readonly onLeave: (because: string) => void }) {
  const [because, setBecause] = useState<string | null>(null);
  if (because === null) return <Button label="Leave it so" onPress={() => setBecause('')} />;
  return (
    <View style={styles.left}>
      <View style={styles.words}>
        <Input label="Because" value={because} onChange={setBecause} />
      </View>
      <Button
        label="That is why"
        disabled={because.trim() === ''}
        onPress={() => onLeave(because.trim().slice(0, 200))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.xs },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  left: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  words: { flex: 1, minWidth: 180 },
});
