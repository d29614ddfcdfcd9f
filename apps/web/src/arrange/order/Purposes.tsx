import { purposeSections, splitWords, type Purpose, type Sortable } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { many } from '../../copy/words';
import { useBegun } from '../../form/useDraft';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Input } from '../../ui/Input';
import { Note } from '../../ui/Note';
import { SortableList } from '../../ui/SortableList';
import { Txt } from '../../ui/Txt';

/** What is being changed: the order, and for each purpose what it also means, as typed. */
const begun = z.object({ order: z.array(z.string()), also: z.record(z.string(), z.string()) });
type Draft = z.infer<typeof begun>;

/** The sections of purposes in the person's own order, and what each category means besides. */
export function Purposes({ items }: { readonly items: readonly Sortable[] }) {
  const { preferences } = usePreferences();
  const keep = usePreferenceChange();
  const [draft, setDraft, clear] = useBegun('purposes', begun);
  const sections = purposeSections(items, preferences.purposes);
  const byName = new Map(sections.map((section) => [section.name, section]));
  const names = [...new Set([...(draft?.order ?? []), ...byName.keys()])].filter((name) => byName.has(name));
  const now: Draft = { order: names, also: draft?.also ?? {} };
  const alsoOf = (name: string): string => now.also[name] ?? (byName.get(name)?.also ?? []).join(', ');
  const save = (): void => {
    const purposes = names.map((name): Purpose & { also: string[] } => ({
      name,
      also: splitWords(alsoOf(name)),
    }));
    keep.mutate({ purposes }, { onSuccess: clear });
  };
  const move = (name: string, to: number): void => {
    const rest = names.filter((each) => each !== name);
    setDraft({ ...now, order: [...rest.slice(0, to), name, ...rest.slice(to)] });
  };
  return (
    <View style={styles.box} role="region" aria-label="Purposes">
      <Txt look="strong" level={2}>
        Purposes, in your order
      </Txt>
      {names.length === 0 && (
        <Note>None yet. Say what a sheet is for where you edit it: coffee, Mondays.</Note>
      )}
      <SortableList ids={names} nameOf={(name) => name} onMove={move}>
        {(name) => (
          <View style={styles.section}>
            <Txt look="strong">{name}</Txt>
            <Txt look="quiet">{sayCounts(byName.get(name))}</Txt>
            <Input
              label="Also means"
              says={`${name} also means`}
              value={alsoOf(name)}
              onChange={(text) => setDraft({ ...now, also: { ...now.also, [name]: text } })}
            />
          </View>
        )}
      </SortableList>
      <View style={styles.acts}>
        <Button label="Keep these purposes" main disabled={!draft} busy={keep.isPending} onPress={save} />
        {draft && <Button label="Leave them as they were" onPress={clear} />}
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
