import { purposeSections, splitWords, type Sortable } from '@red-shelf/core';
import { purposesBody } from '@red-shelf/contract';
import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { many } from '../../copy/words';
import { into } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Note } from '../../ui/Note';
import { SortableList } from '../../ui/SortableList';
import { Txt } from '../../ui/Txt';

/** The order, and for each purpose what it also means, as typed. */
const purposesSaid = z
  .object({ purposes: z.array(z.object({ name: z.string(), also: z.string() })) })
  .transform(({ purposes }) => ({
    purposes: purposes.map(({ name, also }) => ({ name, also: splitWords(also) })),
  }))
  .transform(into(z.object({ purposes: purposesBody })));

/** The sections of purposes in the person's own order, and what each category means besides. */
export function Purposes({ items }: { readonly items: readonly Sortable[] }) {
  const { preferences } = usePreferences();
  const keep = usePreferenceChange();
  const sections = purposeSections(items, preferences.purposes);
  const byName = new Map(sections.map((section) => [section.name, section]));
  const start = sections.map(({ name, also = [] }) => ({ name, also: also.join(', ') }));
  const ask = useAsk('purposes', purposesSaid, { purposes: start });
  const { said, set } = ask;
  // What came or went since the form was begun.
  const known = said.purposes.filter(({ name }) => byName.has(name));
  const now = [...known, ...start.filter(({ name }) => !known.some((each) => each.name === name))];
  const isOther = now.length !== said.purposes.length || known.length !== said.purposes.length;
  useEffect(() => {
    if (isOther) set('purposes', now);
  });
  const save = (): void => ask.submit((changes) => keep.mutateAsync(changes));
  const move = (name: string, to: number): void => {
    const moved = now.filter((each) => each.name === name);
    const rest = now.filter((each) => each.name !== name);
    set('purposes', [...rest.slice(0, to), ...moved, ...rest.slice(to)]);
  };
  return (
    <View style={styles.box} role="region" aria-label="Purposes">
      <Txt look="strong" level={2}>
        Purposes, in your order
      </Txt>
      {now.length === 0 && <Note>None yet. Say what a sheet is for where you edit it: coffee, Mondays.</Note>}
      <SortableList ids={now.map(({ name }) => name)} nameOf={(name) => name} onMove={move}>
        {(name) => (
          <View style={styles.section}>
            <Txt look="strong">{name}</Txt>
            <Txt look="quiet">{sayCounts(byName.get(name))}</Txt>
            <Field
              control={ask.control}
              name={`purposes.${now.findIndex((each) => each.name === name)}.also`}
              label="Also means"
              says={`${name} also means`}
            />
          </View>
        )}
      </SortableList>
      <View style={styles.acts}>
        <Button label="Keep these purposes" main disabled={!ask.begun} busy={keep.isPending} onPress={save} />
        {ask.begun && <Button label="Leave them as they were" onPress={ask.clear} />}
      </View>
    </View>
  );
}

/** "12 live here, 3 more serve it". */
function sayCounts(section: { readonly home: number; readonly besides: number } | undefined): string {
  if (!section) return '';
  const { home, besides } = section;
  return [
    `${many(home, 'thing')} at home here`,
    ...(besides > 0 ? [`${besides} more from other sections`] : []),
  ].join(', ');
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  section: { flex: 1, gap: 2, paddingVertical: 4 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
