import type { ArrangePreview, Remedy } from '@red-shelf/contract';
import { findTemplate } from '@red-shelf/core';
import { router } from 'expo-router';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Stash } from '../api/queries';
import { sayLeftOver } from '../copy/reasons';
import { unitTitle } from '../copy/supply';
import { many } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';

/** Left-over things that are listed by name. */
const LISTED = 30;

interface LeftOverProps {
  readonly plan: ArrangePreview;
  readonly stash: Stash;
}

/** What finds no place, why, and what would be the cheapest way to place it. */
export const LeftOver = memo(function LeftOver({ plan: { leftOver, remedies }, stash }: LeftOverProps) {
  if (leftOver.length === 0) return null;
  return (
    <View style={styles.left}>
      <Txt look="strong" level={2}>
        {`Left over: ${leftOver.length}`}
      </Txt>
      {remedies.map((remedy) => (
        <RemedyLine
          key={`${remedy.unitId} ${remedy.template} ${remedy.supplyIds[0]}`}
          remedy={remedy}
          stash={stash}
        />
      ))}
      {leftOver.slice(0, LISTED).map(({ supplyId, reason }) => {
        const supply = stash.byId.get(supplyId);
        return supply ? (
          <View key={supplyId} style={styles.row}>
            <Swatch hex={supply.hex} group={supply.group} size={32} />
            <View style={styles.words}>
              <Txt look="strong">{supply.name}</Txt>
              <Txt look="quiet">{sayLeftOver(reason)}</Txt>
            </View>
          </View>
        ) : null;
      })}
      {leftOver.length > LISTED && <Txt look="quiet">and {many(leftOver.length - LISTED, 'other')}</Txt>}
    </View>
  );
});

function RemedyLine({ remedy, stash }: { readonly remedy: Remedy; readonly stash: Stash }) {
  const { supplyIds, unitId, template, takes } = remedy;
  const unit = stash.wall.units.find(({ id }) => id === unitId);
  const made = template === null ? undefined : findTemplate(template);
  const of = takes === supplyIds.length ? 'all' : String(takes);
  const what = `${of} of ${many(supplyIds.length, 'such thing')}`;
  if (unit) return <Txt>{`${unitTitle(unit)} has room for ${what}: choose it as well, under “Into”.`}</Txt>;
  if (!made) return null;
  return (
    <View style={styles.row}>
      <Txt style={styles.words}>{`One more ${made.name.toLowerCase()} would take ${what}.`}</Txt>
      <Button
        label="Put one up"
        says={`Put up: ${made.name}`}
        onPress={() => router.push({ pathname: '/rack', params: { template: made.id } })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  left: { gap: space.s },
  row: { flexDirection: 'row', gap: space.s + 2, alignItems: 'center' },
  words: { flex: 1 },
});
