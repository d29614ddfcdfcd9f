import { madeFor } from '@red-shelf/core';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { useStash } from '../api/queries';
import { sayStock, sayWhat } from '../copy/supply';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useWhere } from '../api/where';

const MOST = 3;

interface MadeAlreadyProps {
  readonly job: string;
  /** What is among it already is not offered. */
  readonly taken?: readonly string[];
  /** Takes one for the job; without it, it is only looked at. */
  readonly onTake?: (supplyId: string) => void;
}

/** Before a job is begun or something is cut for it: what was made for one like it, whole or half, and is still here. */
export function MadeAlready({ job, taken = [], onTake }: MadeAlreadyProps) {
  const { stash } = useStash();
  const where = useWhere(stash);
  const made = madeFor(job, stash?.supplies ?? [])
    .filter(({ id }) => !taken.includes(id))
    .slice(0, MOST);
  if (!stash || made.length === 0) return null;
  return (
    <Note sort="attention">
      <Txt look="strong">Made already, and still here:</Txt>
      {made.map((piece) => (
        <View key={piece.id} style={styles.row}>
          <Txt style={styles.words}>
            {`${piece.name}: ${sayStock(piece)}, ${sayWhat(piece)}, ${where(piece) ?? 'no place'}`}
          </Txt>
          <Button
            label="Look at it"
            says={`Look at ${piece.name}`}
            onPress={() => router.push({ pathname: '/stash', params: { supply: piece.id } })}
          />
          {onTake && (
            <Button label="Take it" says={`Take ${piece.name} for it`} onPress={() => onTake(piece.id)} />
          )}
        </View>
      ))}
    </Note>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  words: { width: '100%' },
});
