import { HAND_ID, isRefusal, mayLive } from '@red-shelf/core';
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
import { colour, LIP, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Icon } from '../ui/Icon';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { Move, Size } from './LotAsks';
import { PlacePicture } from '../row/PlacePicture';

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
  const size = lot.sizeUm ? sayLotWhat(lot, supply.kind, preferences.units) : '';
  const said = [
    unit && unitTitle(unit),
    alone ? '' : size || sayLotAmount(supply, lot),
    size ? `${lot.items} of them` : '',
  ];
  return (
    <View style={styles.words}>
      <Txt look="quiet">{said.filter(Boolean).join(' · ')}</Txt>
      {unit && stash && <PlacePicture unit={unit} all={stash.wall.all} />}
      {answer !== null &&
        !isRefusal(answer) &&
        answer.map((warning) => (
          <Txt key={warning.code === 'care' ? warning.rule : warning.code} look="quiet">
            {sayWarning(warning, (id) => stash?.byId.get(id)?.name ?? 'something')}
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
          onMove={(to) => place.mutateAsync(to).then(() => setAsking(null))}
        />
      )}
      {asking === 'size' && <Size lot={lot} onDone={() => setAsking(null)} />}
    </>
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
});
