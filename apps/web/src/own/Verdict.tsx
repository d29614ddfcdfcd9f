import { isOwned, isSame, sparesOf, type OwnAnswer, type OwnVerdict } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { many } from '../copy/words';
import { Txt } from '../ui/Txt';

interface VerdictProps {
  readonly asked: string;
  readonly found: OwnVerdict<SupplyView>;
}

function sayYes(same: readonly OwnAnswer<SupplyView>[]): string {
  if (same.length > 1) return `You have ${many(same.length, 'thing')} like that.`;
  return same.some(({ item }) => !sparesOf(item).double)
    ? 'You still want a spare.'
    : 'Another one would be a double.';
}

function wordsFor({ verdict, answers, nearest }: OwnVerdict<SupplyView>): { words: string; detail: string } {
  const same = answers.filter(isSame);
  if (verdict === 'yes') return { words: 'Yes', detail: sayYes(same.filter(({ item }) => isOwned(item))) };
  if (verdict === 'no')
    return {
      words: 'No',
      detail:
        nearest.length > 0 ? 'You have nothing near it. The nearest you have:' : 'You have nothing like it.',
    };
  return same.length > 0
    ? { words: 'Used up', detail: 'You had it, and nothing is left.' }
    : { words: 'Not quite', detail: 'The nearest you have:' };
}

/** Yes, nearly, or no, in large type. */
export function Verdict(props: VerdictProps) {
  if (props.asked.trim() === '')
    return (
      <Txt look="quiet">
        Ask for anything: “navy ink”, a name, a code, a number, a colour. Works in the shop without a signal.
      </Txt>
    );
  const { words, detail } = wordsFor(props.found);
  return (
    <View role="status" aria-live="polite">
      <Txt look="page" style={styles.verdict} testID="verdict">
        {words}
      </Txt>
      <Txt>{detail}</Txt>
    </View>
  );
}

const styles = StyleSheet.create({ verdict: { fontSize: 34 } });
