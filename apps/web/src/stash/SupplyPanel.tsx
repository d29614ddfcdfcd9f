import { FAMILY_GROUP_INFO, familyOf, formOf, inkOn } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { useSupply } from '../api/queries';
import { useChange } from '../api/useChange';
import { Waiting } from '../frame/Waiting';
import { addressOf, sayEntry, sayLastUsed, sayStock, sayWhat } from '../copy/supply';
import { words } from '../copy/words';
import { colour, LIP, radius, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Caution } from '../ui/Caution';
import { Icon } from '../ui/Icon';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { EditForm } from './EditForm';
import { isActName, StockActs } from './StockActs';

interface SupplyPanelProps {
  readonly id: string;
  readonly units: readonly UnitView[];
  readonly onClose: () => void;
}

/** Forms that often hold alcohol or solvents. */
const SOLVENT_FORMS: ReadonlySet<string> = new Set(['alcohol-dual', 'paint', 'spray', 'drops', 'refill']);

/** One supply in full: colour, place, what is left, what can be done, what has happened. */
export function SupplyPanel({ id, units, onClose }: SupplyPanelProps) {
  const { data, error } = useSupply(id);
  const [editing, setEditing] = useState(false);
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
      <View style={[styles.swatch, { backgroundColor: supply.hex }]}>
        <Txt look="label" style={[styles.mark, { color: inkOn(supply.hex) }]}>
          {FAMILY_GROUP_INFO[supply.group].mark}
        </Txt>
      </View>
      {editing ? (
        <EditForm supply={supply} onDone={() => setEditing(false)} />
      ) : (
        <>
          <Facts supply={supply} address={addressOf(supply, units)} />
          <StockPart supply={supply} />
          <Manage supply={supply} onEdit={() => setEditing(true)} onRemoved={onClose} />
          {SOLVENT_FORMS.has(form.id) && <Caution id="solvent">{words.solvent}</Caution>}
          <View>
            <Txt look="strong" level={2}>
              What happened
            </Txt>
            {[...ledger].reverse().map((entry) => (
              <Txt key={entry.id} look="quiet">
                {sayEntry(entry, form)}
              </Txt>
            ))}
          </View>
        </>
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

function Facts({ supply, address }: { readonly supply: SupplyView; readonly address: string | null }) {
  const opinion = familyOf(supply.hex, supply.finish);
  const family = supply.familyOverride
    ? `${supply.familyOverride}, by your word${supply.familyReason ? `: ${supply.familyReason}` : ''}`
    : `${supply.family} (${Math.round(opinion.confidence * 100)}% sure, else ${opinion.runnerUp})`;
  return (
    <View style={styles.facts}>
      <Txt look="page" level={1}>
        {supply.name}
      </Txt>
      <Txt look="quiet">{sayWhat(supply)}</Txt>
      {address ? (
        <View style={styles.address}>
          <Txt look="address">{address}</Txt>
          <View style={styles.lip} />
        </View>
      ) : (
        <Note sort="attention">
          It has no place yet. Arrange gives it one, or tap an open slot on the wall.
        </Note>
      )}
      <Txt>
        <Txt look="number">{sayStock(supply)}</Txt> · {sayLastUsed(supply)}
      </Txt>
      <Txt look="quiet">
        {supply.hex}
        {supply.finish === 'matte' ? '' : ` · ${supply.finish}`} · {family}
      </Txt>
      {supply.note !== '' && <Txt>{supply.note}</Txt>}
    </View>
  );
}

function StockPart({ supply }: { readonly supply: SupplyView }) {
  const { act } = useLocalSearchParams<{ act?: string }>();
  return <StockActs supply={supply} startWith={isActName(act) ? act : null} />;
}

function Manage({
  supply,
  onEdit,
  onRemoved,
}: {
  readonly supply: SupplyView;
  readonly onEdit: () => void;
  readonly onRemoved: () => void;
}) {
  const remove = useChange(() =>
    call(routes.removeSupply, { id: supply.id, body: { version: supply.version } }),
  );
  return (
    <View style={styles.acts}>
      <Button label="Edit" grow onPress={onEdit} />
      <Button
        label="Remove"
        grow
        busy={remove.isPending}
        onPress={() => remove.mutate(undefined, { onSuccess: onRemoved })}
      />
    </View>
  );
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
  facts: { gap: 6 },
  address: { alignSelf: 'flex-start' },
  lip: { height: LIP, backgroundColor: colour.lip },
  acts: { flexDirection: 'row', gap: space.s },
});
