import { fold } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useStash } from '../api/queries';
import { sayStock } from '../copy/supply';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useWhere } from '../api/where';

const MOST = 3;
const SHORTEST = 3;

/** Made pieces that share a word with a job: in name, theme, tags or note. */
export function madeFor(job: string, supplies: readonly SupplyView[]): SupplyView[] {
  const words = fold(job)
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word.length >= SHORTEST);
  if (words.length === 0) return [];
  return supplies.filter(({ form, name, note, facts, stock }) => {
    if (form !== 'made' || stock.left === 0) return false;
    const theme = facts.attributes?.theme;
    const known = fold([name, note, typeof theme === 'string' ? theme : '', ...(facts.tags ?? [])].join(' '));
    return words.some((word) => known.includes(word));
  });
}

/** Before a job is begun: what was made for one like it and is still here. */
export function MadeAlready({ job }: { readonly job: string }) {
  const { stash } = useStash();
  const where = useWhere(stash);
  const made = madeFor(job, stash?.supplies ?? []).slice(0, MOST);
  if (!stash || made.length === 0) return null;
  return (
    <Note sort="attention">
      <Txt look="strong">Made already, and still here:</Txt>
      {made.map((piece) => (
        <View key={piece.id}>
          <Button
            label={`${piece.name}: ${sayStock(piece)}, ${where(piece) ?? 'no place'}`}
            onPress={() => router.push({ pathname: '/stash', params: { supply: piece.id } })}
          />
        </View>
      ))}
    </Note>
  );
}
