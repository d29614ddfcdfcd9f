import { formOf, HAND_ID, isRefusal, mayLive, parseSize } from '@red-shelf/core';
import type { HoldingView, Place, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { useRoom } from '../api/contents';
import { usePreferences, useStash } from '../api/queries';
import { useSpotName } from '../api/spotName';
import { useChange } from '../api/useChange';
import { sayLotAmount, sayLotWhat } from '../copy/lots';
import { sayWarning } from '../copy/reasons';
import { unitTitle } from '../copy/supply';
import { sayLength } from '../copy/measure';
import { colour, LIP, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Icon } from '../ui/Icon';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

interface LotsProps {
  readonly supply: SupplyView;
  /** Where it lives as a whole: its drawer, where it has no place of its own. */
  readonly address: string | null;
}

/** Where a supply is: every lot of it with what it is, how much, its address and the way out of it. */
export function Lots({ supply, address }: LotsProps) {
  const { holdings } = supply;
  const spotName = useSpotName();
  const there = holdings.filter(({ spot, items, left }) => spot !== null || items > 0 || left > 0);
  // What has a place comes first.
  const shown = [...there.filter(({ spot }) => spot !== null), ...there.filter(({ spot }) => spot === null)];
  const [open, setOpen] = useState<string | null>(null);
  if (shown.every(({ spot }) => spot === null))
    return address ? <Address text={address} /> : <Note sort="attention">It has no place yet.</Note>;
  const single = shown.length === 1;
  return (
    <View role="list" aria-label="Where it is" style={styles.list}>
      {shown.map((lot) => {
        const place = lot.spot ? (lot.spot.unitId === HAND_ID ? 'on the bench' : spotName(lot.spot)) : null;
        return (
          <View key={lot.id} role="listitem" style={styles.lot}>
            <Pressable
              role="button"
              aria-expanded={open === lot.id}
              aria-label={`${place ?? 'no place'}, ${sayLotAmount(supply, lot)}: what can be done`}
              onPress={() => setOpen(open === lot.id ? null : lot.id)}
              style={styles.head}
            >
              {place ? <Address text={place} small={!single} /> : <Txt look="quiet">no place</Txt>}
              <LotLine supply={supply} lot={lot} alone={single} />
              <Icon name={open === lot.id ? 'close' : 'next'} size={18} />
            </Pressable>
            {open === lot.id && <LotActs supply={supply} lot={lot} />}
          </View>
        );
      })}
    </View>
  );
}

function Address({ text, small = false }: { readonly text: string; readonly small?: boolean }) {
  return (
    <View style={styles.address}>
      <Txt look="address" style={small && styles.small}>
        {text}
      </Txt>
      <View style={styles.lip} />
    </View>
  );
}

function LotLine({ supply, lot, alone }: { supply: SupplyView; lot: HoldingView; alone: boolean }) {
  const { preferences } = usePreferences();
  const { stash } = useStash();
  const room = useRoom(stash);
  const unit = stash?.wall.units.find(({ id }) => id === lot.spot?.unitId);
  const answer = unit ? mayLive({ supply, lot }, { unit, cell: lot.spot?.cell ?? null }, room) : null;
  const size = lot.sizeUm ? sayLotWhat(lot, preferences.units) : '';
  const said = [
    unit && unitTitle(unit),
    alone ? '' : size || sayLotAmount(supply, lot),
    size ? `${lot.items} of them` : '',
  ];
  return (
    <View style={styles.words}>
      <Txt look="quiet">{said.filter(Boolean).join(' · ')}</Txt>
      {answer !== null &&
        !isRefusal(answer) &&
        answer.map((warning) => (
          <Txt key={warning.code} look="quiet">
            {sayWarning(warning)}
          </Txt>
        ))}
    </View>
  );
}

type Asking = 'move' | 'size' | null;

/** Take it to the bench, lift it out, move some of it, say its size. */
function LotActs({ supply, lot }: { readonly supply: SupplyView; readonly lot: HoldingView }) {
  const [asking, setAsking] = useState<Asking>(null);
  const place = useChange((to: { place: Place | null; amount?: number }) =>
    order(routes.placeHolding, { id: lot.id, body: { version: lot.version, ...to } }),
  );
  const name = lot.as === 'whole' ? supply.name : sayLotAmount(supply, lot);
  const flip = (what: Asking): void => setAsking(asking === what ? null : what);
  const cut = lot.as === 'base' || lot.as === 'scrap';
  return (
    <>
      <View style={styles.acts}>
        <Button
          label={lot.spot ? 'Move' : 'Find it a place'}
          says={`Move ${name}`}
          onPress={() => flip('move')}
        />
        {lot.spot?.unitId !== HAND_ID && (
          <Button
            label="To the bench"
            says={`Take ${name} to the bench`}
            disabled={place.isPending}
            onPress={() => place.mutate({ place: { unitId: HAND_ID, cell: null } })}
          />
        )}
        {lot.spot && (
          <Button
            label="Lift out"
            says={`Lift ${name} out`}
            disabled={place.isPending}
            onPress={() => place.mutate({ place: null })}
          />
        )}
        {cut && <Button label={lot.sizeUm ? 'Size' : 'Say its size'} onPress={() => flip('size')} />}
      </View>
      {asking === 'move' && (
        <Move
          supply={supply}
          lot={lot}
          busy={place.isPending}
          onMove={(to) => place.mutate(to, { onSuccess: () => setAsking(null) })}
        />
      )}
      {asking === 'size' && <Size lot={lot} onDone={() => setAsking(null)} />}
    </>
  );
}

interface MoveProps {
  readonly supply: SupplyView;
  readonly lot: HoldingView;
  readonly busy: boolean;
  readonly onMove: (to: { place: Place; amount?: number }) => void;
}

/** Somewhere else, all of it or some: the first open place of a unit that takes it. */
function Move({ supply, lot, busy, onMove }: MoveProps) {
  const { stash } = useStash();
  const room = useRoom(stash);
  const [to, setTo] = useState('');
  const [some, setSome] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const open = (stash?.wall.units ?? []).flatMap((unit) => {
    const cells = unit.model?.model === 'grid' ? unit.model.rowsUm.length * unit.model.columnsUm.length : 0;
    const spots = cells === 0 ? [null] : Array.from({ length: cells }, (_, cell) => cell);
    const cell = spots.find(
      (each) =>
        !isRefusal(mayLive({ supply, lot: { ...lot, id: '', spot: null } }, { unit, cell: each }, room)),
    );
    return cell === undefined ? [] : [{ unit, cell }];
  });
  const chosen = open.find(({ unit }) => unitTitle(unit) === to);
  const countable = lot.as !== 'whole' || formOf(supply.kind, supply.form).counting !== 'length';
  const submit = (): void => {
    if (!chosen) return setRefusal('Choose where to.');
    const text = some.trim();
    if (text !== '' && !/^[1-9]\d{0,5}$/.test(text))
      return setRefusal('Some is a whole number; leave it empty for all.');
    setRefusal(null);
    return onMove({
      place: { unitId: chosen.unit.id, cell: chosen.cell },
      ...(text === '' ? {} : { amount: Number(text) }),
    });
  };
  if (open.length === 0) return <Note>No unit that takes it has room.</Note>;
  return (
    <View style={styles.ask}>
      <Choice label="To" options={open.map(({ unit }) => unitTitle(unit))} value={to} onChange={setTo} />
      {countable && (
        <Input label="How many of it" value={some} onChange={setSome} numeric hint="all when empty" />
      )}
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label="Move it there" main busy={busy} onPress={submit} />
    </View>
  );
}

function Size({ lot, onDone }: { readonly lot: HoldingView; readonly onDone: () => void }) {
  const { preferences } = usePreferences();
  const { units } = preferences;
  const [text, setText] = useState(
    lot.sizeUm ? `${sayLength(lot.sizeUm.widthUm, units)} × ${sayLength(lot.sizeUm.heightUm, units)}` : '',
  );
  const [refusal, setRefusal] = useState<string | null>(null);
  const keep = useChange((sizeUm: HoldingView['sizeUm']) =>
    order(routes.sizeHolding, { id: lot.id, body: { version: lot.version, sizeUm } }),
  );
  const submit = (): void => {
    const read = parseSize(text, 2, units === 'inches' ? 'in' : 'mm');
    if (!read.ok) return setRefusal('Write width × height, such as 11 × 6 cm.');
    const [widthUm = 0, heightUm = 0] = read.um;
    setRefusal(null);
    return keep.mutate({ widthUm, heightUm }, { onSuccess: onDone });
  };
  return (
    <View style={styles.ask}>
      <Input label="Width × height" value={text} onChange={setText} onSubmit={submit} autoFocus />
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label="Keep its size" main busy={keep.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { borderTopWidth: 1, borderTopColor: colour.hairline },
  lot: { borderBottomWidth: 1, borderBottomColor: colour.hairline },
  head: { flexDirection: 'row', alignItems: 'center', gap: space.m - 4, minHeight: TOUCH + 4 },
  address: { alignSelf: 'flex-start' },
  small: { fontSize: 24, lineHeight: 28 },
  lip: { height: LIP, backgroundColor: colour.lip },
  words: { flex: 1, gap: 2 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, paddingBottom: space.s },
  ask: { gap: space.s, padding: space.m - 4, borderWidth: 1, borderColor: colour.hairline },
});
