import { sparesOf, type OwnAnswer } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { sayStock, sayWhat } from '../copy/supply';
import type { Where } from '../api/where';
import { colour, space } from '../theme/tokens';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';

interface AnswersProps {
  readonly answers: readonly OwnAnswer<SupplyView>[];
  /** The colour asked for, shown beside each answer. */
  readonly wanted: string | null;
  readonly where: Where;
}

/** What answers the question: how near it is, how much is left, where it lives. */
export function Answers({ answers, wanted, where }: AnswersProps) {
  return answers.map((answer) => (
    <Answer key={answer.item.id} answer={answer} wanted={wanted} where={where} />
  ));
}

const sayReason = ({ reason }: OwnAnswer<SupplyView>): string =>
  reason.sort === 'exact'
    ? `the same ${reason.by}`
    : reason.sort === 'words'
      ? 'all that you asked for'
      : reason.sort === 'near name'
        ? 'nearly the same name'
        : `${reason.difference.words} (${reason.difference.deltaE.toFixed(1)} ΔE)${reason.plain ? '; by its plain colour: it has no swatch made that way' : ''}`;

function Answer({
  answer,
  wanted,
  where,
}: Omit<AnswersProps, 'answers'> & { readonly answer: OwnAnswer<SupplyView> }) {
  const { item } = answer;
  const { have, meant } = sparesOf(item);
  return (
    <Pressable
      role="button"
      onPress={() => router.push({ pathname: '/stash', params: { supply: item.id } })}
      style={styles.answer}
    >
      <View style={styles.swatches}>
        {wanted && <View style={[styles.wanted, { backgroundColor: wanted }]} />}
        <Swatch hex={item.hex} group={item.group} size={56} />
      </View>
      <View style={styles.words}>
        <Txt look="strong">{item.name}</Txt>
        <Txt look="quiet">{sayWhat(item)}</Txt>
        <Txt>{sayReason(answer)}</Txt>
        <Txt look="quiet">
          {sayStock(item)} · {have} of {meant} meant
        </Txt>
      </View>
      <Txt look="label" style={styles.address}>
        {where(item) ?? 'no place'}
      </Txt>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  answer: {
    flexDirection: 'row',
    gap: space.m - 4,
    alignItems: 'center',
    padding: space.m - 4,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  swatches: { flexDirection: 'row' },
  wanted: { width: 28, height: 56 },
  words: { flex: 1, minWidth: 0, gap: 2 },
  address: { fontSize: 22 },
});
