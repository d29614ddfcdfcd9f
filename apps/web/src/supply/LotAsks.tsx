import { formOf, holdsOf, isRefusal, mayLive } from '@red-shelf/core';
import type { HoldingView, Place, SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { usePreferences, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { useRoom } from '../api/contents';
import { sayLength } from '../copy/measure';
import { unitTitle } from '../copy/supply';
import { ChoiceField } from '../form/bound';
import { twoSides, typed, typedOr, whole, words } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';

interface MoveProps {
  readonly supply: SupplyView;
  readonly lot: HoldingView;
  readonly busy: boolean;
  readonly onMove: (to: { place: Place; amount?: number }) => Promise<unknown>;
}

const moveSaid = z.object({
  to: words('Choose where to.'),
  some: typedOr(null, whole(1, 999_999, 'Some is a whole number from 1 up; leave it empty for all.')),
});

/** Somewhere else, all of it or some: the first open place of a unit that takes it. */
export function Move({ supply, lot, busy, onMove }: MoveProps) {
  const { stash } = useStash();
  const room = useRoom(stash);
  const ask = useAsk(`move.${lot.id}`, moveSaid, { to: '', some: '' });
  const open = (stash?.wall.units ?? []).flatMap((unit) => {
    const cells = unit.model ? holdsOf(unit.model).cells : 0;
    const spots = cells === 0 ? [null] : Array.from({ length: cells }, (_, cell) => cell);
    const cell = spots.find(
      (each) =>
        !isRefusal(mayLive({ supply, lot: { ...lot, id: '', spot: null } }, { unit, cell: each }, room)),
    );
    return cell === undefined ? [] : [{ unit, cell }];
  });
  const countable = lot.as !== 'whole' || formOf(supply.kind, supply.form).counting !== 'length';
  const submit = (): void =>
    ask.submit(async ({ to, some }) => {
      const chosen = open.find(({ unit }) => unit.id === to);
      if (!chosen) {
        ask.refuse('to', 'It has no room any more; choose another.');
        return false;
      }
      const place = { unitId: to, cell: chosen.cell };
      return onMove({ place, ...(some === null ? {} : { amount: some }) });
    });
  if (open.length === 0) return <Note>No unit that takes it has room.</Note>;
  return (
    <View style={styles.ask}>
      <ChoiceField
        control={ask.control}
        name="to"
        label="To"
        options={open.map(({ unit }) => unit.id)}
        say={(id) =>
          open
            .map(({ unit }) => unit)
            .filter((unit) => unit.id === id)
            .map(unitTitle)[0] ?? id
        }
      />
      {countable && (
        <Field control={ask.control} name="some" label="How many of it" numeric hint="all when empty" />
      )}
      <Button label="Move it there" main busy={busy} onPress={submit} />
    </View>
  );
}

/** How large a scrap or a base is. */
export function Size({ lot, onDone }: { readonly lot: HoldingView; readonly onDone: () => void }) {
  const { preferences } = usePreferences();
  const { units } = preferences;
  const said = z.object({ size: typed(twoSides(units, 'Write width × height, such as 11 × 6 cm.')) });
  const ask = useAsk(`size.${lot.id}`, said, {
    size: lot.sizeUm
      ? `${sayLength(lot.sizeUm.widthUm, units)} × ${sayLength(lot.sizeUm.heightUm, units)}`
      : '',
  });
  const keep = useChange((sizeUm: HoldingView['sizeUm']) =>
    order(routes.sizeHolding, { id: lot.id, body: { version: lot.version, sizeUm } }),
  );
  const submit = (): void => ask.submit(({ size }) => keep.mutateAsync(size).then(onDone));
  return (
    <View style={styles.ask}>
      <Field control={ask.control} name="size" label="Width × height" onSubmit={submit} autoFocus />
      <Button label="Keep its size" main busy={keep.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  ask: { gap: space.s, padding: space.m - 4, borderWidth: 1, borderColor: colour.hairline },
});
