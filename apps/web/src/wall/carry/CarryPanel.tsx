import { addressIn, HAND_ID, trimFor } from '@red-shelf/core';
import type { Place } from '@red-shelf/contract';
import { useDeferredValue, useEffect, useMemo, useRef } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { isLoose, readContents, type Living } from '../../api/contents';
import { usePreferences, type Stash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { sayFits, sayInHand, sayNearest, sayNo } from '../../copy/carry';
import { sayWarning } from '../../copy/reasons';
import { sayTolerance, sayTrim } from '../../copy/room';
import { many } from '../../copy/words';
import type { SlotChoice } from '../../draw/UnitBlock';
import { colour, radius, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Note } from '../../ui/Note';
import { Swatch } from '../../ui/Swatch';
import { Txt } from '../../ui/Txt';
import { useKeys } from '../../ui/useKeys';
import { useWide } from '../../ui/useWide';
import { letGoOf } from './carried';
import { useAim, type Aim } from './useAim';

export interface CarryPanelProps {
  readonly stash: Stash;
  readonly carried: readonly Living[];
  readonly choice: SlotChoice | null;
  /** Counts the drops of what is in hand: each sets down where one points. */
  readonly drops: number;
  readonly onChoose: (choice: SlotChoice | null) => void;
  /** Everything that could be was set down. */
  readonly onDone: () => void;
}

interface Move {
  readonly id: string;
  readonly version: number;
  readonly place: Place;
}
const moveOf = ({ id, version }: Living['lot'], place: Place): Move => ({ id, version, place });

/** What is in hand, what the place one points at says to it, and setting it down there. */
export function CarryPanel({ stash, carried, choice, drops, onChoose, onDone }: CarryPanelProps) {
  const wide = useWide();
  // What is in hand shows at once. Whether it fits is worked out after that, for the place and the drop together.
  const pointed = useMemo(() => ({ choice, drops }), [choice, drops]);
  const heard = useDeferredValue(pointed, POINTED_NOWHERE);
  const { aim, others } = useAim(stash, carried, heard.choice);
  const place = useChange((moves: readonly Move[]) =>
    moves.length === 1 && moves[0]
      ? order(routes.placeHolding, { id: moves[0].id, body: moves[0] })
      : order(routes.moveHoldings, { body: { moves: [...moves] } }),
  );
  /** Everything at once is one change, and taken back as one. */
  const setDown = async ({ unit, plan }: Aim): Promise<void> => {
    // What is set down where it is already was never away.
    const going = plan.set.filter(
      ({ thing: { lot }, cell }) => lot.spot?.unitId !== unit.id || lot.spot.cell !== cell,
    );
    const moves = going.map(({ thing: { lot }, cell }) => moveOf(lot, { unitId: unit.id, cell }));
    if (moves.length > 0 && !(await place.mutateAsync(moves).catch(() => null))) return;
    letGoOf(plan.set.map(({ thing }) => thing.lot.id));
    onDone();
  };
  const go = (): void => {
    if (aim && aim.plan.set.length > 0 && !place.isPending) void setDown(aim);
  };
  const toBench = async (): Promise<void> => {
    const moves = carried
      .filter(({ lot }) => lot.spot?.unitId !== HAND_ID)
      .map(({ lot }) => moveOf(lot, { unitId: HAND_ID, cell: null }));
    if (moves.length > 0) await place.mutateAsync(moves).catch(() => null);
    letGoOf();
  };
  const done = useRef(0);
  useEffect(() => {
    // Also one that came before this panel did: a hand is quicker than a busy page.
    if (heard.drops !== done.current) go();
    done.current = heard.drops;
  }, [heard.drops]);
  useKeys({ Escape: () => letGoOf() });
  const slotOf = (unitId: string, cell: number | null): SlotChoice => ({
    unitId,
    slot: cell ?? readContents(stash).get(unitId)?.length ?? 0,
  });
  const refused = aim?.plan.refused[0];
  return (
    <View style={wide ? styles.card : styles.sheet} role="complementary" aria-label="In hand">
      <ScrollView contentContainerStyle={styles.body}>
        <View style={styles.things}>
          {carried.slice(0, SHOWN).map(({ supply, lot }) => (
            <Swatch key={lot.id} hex={supply.hex} group={supply.group} size={36} />
          ))}
        </View>
        <Txt look="strong" level={2}>
          {sayInHand(carried.map(({ supply }) => supply.name))}
        </Txt>
        <View aria-live="polite" style={styles.verdict}>
          {aim ? (
            <Verdict aim={aim} stash={stash} />
          ) : (
            <Txt>Point at a place: tap it, drag there, or go with the arrow keys.</Txt>
          )}
        </View>
        {refused && others.length > 0 && <Txt look="quiet">These would take it:</Txt>}
        {refused &&
          others.map(({ unit, cell }) => (
            <Button
              key={unit.id}
              label={`${addressIn(unit, cell)} ${unit.name}`}
              onPress={() => onChoose(slotOf(unit.id, cell))}
            />
          ))}
        {refused && others.length === 0 && <Txt look="quiet">Nothing in the room takes it as it is.</Txt>}
        {aim && aim.plan.set.length > 0 && (
          <Button
            main
            label={
              carried.length > 1 ? `Set ${many(aim.plan.set.length, 'thing')} down here` : 'Set it down here'
            }
            busy={place.isPending}
            onPress={go}
          />
        )}
        <View style={styles.acts}>
          <Button label="Leave where it was" grow onPress={() => letGoOf()} />
          <Button label="To the bench" grow onPress={() => void toBench()} />
        </View>
      </ScrollView>
    </View>
  );
}

const SHOWN = 6;
const POINTED_NOWHERE = { choice: null, drops: 0 };

/** Fits or not, with the measures; what is wrong there all the same; how exactly things go back there. */
function Verdict({ aim: { unit, cell, plan }, stash }: { readonly aim: Aim; readonly stash: Stash }) {
  const { units } = usePreferences().preferences;
  const nameOf = (id: string): string => stash.byId.get(id)?.name ?? 'something';
  const address = addressIn(unit, cell);
  const [first] = plan.set;
  const warnings = new Map(
    plan.set.flatMap((each) => each.warnings.map((warning) => [sayWarning(warning, nameOf), warning])),
  );
  const trimOf = (thing: Living): string => {
    const trim = trimFor(thing, { unit, cell });
    return trim ? sayTrim(trim, units) : '';
  };
  const stays = first?.thing.lot.spot?.unitId === unit.id && first.thing.lot.spot.cell === first.cell;
  return (
    <>
      {first && first.cell !== cell && unit.facts.tolerance && (
        <Txt>{sayNearest(address, unit.facts.tolerance)}</Txt>
      )}
      {first && (
        <Txt>
          {stays && !isLoose(unit)
            ? `${address} is where it is now.`
            : sayFits(addressIn(unit, first.cell), first.clear, units)}
        </Txt>
      )}
      {plan.refused.map(({ thing, refusal }) => (
        <Note key={thing.lot.id} sort="attention">
          {[sayNo(thing.supply.name, address, refusal), trimOf(thing)].filter(Boolean).join(' ')}
        </Note>
      ))}
      {[...warnings.keys()].map((said) => (
        <Note key={said} sort="attention">
          {said}
        </Note>
      ))}
      {unit.facts.tolerance && <Txt look="quiet">{sayTolerance(unit.facts.tolerance)}</Txt>}
    </>
  );
}

const styles = StyleSheet.create({
  sheet: {
    position: 'absolute',
    left: 0,
    right: 0,
    bottom: 0,
    maxHeight: 340,
    backgroundColor: colour.card,
    borderTopWidth: 1,
    borderTopColor: colour.hairline,
    boxShadow: `0 -6px 18px ${colour.shade}`,
  },
  /** It lies over the wall: what one drags must not move away under the hand. */
  card: {
    position: 'absolute',
    left: space.m,
    bottom: space.m,
    width: 400,
    maxHeight: 360,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
    boxShadow: `0 6px 18px ${colour.shade}`,
  },
  body: { padding: space.m, gap: space.s + 2 },
  things: { flexDirection: 'row', gap: space.xs },
  verdict: { gap: space.s },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
