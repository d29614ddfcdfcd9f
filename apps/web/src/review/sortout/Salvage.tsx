import { salvageFor } from '@red-shelf/core';
import type { ChangeView, SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { order, routes, type Order } from '../../api/client';
import { recordsOf, usePreferences, useRecords } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { sayNeed } from '../../copy/need';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';

/** Before a thing leaves: what storage still needs that it, or what it came in, could be. */
export function Salvage({ supply }: { readonly supply: SupplyView }) {
  const { data } = useRecords();
  const { preferences } = usePreferences();
  const needs = recordsOf(data, 'need');
  const met = salvageFor(
    supply,
    needs.map(({ body, ...record }) => ({ ...body, record: { ...record, body } })),
  );
  const take = useChange(({ need, covers }: (typeof met)[number]): Order<{ change: ChangeView }> =>
    need.count > covers
      ? order(routes.editRecord, {
          id: need.record.id,
          body: { version: need.record.version, body: { ...need.record.body, count: need.count - covers } },
        })
      : order(routes.removeRecord, { id: need.record.id, body: { version: need.record.version } }),
  );
  if (met.length === 0) return null;
  return (
    <Note sort="attention">
      <Txt look="strong">Before it leaves: it could serve.</Txt>
      {met.map((each) => (
        <View key={each.need.record.id} style={styles.row}>
          <Txt style={styles.words}>{sayNeed(each.need.record.body, preferences.units)}</Txt>
          <Button
            label={`Save ${each.covers}`}
            says={`Save ${each.covers} of ${supply.name}: ${sayNeed(each.need.record.body, preferences.units)}`}
            disabled={take.isPending}
            onPress={() => take.mutate(each)}
          />
        </View>
      ))}
    </Note>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  words: { flex: 1 },
});
