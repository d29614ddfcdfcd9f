import { NEEDED_AS } from '@red-shelf/core';
import { needBody, type NeedBody, type RecordView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../../api/client';
import { recordsOf, usePreferences, useRecords } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { ChoiceField } from '../../form/bound';
import { into, twoSides, typed, typedOr, whole, words } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { type Units } from '../../copy/measure';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Txt } from '../../ui/Txt';
import { sayNeed } from '../../copy/need';

/** What storage still lacks; sorting out offers what is about to leave for it. */
export function Needs() {
  const { data } = useRecords();
  const { preferences } = usePreferences();
  const needs = recordsOf(data, 'need');
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Wanted for storage
      </Txt>
      <Txt look="quiet">When something is let go that would serve, sorting out says so before it leaves.</Txt>
      {needs.map((need) => (
        <NeedRow key={need.id} need={need} units={preferences.units} />
      ))}
      <NewNeed units={preferences.units} />
    </View>
  );
}

function NeedRow({ need, units }: { readonly need: RecordView & { body: NeedBody }; readonly units: Units }) {
  const remove = useChange(() =>
    order(routes.removeRecord, { id: need.id, body: { version: need.version } }),
  );
  return (
    <View style={styles.row}>
      <Txt style={styles.words}>{sayNeed(need.body, units)}</Txt>
      <Button
        label="Found one"
        says={`No longer wanted: ${sayNeed(need.body, units)}`}
        busy={remove.isPending}
        onPress={() => remove.mutate(undefined)}
      />
    </View>
  );
}

const NO_NEED: { what: NeedBody['what']; where: string; size: string; count: string } = {
  what: 'divider',
  where: '',
  size: '',
  count: '1',
};
const ANY_SIZE = { widthUm: 0, heightUm: 0 };

/** A need as typed, read into what the contract takes. */
const needSaid = (units: Units) =>
  z
    .object({
      what: z.enum(NEEDED_AS),
      where: words('Say what it is for, such as card file C.'),
      size: typedOr(
        ANY_SIZE,
        twoSides(units, 'A size has two sides: 20 × 30 cm. Leave it empty where any will do.'),
      ),
      count: typed(whole(1, 999, 'How many must be a whole number from 1 to 999.')),
    })
    .transform(({ size, ...need }) => ({ sort: 'need' as const, ...need, ...size }))
    .transform(into(needBody));

function NewNeed({ units }: { readonly units: Units }) {
  const ask = useAsk('need', needSaid(units), NO_NEED);
  const add = useChange((body: NeedBody) => order(routes.addRecord, { body: { body } }));
  const submit = (): void => ask.submit((body) => add.mutateAsync(body));
  return (
    <View style={styles.box}>
      <ChoiceField control={ask.control} name="what" label="It should serve as" options={NEEDED_AS} />
      <View style={styles.fields}>
        <Field control={ask.control} name="where" label="For" hint="card file C" />
        <Field control={ask.control} name="size" label="At least" hint="20 × 30 cm, or any" />
        <Field control={ask.control} name="count" label="How many" numeric onSubmit={submit} />
      </View>
      <Button label="Want it" busy={add.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  words: { flex: 1 },
});
