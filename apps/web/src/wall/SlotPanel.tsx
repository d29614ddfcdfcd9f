import { colourDifference, FAMILY_GROUP_INFO, fitInSlot, envelopeOf, slotAddress } from '@red-shelf/core';
import type { Place, SupplyView, UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import type { Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { sayLastUsed, sayStock, sayWhat } from '../copy/supply';
import { many } from '../copy/words';
import { CapNote } from '../stash/CapNote';
import { UseButton } from '../stash/UseButton';
import { colour, LIP, radius, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Icon } from '../ui/Icon';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { useWide } from '../ui/useWide';

export interface SlotChoice {
  readonly unitId: string;
  readonly slot: number;
}

interface SlotPanelProps {
  readonly unit: UnitView;
  readonly slots: readonly (SupplyView | null)[];
  readonly choice: SlotChoice;
  readonly stash: Stash;
  readonly onChoose: (choice: SlotChoice) => void;
  readonly onClose: () => void;
}

/** What lives in the chosen slot: a sheet at the foot of a phone, a pane beside the wall on a wide screen. */
export function SlotPanel({ unit, slots, choice, stash, onChoose, onClose }: SlotPanelProps) {
  const wide = useWide();
  const supply = slots[choice.slot] ?? null;
  const go = (by: number) =>
    onChoose({ unitId: unit.id, slot: (choice.slot + by + slots.length) % slots.length });
  return (
    <View style={wide ? styles.pane : styles.sheet} role="complementary" aria-label="What lives here">
      <View style={styles.head}>
        <View>
          <Txt look="address" level={2}>
            {slotAddress(unit, choice.slot)}
          </Txt>
          <View style={styles.lip} />
        </View>
        <View style={styles.steps}>
          <Step icon="back" says="The slot before" onPress={() => go(-1)} />
          <Step icon="next" says="The next slot" onPress={() => go(1)} />
          <Step icon="close" says="Close" onPress={onClose} />
        </View>
      </View>
      <ScrollView contentContainerStyle={styles.body}>
        {supply ? (
          <Occupied supply={supply} slots={slots} slot={choice.slot} />
        ) : (
          <Open unit={unit} place={choice} stash={stash} />
        )}
        {(wide || !supply) && <TakeDown unit={unit} onDone={onClose} />}
      </ScrollView>
    </View>
  );
}

function Step({
  icon,
  says,
  onPress,
}: {
  icon: 'back' | 'next' | 'close';
  says: string;
  onPress: () => void;
}) {
  return (
    <Pressable role="button" aria-label={says} onPress={onPress} style={styles.step}>
      <Icon name={icon} size={20} />
    </Pressable>
  );
}

function Occupied({
  supply,
  slots,
  slot,
}: {
  supply: SupplyView;
  slots: readonly (SupplyView | null)[];
  slot: number;
}) {
  const lift = useChange(() => call(routes.placeSupply, { id: supply.id, body: { place: null } }));
  const beside = [slots[slot - 1], slots[slot + 1]].flatMap((other) =>
    other ? [`${other.name} ΔE ${colourDifference(supply.hex, other.hex).toFixed(1)}`] : [],
  );
  return (
    <>
      <View style={styles.thing}>
        <Swatch hex={supply.hex} group={supply.group} size={56} />
        <View style={styles.words}>
          <Txt look="title">{supply.name}</Txt>
          <Txt look="quiet">{sayWhat(supply)}</Txt>
          <Txt look="quiet">
            {FAMILY_GROUP_INFO[supply.group].name} · {sayStock(supply)} · {sayLastUsed(supply)}
          </Txt>
        </View>
      </View>
      {beside.length > 0 && <Txt look="quiet">Beside it: {beside.join(' · ')}</Txt>}
      <View style={styles.acts}>
        <UseButton supply={supply} grow />
        <Button
          label="Look closer"
          grow
          onPress={() => router.push({ pathname: '/stash', params: { supply: supply.id } })}
        />
        <Button label="Lift out" grow busy={lift.isPending} onPress={() => lift.mutate(undefined)} />
      </View>
    </>
  );
}

/** Takes the whole unit off the wall; what lived in it stays in the stash. */
function TakeDown({ unit, onDone }: { readonly unit: UnitView; readonly onDone: () => void }) {
  const takeDown = useChange(() => call(routes.removeUnit, { id: unit.id, body: { version: unit.version } }));
  return (
    <Button
      label={`Take ${unit.letter} ${unit.name} down`}
      busy={takeDown.isPending}
      onPress={() => takeDown.mutate(undefined, { onSuccess: onDone })}
    />
  );
}

/** How many things without a place are offered for an open slot. */
const OFFERED = 6;

function Open({ unit, place, stash }: { unit: UnitView; place: Place; stash: Stash }) {
  const set = useChange((id: string) => call(routes.placeSupply, { id, body: { place } }));
  const waiting = stash.supplies.filter(
    (supply) =>
      supply.place === null &&
      unit.holds.includes(supply.kind) &&
      fitInSlot(envelopeOf(supply), unit.slot) === null,
  );
  return (
    <>
      <Txt>
        {waiting.length === 0
          ? 'This slot is open, and everything that fits it has a place already.'
          : `This slot is open. ${many(waiting.length, 'thing')} without a place would fit:`}
      </Txt>
      {waiting.length > 0 && <CapNote unitId={unit.id} />}
      {waiting.slice(0, OFFERED).map((supply) => (
        <Pressable
          key={supply.id}
          role="button"
          aria-label={`Set ${supply.name} down here`}
          disabled={set.isPending}
          onPress={() => set.mutate(supply.id)}
          style={styles.offer}
        >
          <Swatch hex={supply.hex} group={supply.group} size={36} />
          <Txt look="strong" style={styles.words}>
            {supply.name}
          </Txt>
          <Txt look="quiet">set down here</Txt>
        </Pressable>
      ))}
    </>
  );
}

const styles = StyleSheet.create({
  sheet: {
    position: 'absolute',
    left: 0,
    right: 0,
    bottom: 0,
    maxHeight: 360,
    backgroundColor: colour.card,
    borderTopWidth: 1,
    borderTopColor: colour.hairline,
    boxShadow: `0 -6px 18px ${colour.shade}`,
  },
  pane: { width: 300, backgroundColor: colour.card, borderLeftWidth: 1, borderLeftColor: colour.hairline },
  head: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'center',
    paddingHorizontal: space.m,
    paddingTop: space.s,
  },
  lip: { height: LIP, backgroundColor: colour.lip },
  steps: { flexDirection: 'row' },
  step: { width: TOUCH, height: TOUCH, alignItems: 'center', justifyContent: 'center' },
  body: { padding: space.m, gap: space.m - 4 },
  thing: { flexDirection: 'row', gap: space.m - 4 },
  words: { flex: 1, gap: 2 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  offer: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s + 2,
    minHeight: TOUCH + 4,
    paddingHorizontal: space.s,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
  },
});
