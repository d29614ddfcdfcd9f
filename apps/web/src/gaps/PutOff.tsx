import type { HushBody, RecordView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { recordsOf, useRecords, type Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { GAP_TITLES, sayUntil } from '../copy/gaps';
import { many } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Folded } from '../ui/Folded';
import { Txt } from '../ui/Txt';

type HushRecord = RecordView & { body: HushBody };

/** Questions that are put off or never asked again, and the way back. */
export function PutOff({ stash }: { readonly stash: Stash }) {
  const { data } = useRecords();
  const today = format(new Date(), 'yyyy-MM-dd');
  const hushed = recordsOf(data, 'hush').filter(({ body: { until } }) => until === null || until > today);
  if (hushed.length === 0) return null;
  return (
    <Folded label="Put off" value={many(hushed.length, 'question')} opens="see all">
      {hushed.map((record) => (
        <Put key={record.id} record={record} stash={stash} />
      ))}
    </Folded>
  );
}

function Put({ record, stash }: { readonly record: HushRecord; readonly stash: Stash }) {
  const { question, about, until } = record.body;
  const ask = useChange(() =>
    order(routes.removeRecord, { id: record.id, body: { version: record.version } }),
  );
  const words = about.split(' ');
  const name =
    words.map((word) => stash.byId.get(word)?.name).find(Boolean) ??
    stash.wall.units.find(({ id }) => words.includes(id))?.name ??
    // A family, a limit, a format: without the word that says which of these it is.
    (words.length > 1 ? words.slice(1).join(' ') : about);
  return (
    <View style={styles.row}>
      <Txt style={styles.words}>
        {`${name}: ${GAP_TITLES[question]}, ${until ? `until ${sayUntil(until)}` : 'never again'}`}
      </Txt>
      <Button
        label="Ask again"
        says={`Ask again: ${name}`}
        busy={ask.isPending}
        onPress={() => ask.mutate(undefined)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space.s },
  words: { flexGrow: 1, flexBasis: 200 },
});
