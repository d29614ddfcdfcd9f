import { FAMILY_GROUP_INFO, formOf, hasColour, hazardsOf, inkOn } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useLocalSearchParams } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { useSupply } from '../api/queries';
import { Waiting } from '../ui/Waiting';
import { words } from '../copy/words';
import type { Where } from '../api/where';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Caution } from '../ui/Caution';
import { Icon } from '../ui/Icon';
import { InTurn } from '../ui/InTurn';
import { Txt } from '../ui/Txt';
import { BreakUp, SameColour } from './Beside';
import { EditForm } from './EditForm';
import { History } from './History';
import { Letters } from './Letters';
import { Manage } from './Manage';
import { Photos } from './Photos';
import { LearnedFill } from './LearnedFill';
import { RunsOut } from './RunsOut';
import { isActName, StockActs } from './StockActs';
import { ColourAndMore, HowMuch, WhatAndWhere } from './SupplyFacts';
import { Swatches } from './Swatches';

interface SupplyPanelProps {
  readonly id: string;
  readonly where: Where;
  readonly onClose: () => void;
}

/** One supply in full: colour, place, what is left, what can be done, what has happened. */
export function SupplyPanel({ id, where, onClose }: SupplyPanelProps) {
  const { data, error } = useSupply(id);
  const [editing, setEditing] = useState(false);
  const later = useDeferredValue(data?.supply);
  if (!data)
    return (
      <View style={styles.panel}>
        <Close onPress={onClose} />
        <Waiting error={error} />
      </View>
    );
  const { supply, ledger } = data;
  const form = formOf(supply.kind, supply.form);
  return (
    <ScrollView style={styles.panel} contentContainerStyle={styles.inside}>
      <Close onPress={onClose} />
      {hasColour(supply) && (
        <View style={[styles.swatch, { backgroundColor: supply.hex }]}>
          <Txt look="label" style={[styles.mark, { color: inkOn(supply.hex) }]}>
            {FAMILY_GROUP_INFO[supply.group].mark}
          </Txt>
        </View>
      )}
      {editing ? (
        <EditForm supply={supply} onDone={() => setEditing(false)} />
      ) : (
        <InTurn first={1}>
          <WhatAndWhere supply={supply} address={where(supply)} />
          <HowMuch supply={supply} />
          <ColourAndMore supply={supply} />
          <RunsOut supply={later ?? supply} ledger={ledger ?? []} />
          <LearnedFill supply={supply} ledger={ledger ?? []} />
          <StockPart supply={supply} />
          <Manage supply={supply} onEdit={() => setEditing(true)} onRemoved={onClose} />
          {hazardsOf(supply).map((hazard) => (
            <Caution key={hazard} id={`${hazard}.${supply.id}`}>
              {words[hazard]}
            </Caution>
          ))}
          {typeof supply.facts.attributes?.letters === 'string' && <Letters supply={supply} />}
          <BreakUp supply={supply} ledger={ledger ?? []} />
          <SameColour supply={later ?? supply} />
          {hasColour(supply) && <Swatches supply={supply} />}
          <Photos supply={supply} />
          <History ledger={ledger} form={form} />
        </InTurn>
      )}
    </ScrollView>
  );
}

function Close({ onPress }: { readonly onPress: () => void }) {
  return (
    <Pressable role="button" aria-label="Back to the stash" onPress={onPress} style={styles.close}>
      <Icon name="back" size={20} />
      <Txt look="strong">Stash</Txt>
    </Pressable>
  );
}

function StockPart({ supply }: { readonly supply: SupplyView }) {
  const { act } = useLocalSearchParams<{ act?: string }>();
  return <StockActs supply={supply} startWith={isActName(act) ? act : null} />;
}

const styles = StyleSheet.create({
  panel: { flex: 1, backgroundColor: colour.card },
  inside: { padding: space.m, gap: space.m, paddingBottom: 96 },
  close: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.xs,
    minHeight: TOUCH,
    alignSelf: 'flex-start',
  },
  swatch: {
    height: 104,
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.hairline,
    justifyContent: 'flex-end',
    padding: space.s,
  },
  mark: { fontSize: 26 },
});
