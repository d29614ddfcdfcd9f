import { kindSpreads, KIND_DEFINITIONS, type Kind } from '@red-shelf/core';
import { router, type Href } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import type { Stash } from '../api/queries';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';

interface StashMenuProps {
  readonly stash: Stash;
  readonly kind: Kind | null;
  readonly onChooseMany: () => void;
}

const PLACES: readonly { label: string; href: Href }[] = [
  { label: 'A pile at a time', href: '/stash/pile' },
  { label: 'Ranges', href: '/stash/ranges' },
  { label: 'A mixed pack', href: '/stash/pack' },
  { label: 'A list', href: '/data/import' },
  { label: 'Tags', href: '/stash/tags' },
];

/** The other work on a stash, and where everything of a kind is scattered. */
export function StashMenu({ stash, kind, onChooseMany }: StashMenuProps) {
  const spreads = kindSpreads(stash.supplies).filter((spread) => kind === null || spread.kind === kind);
  const letter = (unitId: string): string =>
    stash.wall.units.find(({ id }) => id === unitId)?.label ?? 'bench';
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        <Button label="Choose many" onPress={onChooseMany} />
        {PLACES.map(({ label, href }) => (
          <Button key={label} label={label} onPress={() => router.push(href)} />
        ))}
      </View>
      <View role="list" aria-label="Where everything is">
        {spreads.map(({ kind: each, count, places, unplaced, scattered }) => (
          <View key={each} role="listitem">
            <Txt look="quiet">
              {KIND_DEFINITIONS[each].plural}: {count} in{' '}
              {places.map((place) => `${letter(place.unitId)} (${place.count})`).join(', ') || 'no rack'}
              {unplaced > 0 ? `, ${unplaced} without a place` : ''}
              {scattered ? ' – scattered: bring them together first' : ''}
            </Txt>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: {
    padding: space.s,
    gap: space.s,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
