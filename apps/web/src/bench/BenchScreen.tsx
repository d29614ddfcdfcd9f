import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { recordsOf, useRecords, useStash } from '../api/queries';
import { many } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Page } from '../ui/Page';
import { RowLink } from '../ui/RowLink';
import { Txt } from '../ui/Txt';
import { Waiting } from '../ui/Waiting';
import { sayAge, WHAT } from './group';
import { OutNow } from './OutNow';

/** The work at hand: what is out of its place, and what was put together for a job. */
export function BenchScreen() {
  const { stash, error } = useStash();
  const { data } = useRecords();
  if (!stash) return <Waiting error={error} />;
  const groups = recordsOf(data, 'group').filter(({ body }) => body.dissolvedOn === null);
  return (
    <Page title="Bench" aside="What is out, and what for">
      <OutNow stash={stash} />
      <View role="region" aria-label="Projects, kits and packs" style={styles.part}>
        <Txt look="strong" level={2}>
          Projects, kits and packs
        </Txt>
        {groups.map((group) => (
          <RowLink
            key={group.id}
            title={`${WHAT[group.body.what]} “${group.body.name}”`}
            detail={`${many(group.body.members.length, 'thing')}, ${group.body.awaySince ? `${group.body.away?.length ?? 0} ${group.body.what === 'project' ? 'in its envelope' : 'still out'}` : sayAge(group)}`}
            onPress={() => router.push({ pathname: '/bench/kits', params: { group: group.id } })}
          />
        ))}
        <View style={styles.row}>
          <Button label="All projects, kits and packs" onPress={() => router.push('/bench/kits')} />
          <Button label="Scraps" onPress={() => router.push('/bench/scraps')} />
          <Button label="Plan cuts" onPress={() => router.push('/bench/cut')} />
        </View>
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
