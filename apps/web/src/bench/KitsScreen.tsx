import { byText } from '@red-shelf/core';
import { router, useLocalSearchParams } from 'expo-router';
import { recordsOf, useRecords, useStash } from '../api/queries';
import { many } from '../copy/words';
import { Waiting } from '../ui/Waiting';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { RowLink } from '../ui/RowLink';
import { sayAge, WHAT } from './group';
import { GroupPage } from './GroupPage';
import { NewGroup } from './NewGroup';

/** Projects keep back what they need until they are closed; kits and collections stay whole until they are dissolved; palettes are colours used together; packs remember a purchase. */
export function KitsScreen() {
  const { group: id } = useLocalSearchParams<{ group?: string }>();
  const { data, error } = useRecords();
  const { stash } = useStash();
  if (!data || !stash) return <Waiting error={error} />;
  const groups = recordsOf(data, 'group');
  const current = groups.find((group) => group.id === id);
  if (current) return <GroupPage key={current.id} group={current} stash={stash} />;
  const oldest = [...groups].sort((p, q) =>
    byText(p.body.acquiredOn ?? p.createdAt, q.body.acquiredOn ?? q.createdAt),
  );
  return (
    <Page title="Projects, kits and packs" narrow aside="Oldest first">
      {oldest.map((group) => (
        <RowLink
          key={group.id}
          title={`${WHAT[group.body.what]} “${group.body.name}”`}
          detail={`${many(group.body.members.length, 'thing')}, ${sayAge(group)}`}
          onPress={() => router.setParams({ group: group.id })}
        />
      ))}
      {groups.length === 0 && <Note>No projects, kits, collections or packs yet.</Note>}
      <NewGroup />
      <Button label="A mixed pack" onPress={() => router.push('/stash/pack')} />
    </Page>
  );
}
