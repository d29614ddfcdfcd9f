import { formFor, usesLearned } from '@red-shelf/core';
import type { LedgerView, SupplyView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useFactsChange } from '../api/useSupplyChange';
import { many } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { massesOf } from './scale/Weigh';

interface LearnedFillProps {
  readonly supply: SupplyView;
  readonly ledger: readonly LedgerView[];
}

/** What differs by less is the same number. */
const DIFFERS = 0.15;

/** How many uses a fill really gave, where that is not what is reckoned with; one tap reckons with it. */
export function LearnedFill({ supply, ledger }: LearnedFillProps) {
  const { usesPerFill: now = 1, counting } = formFor(supply);
  const change = useFactsChange(supply);
  const learned = useMemo(() => usesLearned(ledger, supply.id, massesOf(supply)), [ledger, supply]);
  if (!learned || counting !== 'fill') return null;
  const { usesPerFill, refills } = learned;
  if (Math.abs(usesPerFill - now) < DIFFERS * now) return null;
  return (
    <Note>
      <Txt>{`By your last ${many(refills, 'refill')} a fill gives about ${many(usesPerFill, 'use')}; it is reckoned with ${now}.`}</Txt>
      <View style={styles.row}>
        <Button
          label={`Reckon with ${usesPerFill}`}
          busy={change.isPending}
          onPress={() => change.mutate({ ...supply.facts, usesPerFill })}
        />
      </View>
    </Note>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', paddingTop: space.xs } });
