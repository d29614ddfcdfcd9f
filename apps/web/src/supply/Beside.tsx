import { breakUpAdvice, colourDifference, colourNameOf, fold, formOf, hasColour } from '@red-shelf/core';
import type { LedgerView, SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { useStashLater } from '../api/queries';
import { sayStock } from '../copy/supply';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useWhere } from '../api/where';
import { useMemo } from 'react';

const MOST = 8;
/** Colours of one kind that nobody tells apart are one colour, ΔE (CIEDE2000). */
const NOT_TOLD_APART = 1.5;

/** The same colour in other sizes and forms, wherever they are: two slots that belong together. */
export function SameColour({ supply }: { readonly supply: SupplyView }) {
  const stash = useStashLater();
  const where = useWhere(stash);
  const same = useMemo(() => {
    const name = colourNameOf(supply.name);
    const alike = ({ kind, hex, family }: SupplyView): boolean =>
      kind === supply.kind &&
      hasColour(supply) &&
      hasColour({ family }) &&
      colourDifference(hex, supply.hex) <= NOT_TOLD_APART;
    return (stash?.supplies ?? []).filter(
      (each) => each.form !== supply.form && (colourNameOf(each.name) === name || alike(each)),
    );
  }, [stash, supply]);
  if (!stash || same.length === 0) return null;
  return (
    <View style={styles.box} role="region" aria-label="The same colour elsewhere">
      <Txt look="strong" level={2}>
        The same colour elsewhere
      </Txt>
      {same.slice(0, MOST).map((each) => (
        <Button
          key={each.id}
          label={`${fold(each.name) === fold(supply.name) ? '' : `${each.name}, `}${formOf(each.kind, each.form).name}: ${where(each) ?? 'no place'}, ${sayStock(each)}`}
          onPress={() => router.setParams({ supply: each.id })}
        />
      ))}
    </View>
  );
}

/** Pads and packs kept whole: whether to break them up, from how their sheets leave. */
export function BreakUp({
  supply,
  ledger,
}: {
  readonly supply: SupplyView;
  readonly ledger: readonly LedgerView[];
}) {
  if (supply.form !== 'pad-6' && supply.form !== 'book') return null;
  const { advice, singles, recent } = breakUpAdvice(ledger);
  if (advice === 'too early to say') return null;
  return (
    <Note sort={advice === 'break up' ? 'attention' : 'verdict'}>
      {advice === 'break up'
        ? `Of its last ${recent} uses, ${singles} took a single sheet: break it up and file the sheets by colour.`
        : `Its sheets leave together (${recent - singles} of the last ${recent} uses): keep it whole.`}
    </Note>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s } });
