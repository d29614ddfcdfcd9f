import { doubling, formOf, type OwnAnswer } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { Txt } from '../ui/Txt';

interface VerdictProps {
  readonly asked: string;
  readonly answers: readonly OwnAnswer<SupplyView>[];
}

/** Yes, nearly, or no, in large type. */
export function Verdict({ asked, answers }: VerdictProps) {
  if (asked.trim() === '')
    return (
      <Txt look="quiet">
        Type a name, a code, a number or a hex, or scan it. Works while you stand in the shop.
      </Txt>
    );
  const exact = answers.filter(
    ({ reason }) =>
      reason.sort === 'exact' || (reason.sort === 'near colour' && reason.difference.step === 'same'),
  );
  const have = exact.some(({ item }) => item.stock.left > 0 || Object.keys(item.stock.parts).length > 0);
  const words = have
    ? 'Yes'
    : exact.length > 0
      ? 'Yes, but it is used up'
      : answers.length > 0
        ? 'Not quite'
        : 'No';
  const detail = have
    ? exact.some(({ item }) => !doubling(item, formOf(item.kind, item.form).counting).double)
      ? 'A spare is still wanted.'
      : 'Another one would be a double.'
    : answers.length > 0
      ? 'The nearest you have:'
      : 'Nothing in the stash comes near it.';
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
