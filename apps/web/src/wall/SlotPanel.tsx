import type { SlotChoice } from '../draw/UnitBlock';
import {
  addressIn,
  colourDifference,
  FAMILY_GROUP_INFO,
  HAND_ID,
  isRefusal,
  mayLive,
  formOf,
  hasColour,
  wayTo,
} from '@red-shelf/core';
import type { Place, UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { PlacePicture } from '../row/PlacePicture';
import { hasPlace, isLoose, mainOf, toReachIn, useRoom, type Contents, type Living } from '../api/contents';
import { usePreferences, type Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { placeWord, sayToReach } from '../copy/places';
import { sayTolerance, sayWay } from '../copy/room';
import { sayLotAmount, sayLotWhat } from '../copy/lots';
import { sayWarning } from '../copy/reasons';
import { sayLastUsed } from '../copy/history';
import { sayWhat } from '../copy/supply';
import { many } from '../copy/words';
import { CapNote } from '../judge/CapNote';
import { lift } from './carry/carried';
import { UseButton } from '../row/UseButton';
import { colour, LIP, radius, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Icon } from '../ui/Icon';
import { Note } from '../ui/Note';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { useWide } from '../ui/useWide';
import { StaysAct, UnitActs } from './UnitActs';

export interface SlotPanelProps {
  readonly unit: UnitView;
  readonly slots: Contents;
  readonly choice: SlotChoice;
  readonly stash: Stash;
  readonly onChoose: (choice: SlotChoice) => void;
  readonly onClose: () => void;
}

/** What lives in the chosen slot: a sheet at the foot of a phone, a pane beside the wall on a wide screen. */
export function SlotPanel({ unit, slots, choice, stash, onChoose, onClose }: SlotPanelProps) {
  const wide = useWide();
  const living = slots[choice.slot] ?? null;
  const loose = isLoose(unit);
  // Behind the last thing of a box comes the box itself, to put something in.
  const stops = slots.length + (loose ? 1 : 0);
  const go = (by: number) => onChoose({ unitId: unit.id, slot: (choice.slot + by + stops) % stops });
  return (
    <View style={wide ? styles.pane : styles.sheet} role="complementary" aria-label="What lives here">
      <View style={styles.head}>
        <View>
          <Txt look="address" level={2}>
            {addressIn(unit, loose ? null : choice.slot)}
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
        {living ? (
          <Occupied living={living} unit={unit} slots={slots} slot={choice.slot} stash={stash} />
        ) : (
          <Open unit={unit} place={{ unitId: unit.id, cell: loose ? null : choice.slot }} stash={stash} />
        )}
        {!loose && <StaysAct unit={unit} cell={choice.slot} />}
        {(wide || !living) && <UnitActs unit={unit} onDone={onClose} />}
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

interface OccupiedProps {
  readonly living: Living;
  readonly unit: UnitView;
  readonly slots: Contents;
  readonly slot: number;
  readonly stash: Stash;
}

function Occupied({ living: { supply, lot }, unit, slots, slot, stash }: OccupiedProps) {
  const { preferences } = usePreferences();
  const room = useRoom(stash);
  const move = useChange((place: Place | null) =>
    order(routes.placeHolding, { id: lot.id, body: { version: lot.version, place } }),
  );
  const beside =
    isLoose(unit) || !hasColour(supply)
      ? []
      : [slots[slot - 1], slots[slot + 1]].flatMap((other) =>
          other && hasColour(other.supply)
            ? [`${other.supply.name} ΔE ${colourDifference(supply.hex, other.supply.hex).toFixed(1)}`]
            : [],
        );
  const answer = mayLive({ supply, lot }, { unit, cell: lot.spot?.cell ?? null }, room);
  const what = sayLotWhat(lot, supply.kind, preferences.units);
  const wants = formOf(supply.kind, supply.form).orientation;
  const first = toReachIn(unit, slots, slot);
  const way = sayWay(wayTo(unit, stash.wall.all));
  return (
    <>
      <View style={styles.thing}>
        <Swatch hex={supply.hex} group={supply.group} size={56} />
        <View style={styles.words}>
          <Txt look="title">{supply.name}</Txt>
          <Txt look="quiet">{[what, sayWhat(supply)].filter(Boolean).join(' · ')}</Txt>
          <Txt look="quiet">
            {[
              FAMILY_GROUP_INFO[supply.group].name,
              sayLotAmount(supply, lot),
              sayLastUsed(supply),
              ...(wants && wants.wants !== 'any' ? [`kept ${wants.wants}`] : []),
            ].join(' · ')}
          </Txt>
        </View>
      </View>
      {unit.facts.tolerance && <Txt look="quiet">{sayTolerance(unit.facts.tolerance)}</Txt>}
      <PlacePicture unit={unit} all={stash.wall.all} />
      {way !== '' && <Txt look="quiet">{`The way: ${way}.`}</Txt>}
      {first > 0 && <Txt>{sayToReach(unit.model, first)}</Txt>}
      {beside.length > 0 && <Txt look="quiet">Beside it: {beside.join(' · ')}</Txt>}
      {answer !== null &&
        !isRefusal(answer) &&
        answer.map((warning) => (
          <Note key={warning.code === 'care' ? warning.rule : warning.code} sort="attention">
            {sayWarning(warning, (id) => stash.byId.get(id)?.name ?? 'something')}
          </Note>
        ))}
      <View style={styles.acts}>
        <UseButton supply={supply} grow />
        <Button
          label="Look closer"
          grow
          onPress={() => router.push({ pathname: '/stash', params: { supply: supply.id } })}
        />
        <Button label="Carry" says={`Carry ${supply.name}`} grow onPress={() => lift(lot.id)} />
        <Button
          label="To the bench"
          grow
          disabled={move.isPending}
          onPress={() => move.mutate({ unitId: HAND_ID, cell: null })}
        />
        <Button label="Lift out" grow busy={move.isPending} onPress={() => move.mutate(null)} />
      </View>
    </>
  );
}

/** How many things without a place are offered for an open slot. */
const OFFERED = 6;

function Open({ unit, place, stash }: { unit: UnitView; place: Place; stash: Stash }) {
  const room = useRoom(stash);
  const set = useChange(({ lot }: Living) =>
    order(routes.placeHolding, { id: lot.id, body: { version: lot.version, place } }),
  );
  const waiting = stash.supplies.flatMap((supply): Living[] => {
    const lot = mainOf(supply);
    if (!lot || hasPlace(supply)) return [];
    const answer = mayLive({ supply, lot }, { unit, cell: place.cell }, room);
    return isRefusal(answer) || answer?.some(({ code }) => code === 'kept_for_others')
      ? []
      : [{ supply, lot }];
  });
  const here = placeWord(unit.model);
  return (
    <>
      <Txt>
        {waiting.length === 0
          ? `This ${here} is open, and everything that fits it${place.cell === null ? ' now' : ''} has a place already.`
          : `This ${here} is open. ${many(waiting.length, 'thing')} without a place would fit:`}
      </Txt>
      {waiting.length > 0 && <CapNote unitId={unit.id} />}
      {waiting.slice(0, OFFERED).map((living) => (
        <Pressable
          key={living.lot.id}
          role="button"
          aria-label={`Set ${living.supply.name} down here`}
          disabled={set.isPending}
          onPress={() => set.mutate(living)}
          style={styles.offer}
        >
          <Swatch hex={living.supply.hex} group={living.supply.group} size={36} />
          <Txt look="strong" style={styles.words}>
            {living.supply.name}
          </Txt>
          <Txt look="quiet">{place.cell === null ? 'put in here' : 'set down here'}</Txt>
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
