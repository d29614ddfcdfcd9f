import { HAND_ID } from '@red-shelf/core';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { recordsOf, useRecords, useStash } from '../api/queries';
import { sayLotAmount } from '../copy/lots';
import { many } from '../copy/words';
import { ReasonRow } from '../row/ReasonRow';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { RowLink } from '../ui/RowLink';
import { Txt } from '../ui/Txt';
import { Waiting } from '../ui/Waiting';
import { sayAge, WHAT } from './group';

/** The work at hand: what is out of its place, and what was put together for a job. */
export function BenchScreen() {
  const { stash, error } = useStash();
  const { data } = useRecords();
  if (!stash) return <Waiting error={error} />;
  const out = stash.supplies.flatMap((supply) =>
    supply.holdings.filter(({ spot }) => spot?.unitId === HAND_ID).map((lot) => ({ supply, lot })),
  );
  const groups = recordsOf(data, 'group').filter(({ body }) => body.dissolvedOn === null);
  return (
    <Page title="Bench" aside={`${many(out.length, 'thing')} out now`}>
      <View role="region" aria-label="Out now" style={styles.part}>
        <Txt look="strong" level={2}>
          Out now
        </Txt>
        {out.length === 0 ? (
          <Note>
            Nothing is out. A thing goes “to the bench” from its place on the wall, or from its own page.
          </Note>
        ) : (
          <View role="list" style={styles.list}>
            {out.map(({ supply, lot }) => (
              <ReasonRow key={lot.id} supply={supply} reason={sayLotAmount(supply, lot)}>
                <Button
                  label="Put away"
                  says={`Put ${supply.name} away`}
                  onPress={() => router.push({ pathname: '/stash', params: { supply: supply.id } })}
                />
              </ReasonRow>
            ))}
          </View>
        )}
      </View>
      <View role="region" aria-label="Projects, kits and packs" style={styles.part}>
        <Txt look="strong" level={2}>
          Projects, kits and packs
        </Txt>
        {groups.map((group) => (
          <RowLink
            key={group.id}
            title={`${WHAT[group.body.what]} “${group.body.name}”`}
            detail={`${many(group.body.members.length, 'thing')}, ${sayAge(group)}`}
            onPress={() => router.push({ pathname: '/bench/kits', params: { group: group.id } })}
          />
        ))}
        <View style={styles.row}>
          <Button label="All projects, kits and packs" onPress={() => router.push('/bench/kits')} />
          <Button label="Plan cuts" onPress={() => router.push('/bench/cut')} />
        </View>
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  list: { backgroundColor: colour.card, marginHorizontal: -space.m },
});
