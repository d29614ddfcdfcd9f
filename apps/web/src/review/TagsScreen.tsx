import { tagCounts, tagTwins } from '@red-shelf/core';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { Waiting } from '../ui/Waiting';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';

/** Every tag in use, how often, and those that probably mean the same. */
export function TagsScreen() {
  const { stash, error } = useStash();
  const join = useChange(({ from, into }: { from: string; into: string }) => {
    const bearers = (stash?.all ?? []).filter(({ facts }) => facts.tags?.includes(from));
    return order(routes.batchEdit, {
      body: {
        supplies: bearers.map(({ id, version }) => ({ id, version })),
        set: { addTags: [into], dropTags: [from] },
      },
    });
  });
  if (!stash) return <Waiting error={error} />;
  const tags = tagCounts(stash.supplies);
  const twins = tagTwins(tags);
  return (
    <Page title="Tags" narrow aside={`${tags.length} in use`}>
      {tags.length === 0 && <Note>No tags yet. Give some where you edit a supply.</Note>}
      {twins.map(([one, other]) => (
        <Note key={`${one.tag} ${other.tag}`} sort="attention">
          <Txt>
            “{one.tag}” ({one.count}) and “{other.tag}” ({other.count}) may mean the same.
          </Txt>
          <View style={styles.row}>
            <Button
              label={`All “${one.tag}”`}
              onPress={() => join.mutate({ from: other.tag, into: one.tag })}
            />
            <Button
              label={`All “${other.tag}”`}
              onPress={() => join.mutate({ from: one.tag, into: other.tag })}
            />
          </View>
        </Note>
      ))}
      <View style={styles.row}>
        {tags.map(({ tag, count }) => (
          <Button
            key={tag}
            label={`${tag} ${count}`}
            onPress={() => router.push({ pathname: '/stash', params: { tag } })}
          />
        ))}
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
