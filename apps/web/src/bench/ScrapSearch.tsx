import { scrapsFor, sheetSizeOf, remainsOf, type FlatSize, type Kind, type ScrapLot } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { usePreferences, type Stash } from '../api/queries';
import { useSpotName } from '../api/spotName';
import { useChange } from '../api/useChange';
import { ColourWays } from '../colour/ColourWays';
import { sayLength, type Units } from '../copy/measure';
import { onePart, partsName, sayRemains } from '../copy/parts';
import { measure, twoSides, typed } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { ReasonRow } from '../row/ReasonRow';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

const MOST_SHOWN = 6;

interface SearchProps {
  readonly kind: Kind;
  readonly scraps: readonly ScrapLot<SupplyView>[];
  readonly stash: Stash;
}

/** A size as typed: of ribbon how long, of the rest width and height. */
const sizeSaid = (kind: Kind, units: Units) =>
  z.object({
    size:
      kind === 'ribbon'
        ? typed(measure('length', units)).transform((heightUm): FlatSize => ({ widthUm: 1, heightUm }))
        : typed(twoSides(units, 'Say width and height, such as 8 × 5 cm.')),
  });

/** Is there a scrap for this? The smallest that does, before a sheet or a roll is begun. */
export function ScrapSearch({ kind, scraps, stash }: SearchProps) {
  const { units } = usePreferences().preferences;
  const [wanted, setWanted] = useState<FlatSize | null>(null);
  const [hex, setHex] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const ask = useAsk(`scrap.${kind}`, sizeSaid(kind, units), { size: '' });
  const found = wanted ? scrapsFor(wanted, hex, scraps) : [];
  const one = onePart('scrap', kind);
  const look = (): void => ask.submit(({ size }) => Promise.resolve(setWanted(size)).then(() => false));
  return (
    <View role="form" aria-label={`Is there ${one} for this?`} style={styles.part}>
      <Txt look="strong" level={2}>
        {`Is there ${one} for this?`}
      </Txt>
      <View style={styles.row}>
        <View style={styles.field}>
          <Field
            control={ask.control}
            name="size"
            label={kind === 'ribbon' ? 'How long' : 'How large'}
            hint={kind === 'ribbon' ? '40 cm' : '8 × 5 cm'}
            onSubmit={look}
          />
        </View>
        <Button label="Look" says={`Look for ${one}`} main onPress={look} />
      </View>
      <View style={styles.row}>
        <Button
          label={hex ? `Of ${hex}` : 'Of any colour'}
          says={hex ? `Of the colour ${hex}; choose another` : 'Of any colour; choose one'}
          onPress={() => setChoosing(!choosing)}
        />
        {hex && <Button label="Any colour" onPress={() => setHex(null)} />}
      </View>
      {choosing && (
        <ColourWays
          hex={hex ?? '#8fb58a'}
          onTake={(taken) => {
            setHex(taken.hex);
            setChoosing(false);
          }}
        />
      )}
      {wanted && found.length === 0 && <Note>{sayNone(kind, wanted, hex, stash)}</Note>}
      <View role="list" aria-label={`${partsName('scrap', kind)} for it`} style={styles.list}>
        {wanted &&
          found
            .slice(0, MOST_SHOWN)
            .map((scrap) => <FoundScrap key={scrap.lot.id} scrap={scrap} wanted={wanted} />)}
      </View>
    </View>
  );
}

/** What else it can be cut from. */
function sayNone(kind: Kind, wanted: FlatSize, hex: string | null, { supplies }: Stash): string {
  const none = `No ${onePart('scrap', kind).slice(2)} is ${kind === 'ribbon' ? 'long' : 'large'} enough`;
  const whole = supplies.find((each) => {
    if (each.kind !== kind || each.stock.left <= 0 || (hex !== null && each.hex !== hex)) return false;
    if (kind === 'ribbon') return each.stock.left >= wanted.heightUm;
    const of = sheetSizeOf(each);
    return of !== null && of.widthUm >= wanted.widthUm && of.heightUm >= wanted.heightUm;
  });
  const what = kind === 'ribbon' ? 'roll' : 'sheet';
  return whole
    ? `${none}. A ${what} of ${whole.name} is.`
    : `${none}, and no ${what}${hex === null ? '' : ' of that colour'}.`;
}

/** Shorter than this the rest of a remnant is no remnant, µm. */
const LEAST_REST_UM = 50_000;

/** One scrap that does: where it is, and gone with a tap; what stays of a remnant is kept. */
function FoundScrap({
  scrap: { supply, lot, sizeUm },
  wanted,
}: {
  readonly scrap: ScrapLot<SupplyView>;
  readonly wanted: FlatSize;
}) {
  const { units } = usePreferences().preferences;
  const spotName = useSpotName();
  const rest = supply.kind === 'ribbon' ? sizeUm.heightUm - wanted.heightUm : 0;
  const keeps = rest >= LEAST_REST_UM;
  const use = useChange(() =>
    order(routes.actOnSupply, {
      id: supply.id,
      body: keeps
        ? {
            ...{ act: 'cut', amount: 1, items: 0, left: 1, lotId: lot.id },
            pieces: [{ as: 'scrap', items: 1, sizeUm: remainsOf(supply, { lengthUm: rest }) }],
          }
        : { act: 'use', amount: 1, of: 'scrap', lotId: lot.id },
    }),
  );
  const size = sayRemains(supply.kind, sizeUm, units);
  return (
    <ReasonRow
      supply={supply}
      reason={`${size}${lot.items > 1 ? `, ${lot.items} of them` : ''} · ${lot.spot ? spotName(lot.spot) : 'no place'}`}
    >
      <Button
        label={keeps ? `Use it, keep ${sayLength(rest, units)}` : 'Use it'}
        says={`Use ${onePart('scrap', supply.kind).replace(/^an? /, 'the ')} of ${supply.name}, ${size}${keeps ? `, keep ${sayLength(rest, units)}` : ''}`}
        busy={use.isPending}
        onPress={() => use.mutate(undefined)}
      />
    </ReasonRow>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'flex-start' },
  field: { flexGrow: 1, flexBasis: 180 },
  list: { marginHorizontal: -space.m },
});
