import { headingOf, makerCounts, type Sortable, type SortKey } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { many } from '../copy/words';
import { colour, space } from '../theme/tokens';
import { Txt } from '../ui/Txt';

/** What a divider says in a drawer: the first key of the recipe that makes groups. */
export function drawerGroup(
  recipe: readonly SortKey[],
  pile: readonly Sortable[],
): (item: Sortable) => string {
  const counts = makerCounts(pile);
  const key = recipe.find((each) => !['lightness', 'name', 'code'].includes(each)) ?? 'family';
  return (item) => headingOf(key, item, counts);
}

const MOST_THREADS = 240;
const MOST_SAID = 14;

/** The pile as it would stand, a thread of colour each, with the dividers of the first key under it. */
export function Strip({
  items,
  recipe,
}: {
  readonly items: readonly (Sortable & { hex: string })[];
  readonly recipe: readonly SortKey[];
}) {
  const group = drawerGroup(recipe, items);
  const every = Math.max(1, Math.ceil(items.length / MOST_THREADS));
  const shown = items.filter((_, i) => i % every === 0);
  const headings = items.map(group).filter((heading, i, all) => heading !== all[i - 1]);
  return (
    <View style={styles.box}>
      <View style={styles.strip} role="img" aria-label={`${many(items.length, 'thing')} in this order`}>
        {shown.map((item, i) => (
          <View
            key={item.id}
            style={[
              styles.thread,
              { backgroundColor: item.hex },
              i > 0 && group(item) !== group(shown[i - 1] ?? item) && styles.divider,
            ]}
          />
        ))}
      </View>
      <Txt look="quiet">
        {items.length === 0
          ? 'Nothing of this kind yet.'
          : headings.slice(0, MOST_SAID).join(' · ') +
            (headings.length > MOST_SAID ? ` · and ${headings.length - MOST_SAID} more` : '')}
      </Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  strip: {
    flexDirection: 'row',
    height: 72,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
  thread: { flex: 1 },
  divider: { borderLeftWidth: 2, borderLeftColor: colour.card },
});
