import { StyleSheet, View } from 'react-native';
import { usePreferences, useRecords, useStash } from '../api/queries';
import { paperOf } from '../copy/measure';
import { many } from '../copy/words';
import { useDraft } from '../form/useDraft';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { saveFile } from '../ui/files';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { PrintButton } from '../ui/PrintButton';
import { Txt } from '../ui/Txt';
import { Waiting } from '../ui/Waiting';
import { asCsv, asText, printList, sayTotal } from './shopping';
import { useWishes } from './useWish';
import { WishRow } from './WishRow';

/** What is to be bought; kept on this device, so that it works in the shop without a signal. */
export function ShoppingScreen() {
  const { stash, error } = useStash();
  const { data } = useRecords();
  const { preferences } = usePreferences();
  const { units } = preferences;
  const { wishes } = useWishes();
  const [noSpend, setNoSpend] = useDraft('shopping.noSpend', false);
  if (!stash || !data) return <Waiting error={error} />;
  const inOrder = [...wishes].sort(
    (p, q) =>
      p.body.maker.localeCompare(q.body.maker) ||
      p.body.kind.localeCompare(q.body.kind) ||
      p.body.name.localeCompare(q.body.name),
  );
  const total = sayTotal(inOrder);
  return (
    <Page title="Shopping list" narrow aside={many(wishes.length, 'thing')}>
      <View style={styles.row}>
        <Chip many label="Spend nothing" on={noSpend} onPress={() => setNoSpend(!noSpend)} />
      </View>
      {noSpend && <Note>Every wish is answered from what you own. Nothing leaves the list by itself.</Note>}
      {wishes.length === 0 && (
        <Note>Nothing to buy. What you accept in Gaps comes here, with how much and why.</Note>
      )}
      {wishes.length > 0 && (
        <View role="list" style={styles.list}>
          {inOrder.map((wish) => (
            <WishRow key={wish.id} {...{ wish, stash, noSpend }} />
          ))}
        </View>
      )}
      {total !== '' && <Txt>{total}</Txt>}
      {wishes.length > 0 && (
        <View style={styles.row}>
          <PrintButton
            label="Print"
            name="shopping-list.pdf"
            make={() => printList(inOrder, units, paperOf(preferences))}
          />
          <Button
            label="As text"
            onPress={() =>
              saveFile(new Blob([`${asText(inOrder, units)}\n`], { type: 'text/plain' }), 'shopping-list.txt')
            }
          />
          <Button
            label="As CSV"
            onPress={() =>
              saveFile(new Blob([asCsv(inOrder, units)], { type: 'text/csv' }), 'shopping-list.csv')
            }
          />
        </View>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  list: { backgroundColor: colour.card, marginHorizontal: -space.m },
});
