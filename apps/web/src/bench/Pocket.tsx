import { clearing, readySizes, type ScrapLot } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { freeIn, useContents } from '../api/contents';
import { usePreferences, type Stash } from '../api/queries';
import { sayReady } from '../copy/cut';
import { unitTitle } from '../copy/supply';
import { manyParts } from '../copy/parts';
import { many } from '../copy/words';
import { space } from '../theme/tokens';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

interface PocketProps {
  readonly unit: UnitView;
  readonly stash: Stash;
  readonly scraps: readonly ScrapLot<SupplyView>[];
}
/** From here on one looks for what can go, share of its length. */
const FULL_FROM = 0.85;
const SUGGESTED = 3;
const NOTHING = { slivers: 0, cuts: [] } as const;

/** How full a pocket of scraps is; where it overflows, what could be cut from what is in it, and what is too small to keep. */
export function Pocket({ unit, stash, scraps }: PocketProps) {
  const contents = useContents(stash).get(unit.id) ?? [];
  const { units, keepFromUm, ownSizes } = usePreferences().preferences;
  const shared = freeIn(unit, contents);
  const share = shared && shared.of > 0 ? 1 - shared.have / shared.of : null;
  const sizes = [
    ...readySizes(units)
      .filter(({ what }) => what === 'base' || what === 'panel')
      .map((size) => ({ ...size, name: sayReady(size) })),
    ...ownSizes,
  ];
  const kind = scraps[0]?.supply.kind ?? 'cardstock';
  // Nothing is cut to size from ribbon, and none of it is a sliver.
  const { slivers, cuts } = kind === 'ribbon' ? NOTHING : clearing(scraps, sizes, keepFromUm);
  const full = share !== null && share >= FULL_FROM;
  return (
    <View role="region" aria-label={`How full ${unit.name} is`} style={styles.part}>
      <Txt>
        <Txt look="strong">{unitTitle(unit)}</Txt>
        {share === null ? '' : ` is about ${Math.round(100 * share)}% full.`}
      </Txt>
      {(full || slivers > 0) && (
        <Note {...(full ? { sort: 'attention' } : {})}>
          {[
            full
              ? `It ${share > 1 ? 'overflows' : 'is all but full'}: use its small ones first, give some away, or cut from them.`
              : '',
            slivers > 0
              ? `${manyParts(slivers, 'scrap', kind)} in it ${slivers === 1 ? 'is' : 'are'} below your own limit: bin or give away.`
              : '',
            ...(full
              ? cuts
                  .slice(0, SUGGESTED)
                  .map(
                    ({ size, pieces, from }) =>
                      `${many(pieces, size.name, size.name)} come out of ${manyParts(from, 'scrap', kind)}.`,
                  )
              : []),
          ]
            .filter(Boolean)
            .join(' ')}
        </Note>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: space.s } });
