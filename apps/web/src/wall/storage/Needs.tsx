import { NEEDED_AS, parseSize } from '@red-shelf/core';
import type { NeedBody, RecordView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { recordsOf, usePreferences, useRecords } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { useDraft } from '../../form/useDraft';
import { type Units } from '../../copy/measure';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Input } from '../../ui/Input';
import { Note } from '../../ui/Note';
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

function NewNeed({ units }: { readonly units: Units }) {
  const [draft, setDraft, clear] = useDraft('need', NO_NEED);
  const { what, where, size, count } = draft;
  const [refusal, setRefusal] = useState<string | null>(null);
  const add = useChange((body: NeedBody) => order(routes.addRecord, { body: { body } }));
  const submit = (): void => {
    if (add.isPending) return;
    const sides = size.trim() === '' ? null : parseSize(size, 2, units === 'inches' ? 'in' : 'mm');
    if (where.trim() === '') return setRefusal('Say what it is for, such as card file C.');
    if (sides && !sides.ok)
      return setRefusal('A size has two sides: 20 × 30 cm. Leave it empty where any will do.');
    if (!/^\d{1,3}$/.test(count.trim()) || Number(count) < 1)
      return setRefusal('How many must be a whole number from 1 to 999.');
    setRefusal(null);
    const [widthUm = 0, heightUm = 0] = sides?.ok ? sides.um : [];
    return add.mutate(
      { sort: 'need', what, where: where.trim(), widthUm, heightUm, count: Number(count) },
      { onSuccess: clear },
    );
  };
  return (
    <View style={styles.box}>
      <Choice
        label="It should serve as"
        options={NEEDED_AS}
        value={what}
        onChange={(word) => setDraft({ ...draft, what: NEEDED_AS.find((each) => each === word) ?? what })}
      />
      <View style={styles.row}>
        <Input
          label="For"
          value={where}
          onChange={(text) => setDraft({ ...draft, where: text })}
          hint="card file C"
        />
        <Input
          label="At least"
          value={size}
          onChange={(text) => setDraft({ ...draft, size: text })}
          hint="20 × 30 cm, or any"
        />
        <Input
          label="How many"
          value={count}
          onChange={(text) => setDraft({ ...draft, count: text })}
          onSubmit={submit}
          numeric
        />
      </View>
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label="Want it" busy={add.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  words: { flex: 1 },
});
