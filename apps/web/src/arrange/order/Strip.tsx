import { drawerKey, makeGroupOf, type Scheme, type Sortable, type SortKey } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { ColourThreads } from '../../ui/ColourThreads';
import { Txt } from '../../ui/Txt';

const MOST_SAID = 14;

/** The pile as it would stand, a thread of colour each, with the dividers of the first key under it. */
export function Strip({
  items,
  recipe,
  scheme,
}: {
  readonly items: readonly (Sortable & { hex: string })[];
  readonly recipe: readonly SortKey[];
  readonly scheme: Scheme;
}) {
  const group = makeGroupOf(drawerKey(recipe), items, scheme, recipe);
  const headings = items.map(group).filter((heading, i, all) => heading !== all[i - 1]);
  return (
    <View style={styles.box}>
      <ColourThreads
        items={items}
        says={`${many(items.length, 'thing')} in this order`}
        gapBefore={(item, before) => group(item) !== group(before)}
      />
      <Txt look="quiet">
        {items.length === 0
          ? 'Nothing of this kind yet.'
          : headings.slice(0, MOST_SAID).join(' · ') +
            (headings.length > MOST_SAID ? ` · and ${headings.length - MOST_SAID} more` : '')}
      </Txt>
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s } });
