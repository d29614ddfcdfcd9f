import {
  FAMILY_GROUP_INFO,
  holdsOf,
  inStash,
  SCRAP_CLASSES,
  scrapClass,
  scrapsFor,
  scrapsIn,
  type ScrapLot,
  sheetSizeOf,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { usePreferences, useStash } from '../api/queries';
import { useSpotName } from '../api/spotName';
import { useChange } from '../api/useChange';
import { ColourWays } from '../colour/ColourWays';
import { saySize } from '../copy/cut';
import { SCRAP_LIMITS, sayClass } from '../copy/scraps';
import { many } from '../copy/words';
import { twoSides, typed } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { ReasonRow } from '../row/ReasonRow';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Waiting } from '../ui/Waiting';
import { Pocket } from './Pocket';

const MOST_SHOWN = 6;
interface Wanted {
  readonly widthUm: number;
  readonly heightUm: number;
}

/** Scraps first: is there one for this, what is there by colour and size, and how full their pockets are. */
export function ScrapsScreen() {
  const { stash, error } = useStash();
  const { preferences } = usePreferences();
  const [wanted, setWanted] = useState<Wanted | null>(null);
  const [hex, setHex] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const { units, keepFromUm } = preferences;
  const limits = { ...SCRAP_LIMITS, keepFromUm };
  const { sized, unsized } = useMemo(() => scrapsIn((stash?.supplies ?? []).filter(inStash)), [stash]);
  const ask = useAsk(
    'scrap',
    z.object({ size: typed(twoSides(units, 'Say width and height, such as 8 × 5 cm.')) }),
    { size: '' },
  );
  if (!stash) return <Waiting error={error} />;
  const found = wanted ? scrapsFor(wanted, hex, sized) : [];
  const sheet =
    wanted && found.length === 0
      ? stash.supplies.find((each) => {
          const of = each.kind === 'cardstock' && each.stock.left > 0 ? sheetSizeOf(each) : null;
          return (
            of &&
            (hex === null || each.hex === hex) &&
            of.widthUm >= wanted.widthUm &&
            of.heightUm >= wanted.heightUm
          );
        })
      : undefined;
  const pockets = stash.wall.units.filter(
    ({ id, model }) => model && holdsOf(model).shares && sized.some(({ lot }) => lot.spot?.unitId === id),
  );
  return (
    <Page
      title="Scraps"
      aside={`${many(
        sized.reduce((sum, { lot }) => sum + lot.items, 0),
        'scrap',
      )} of a known size`}
      narrow
    >
      <View role="form" aria-label="Is there a scrap for this?" style={styles.part}>
        <Txt look="strong" level={2}>
          Is there a scrap for this?
        </Txt>
        <View style={styles.row}>
          <View style={styles.field}>
            <Field
              control={ask.control}
              name="size"
              label="How large"
              hint="8 × 5 cm"
              onSubmit={() => ask.submit(({ size }) => Promise.resolve(setWanted(size)).then(() => false))}
            />
          </View>
          <Button
            label="Look"
            says="Look for a scrap"
            main
            onPress={() => ask.submit(({ size }) => Promise.resolve(setWanted(size)).then(() => false))}
          />
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
        {wanted && found.length === 0 && (
          <Note>
            {sheet
              ? `No scrap is large enough. A sheet of ${sheet.name} is.`
              : 'No scrap is large enough, and no sheet of that colour.'}
          </Note>
        )}
        <View role="list" aria-label="Scraps for it" style={styles.list}>
          {found.slice(0, MOST_SHOWN).map((scrap) => (
            <FoundScrap key={scrap.lot.id} scrap={scrap} />
          ))}
        </View>
      </View>
      {pockets.map((unit) => (
        <Pocket
          key={unit.id}
          unit={unit}
          stash={stash}
          scraps={sized.filter(({ lot }) => lot.spot?.unitId === unit.id)}
        />
      ))}
      <View role="region" aria-label="By colour and size" style={styles.part}>
        <Txt look="strong" level={2}>
          By colour and size
        </Txt>
        {[...byGroup(sized)].map(([group, lots]) => (
          <Txt key={group}>
            <Txt look="strong">{FAMILY_GROUP_INFO[group].name}</Txt>
            {`: ${SCRAP_CLASSES.flatMap((each) => {
              const n = lots.reduce(
                (sum, scrap) => sum + (scrapClass(scrap, limits) === each ? scrap.lot.items : 0),
                0,
              );
              return n > 0 ? [sayClass(each, n)] : [];
            }).join(', ')}`}
          </Txt>
        ))}
        {unsized > 0 && (
          <Txt look="quiet">{`Of ${many(unsized, 'scrap')} nobody said how large: say so on the page of its card.`}</Txt>
        )}
        {sized.length === 0 && unsized === 0 && (
          <Note>No scraps yet. What a cut leaves is kept here, by size and colour.</Note>
        )}
      </View>
      <View style={styles.row}>
        <Button label="Plan cuts" onPress={() => router.push('/bench/cut')} />
      </View>
    </Page>
  );
}

/** One scrap that does: where it is, and gone with a tap. */
function FoundScrap({ scrap: { supply, lot, sizeUm } }: { readonly scrap: ScrapLot<SupplyView> }) {
  const { units } = usePreferences().preferences;
  const spotName = useSpotName();
  const use = useChange(() =>
    order(routes.actOnSupply, { id: supply.id, body: { act: 'use', amount: 1, of: 'scrap', lotId: lot.id } }),
  );
  return (
    <ReasonRow
      supply={supply}
      reason={`${saySize(sizeUm, units)}${lot.items > 1 ? `, ${lot.items} of them` : ''} · ${lot.spot ? spotName(lot.spot) : 'no place'}`}
    >
      <Button
        label="Use it"
        says={`Use the scrap of ${supply.name}, ${saySize(sizeUm, units)}`}
        busy={use.isPending}
        onPress={() => use.mutate(undefined)}
      />
    </ReasonRow>
  );
}

function byGroup(scraps: readonly ScrapLot<SupplyView>[]) {
  const groups = new Map<SupplyView['group'], ScrapLot<SupplyView>[]>();
  for (const scrap of scraps)
    groups.set(scrap.supply.group, [...(groups.get(scrap.supply.group) ?? []), scrap]);
  return groups;
}

const styles = StyleSheet.create({
  part: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'flex-start' },
  field: { flexGrow: 1, flexBasis: 180 },
  list: { marginHorizontal: -space.m },
});
