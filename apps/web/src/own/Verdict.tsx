import { sparesOf, type OwnAnswer } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { many } from '../copy/words';
import { Txt } from '../ui/Txt';

interface VerdictProps {
  readonly asked: string;
  readonly answers: readonly OwnAnswer<SupplyView>[];
  /** What comes near the colour of that name, where there is one; else null. */
  readonly inColour: readonly OwnAnswer<SupplyView>[] | null;
  /** What a plain phrase for a colour means, where it is one. */
  readonly called: readonly OwnAnswer<SupplyView>[] | null;
}

const isSame = ({ reason }: OwnAnswer<SupplyView>): boolean =>
  reason.sort === 'exact' || (reason.sort === 'near colour' && reason.difference.step === 'same');

/** The name is nobody's: what is there in the colour of that name. */
function byColour(inColour: readonly OwnAnswer<SupplyView>[]): { words: string; detail: string } {
  if (inColour.some(({ item, reason }) => item.stock.left > 0 && isSame({ item, reason })))
    return {
      words: 'Yes, by colour',
      detail: 'Nothing is called that, but the colour of that name is there.',
    };
  return inColour.length > 0
    ? { words: 'Not quite', detail: 'Nothing is called that, but something comes near its colour.' }
    : { words: 'No', detail: 'Nothing is called that, and nothing comes near its colour.' };
}

function byName(answers: readonly OwnAnswer<SupplyView>[]): { words: string; detail: string } {
  const exact = answers.filter(isSame);
  const have = exact.some(({ item }) => item.stock.left > 0 || Object.keys(item.stock.parts).length > 0);
  if (have) {
    const wanted = exact.some(({ item }) => !sparesOf(item).double);
    return {
      words: 'Yes',
      detail: wanted ? 'A spare is still wanted.' : 'Another one would be a double.',
    };
  }
  if (answers.length === 0) return { words: 'No', detail: 'Nothing in the stash comes near it.' };
  return {
    words: exact.length > 0 ? 'Yes, but it is used up' : 'Not quite',
    detail: 'The nearest you have:',
  };
}

/** A plain phrase: all that people mean by it. */
function byPhrase(called: readonly OwnAnswer<SupplyView>[]): { words: string; detail: string } {
  const left = called.filter(({ item }) => item.stock.left > 0).length;
  if (left === 0)
    return {
      words: 'Yes, but used up',
      detail: `${many(called.length, 'thing')} of that colour, all of it gone.`,
    };
  return { words: 'Yes', detail: `${many(left, 'thing')} of that colour.` };
}

function verdictOf({ answers, inColour, called }: VerdictProps): { words: string; detail: string } {
  if (!answers.some(isSame) && called && called.length > 0) return byPhrase(called);
  return answers.length === 0 && inColour ? byColour(inColour) : byName(answers);
}

/** Yes, nearly, or no, in large type. */
export function Verdict(props: VerdictProps) {
  if (props.asked.trim() === '')
    return (
      <Txt look="quiet">
        Type a name, a code, a number or a hex, or scan it. Works while you stand in the shop.
      </Txt>
    );
  const { words, detail } = verdictOf(props);
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
