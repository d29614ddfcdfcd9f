import {
  bodyOf,
  careFor,
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

/** By rule, what suffers in a place with these marks. */
const suffering = (contents: Contents, marks: ReadonlySet<PlaceSign>): [CareId, Living[]][] =>
  CARE_IDS.flatMap((rule): [CareId, Living[]][] => {
    const things = contents.filter(
      (each): each is Living =>
        each !== null && careFor(each.supply, marks, bodyOf(each.supply, each.lot).massMg).includes(rule),
    );
    return things.length > 0 ? [[rule, things]] : [];
  });

interface PlaceCareProps {
  /** What the person left so, with their reasons. */
  readonly accepted: Accepted;
  readonly onAccept: (accepted: Accepted) => void;
  readonly contents: Contents;
  /** The place's own marks and those of what it stands in. */
  readonly marks: ReadonlySet<PlaceSign>;
}

/** What the place does to what is in it, rule by rule, each with what to do; or left so, with a reason. */
export function PlaceCare({ accepted, onAccept, contents, marks }: PlaceCareProps) {
  const leave = (rule: CareId, because: string): void => onAccept([...accepted, { rule, because }]);
  return (
    <>
      {suffering(contents, marks).map(([rule, things]) => {
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
