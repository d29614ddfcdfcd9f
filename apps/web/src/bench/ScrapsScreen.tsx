import {
  FAMILY_GROUP_INFO,
  holdsOf,
  inStash,
  SCRAP_CLASSES,
  scrapClass,
  scrapsIn,
  type Kind,
  type ScrapLot,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences, useStash } from '../api/queries';
import { manyParts, partsName } from '../copy/parts';
import { sayClass, scrapLimits } from '../copy/scraps';
import { listOf } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Waiting } from '../ui/Waiting';
import { Pocket } from './Pocket';
import { ScrapLimits } from './ScrapLimits';
import { ScrapSearch } from './ScrapSearch';

/** Kinds of which something remains that is worth keeping. */
const KEPT: readonly Kind[] = ['cardstock', 'ribbon', 'sticker'];
const EMPTY: Partial<Record<Kind, string>> = {
  cardstock: 'No scraps yet. What a cut leaves is kept here, by size and colour.',
  ribbon:
    'No remnants yet. What is cut off a roll and stays is kept here, by length and colour: say so on the page of a ribbon.',
  sticker: 'No part sheets yet. A sheet that was begun is kept here: say so on the page of its stickers.',
};

const countOf = (scraps: readonly ScrapLot<SupplyView>[]): number =>
  scraps.reduce((sum, { lot }) => sum + lot.items, 0);

/** Scraps, remnants and part sheets first: is there one for this, what is there by colour and size, and how full their pockets are. */
export function ScrapsScreen() {
  const { stash, error } = useStash();
  const { preferences } = usePreferences();
  const [kind, setKind] = useState<Kind>('cardstock');
  const limits = scrapLimits(preferences);
  const all = useMemo(() => scrapsIn((stash?.supplies ?? []).filter(inStash)), [stash]);
  if (!stash) return <Waiting error={error} />;
  const of = (which: Kind) => all.sized.filter(({ supply }) => supply.kind === which);
  const sized = of(kind);
  const unsized = all.unsized.get(kind) ?? 0;
  const pockets = stash.wall.units.filter(
    ({ id, model }) => model && holdsOf(model).shares && sized.some(({ lot }) => lot.spot?.unitId === id),
  );
  return (
    <Page
      title="Scraps"
      aside={listOf(KEPT.map((each) => manyParts(countOf(of(each)), 'scrap', each)))}
      narrow
    >
      <View style={styles.row} role="radiogroup" aria-label="What remains of what">
        {KEPT.map((each) => (
          <Chip
            key={each}
            label={partsName('scrap', each)}
            on={each === kind}
            onPress={() => setKind(each)}
          />
        ))}
      </View>
      <ScrapSearch key={kind} kind={kind} scraps={sized} stash={stash} />
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
              const n = countOf(lots.filter((scrap) => scrapClass(scrap, limits) === each));
              return n > 0 ? [sayClass(each, n)] : [];
            }).join(', ')}`}
          </Txt>
        ))}
        {unsized > 0 && (
          <Txt look="quiet">{`Of ${manyParts(unsized, 'scrap', kind)} nobody said how large: say so on its own page.`}</Txt>
        )}
        {sized.length === 0 && unsized === 0 && <Note>{EMPTY[kind]}</Note>}
        <ScrapLimits />
      </View>
      {kind === 'cardstock' && (
        <View style={styles.row}>
          <Button label="Plan cuts" onPress={() => router.push('/bench/cut')} />
        </View>
      )}
    </Page>
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
});
