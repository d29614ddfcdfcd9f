import { CONDITIONS, valueLeft, type Facts } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences, useStash } from '../../api/queries';
import { useFactsChange } from '../../api/useSupplyChange';
import { paperOf, sayPrice } from '../../copy/measure';
import { sayStock, sayWhat } from '../../copy/supply';
import { many } from '../../copy/words';
import { price, typedOr } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { ReasonRow } from '../../row/ReasonRow';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { saveFile } from '../../ui/files';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { PrintButton } from '../../ui/PrintButton';
import { Waiting } from '../../ui/Waiting';
import { leavingAsCsv, leavingAsText, printLeaving, sayAskedInAll } from './list';

/** What is to leave: how it looks, what is asked for it, and the list to sell or to give; what is gone keeps its history. */
export function LeavingScreen() {
  const { stash, error } = useStash();
  const { preferences } = usePreferences();
  if (!stash) return <Waiting error={error} />;
  const leaving = stash.supplies.filter(({ facts }) => facts.status === 'leaving');
  const asked = sayAskedInAll(leaving);
  return (
    <Page title="Letting go" aside={asked ? `${asked} asked in all` : many(leaving.length, 'thing')} narrow>
      {leaving.length === 0 && (
        <Note>
          Nothing is leaving. What you pass on in Sort out, or say is leaving where you change it, stands
          here.
        </Note>
      )}
      <View role="list" aria-label="Leaving" style={styles.list}>
        {leaving.map((supply) => (
          <LeavingRow key={supply.id} supply={supply} currency={preferences.currency} />
        ))}
      </View>
      {leaving.length > 0 && (
        <View style={styles.row}>
          <PrintButton
            label="Print"
            name="letting-go.pdf"
            make={() => printLeaving(leaving, paperOf(preferences))}
          />
          <Button
            label="As text"
            onPress={() =>
              saveFile(new Blob([`${leavingAsText(leaving)}\n`], { type: 'text/plain' }), 'letting-go.txt')
            }
          />
          <Button
            label="As CSV"
            onPress={() =>
              saveFile(new Blob([leavingAsCsv(leaving)], { type: 'text/csv' }), 'letting-go.csv')
            }
          />
        </View>
      )}
    </Page>
  );
}

/** One thing that leaves. */
function LeavingRow({ supply, currency }: { readonly supply: SupplyView; readonly currency: string }) {
  const { facts } = supply;
  const change = useFactsChange(supply);
  const keep = (some: Partial<Facts>): void => change.mutate({ ...facts, ...some });
  const ask = useAsk(`asking.${supply.id}`, z.object({ asking: typedOr(undefined, price(currency)) }), {
    asking: facts.asking ? sayPrice(facts.asking) : '',
  });
  const submit = (): void =>
    ask.submit(({ asking }) => {
      const { asking: _, ...rest } = facts;
      return change.mutateAsync({ ...rest, ...(asking && { asking }) });
    });
  const worth = valueLeft(supply, []);
  return (
    <ReasonRow
      supply={supply}
      reason={[
        sayWhat(supply),
        sayStock(supply),
        worth ? `about ${sayPrice(worth)} by its price` : '',
        (facts.photos ?? []).length > 0 ? 'with a picture' : 'no picture yet',
      ]
        .filter(Boolean)
        .join(' · ')}
    >
      <View style={styles.acts}>
        <Choice
          label={`Condition of ${supply.name}`}
          options={CONDITIONS}
          value={facts.condition ?? ''}
          onChange={(word) => {
            const condition = CONDITIONS.find((each) => each === word);
            if (condition) keep({ condition });
          }}
        />
        <View style={styles.row}>
          <Chip
            many
            label="with its packaging"
            on={facts.packaging ?? false}
            onPress={() => keep({ packaging: !facts.packaging })}
          />
        </View>
        <View style={styles.row}>
          <Field
            control={ask.control}
            name="asking"
            label="Asked for it"
            says={`Asked for ${supply.name}`}
            hint={`4.50 ${currency}; empty to give away`}
            onSubmit={submit}
          />
          {ask.begun && (
            <Button label="Ask so much" says={`Ask so much for ${supply.name}`} onPress={submit} />
          )}
        </View>
        <View style={styles.row}>
          <Button
            label="It is gone"
            says={`${supply.name} is gone`}
            onPress={() => keep({ status: 'gone' })}
          />
          <Button
            label="Keep it after all"
            says={`Keep ${supply.name} after all`}
            onPress={() => keep({ status: 'current' })}
          />
        </View>
      </View>
    </ReasonRow>
  );
}

const styles = StyleSheet.create({
  list: { marginHorizontal: -space.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'flex-start' },
  acts: { gap: space.s, flexBasis: '100%' },
});
