import { densityOf, formFor, needsTare, printVolume, roomByMass } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { colour, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';
import { useScale } from './useScale';

interface WeighProps {
  readonly supply: SupplyView;
  /** What thins its ink, where that is known. */
  readonly chemistry: unknown;
  /** Mass before, mg; null until it is taken. */
  readonly beforeMg: number | null;
  readonly onTake: (which: 'before' | 'after', mg: number) => void;
}

const grams = (mg: number): string => `${(mg / 1000).toFixed(2)} g`;
/** What goes into the stand-in with one press, µl. */
const DROP_UL = 200;

/** Its masses empty and full, where both are known, mg. */
export function massesOf({ facts }: Pick<SupplyView, 'facts'>): { emptyMg: number; fullMg: number } | null {
  const { emptyMass, fullMass } = facts.attributes ?? {};
  return typeof emptyMass === 'number' && typeof fullMass === 'number'
    ? { emptyMg: emptyMass, fullMg: fullMass }
    : null;
}

/** Weighs a thing before and after it is filled: tare, what it weighs, how much goes in, what it weighs then. */
export function Weigh({ supply, chemistry, beforeMg, onTake }: WeighProps) {
  const scale = useScale();
  const [isOn, setOn] = useState(false);
  const [filledMg, setFilled] = useState(0);
  const masses = massesOf(supply);
  const density = densityOf(chemistry);
  const own = massNow(supply);
  const put = (on: boolean, filled: number): void => {
    setOn(on);
    setFilled(filled);
    scale.put(on ? own + filled : 0);
  };
  const nowMg = isOn ? scale.settled : beforeMg;
  const room = masses && nowMg !== null ? roomByMass({ ...masses, nowMg }, density) : null;
  const over = masses !== null && nowMg !== null && nowMg > masses.fullMg;
  return (
    <View style={styles.box} role="region" aria-label="Scale">
      <Txt look="quiet">Simulated scale. On it lies</Txt>
      <View style={styles.row} role="radiogroup" aria-label="On the scale">
        <Chip label="nothing" on={!isOn} onPress={() => put(false, filledMg)} />
        <Chip label={supply.name} on={isOn} onPress={() => put(true, filledMg)} />
        {isOn && (
          <Button
            label={`Put ${printVolume(DROP_UL, 'ml')} in`}
            onPress={() => put(true, filledMg + DROP_UL * density)}
          />
        )}
      </View>
      <Txt look="address" aria-live="polite">
        {grams(scale.mg)}
      </Txt>
      <Txt look="quiet">{scale.settled === null ? 'It still moves.' : 'It has settled.'}</Txt>
      {!isOn && scale.settled !== null && (
        <Txt>
          {needsTare(scale.settled)
            ? 'Nothing lies on it, and it does not show nothing: tare it.'
            : `Now put ${supply.name} on it${beforeMg === null ? '' : ' again, filled'}.`}
        </Txt>
      )}
      {isOn && room && <Txt>{sayRoom(room.share, room.roomUl)}</Txt>}
      {isOn && masses === null && (
        <Txt look="quiet">
          What it weighs empty and full is not known: say so where you change it, and how much goes in is
          known too.
        </Txt>
      )}
      {over && (
        <Note sort="attention">
          It weighs more than full: what is overfilled leaks. Let some out, and mind the maker’s own
          instructions.
        </Note>
      )}
      <View style={styles.row}>
        {!isOn && <Button label="Tare" disabled={scale.settled === null} onPress={scale.tare} />}
        {isOn && (
          <Button
            label={beforeMg === null ? 'That is before' : 'That is after'}
            main
            disabled={scale.settled === null}
            onPress={() => onTake(beforeMg === null ? 'before' : 'after', scale.settled ?? 0)}
          />
        )}
      </View>
    </View>
  );
}

/** What it would weigh on a real scale, as full as it is known to be, mg. */
function massNow(supply: SupplyView): number {
  const { massG, usesPerFill = 1 } = formFor(supply);
  const masses = massesOf(supply);
  if (!masses) return massG * 1000;
  const share = Math.min(1, supply.stock.left / Math.max(1, usesPerFill));
  return masses.emptyMg + (masses.fullMg - masses.emptyMg) * share;
}

/** What goes in is said as nearly as drops are counted. */
const ROUGH_UL = 100;
const sayRoom = (share: number, roomUl: number): string =>
  roomUl < ROUGH_UL / 2
    ? 'It is full: nothing more goes in.'
    : `It is about ${Math.round(100 * Math.min(1, share))}% full: about ${printVolume(ROUGH_UL * Math.round(roomUl / ROUGH_UL), 'ml')} go in before it overfills.`;

const styles = StyleSheet.create({
  box: { gap: space.s, padding: space.m - 4, borderRadius: 4, backgroundColor: colour.ground },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
});
