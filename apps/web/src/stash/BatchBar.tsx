import { FAMILIES, GRADES, splitWords, STATUSES } from '@red-shelf/core';
import type { BatchSet, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { ApiError, order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { many } from '../copy/words';
import { useDraft } from '../form/useDraft';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Choice } from '../ui/Choice';
import { DateField } from '../ui/DateField';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

interface BatchBarProps {
  readonly chosen: readonly SupplyView[];
  readonly onDone: () => void;
  readonly onAll: () => void;
}

const EMPTY = {
  status: '',
  decideOn: '',
  grade: '',
  maker: '',
  range: '',
  addTags: '',
  dropTags: '',
  family: '',
  lift: '',
};

/** Changes many supplies at once; empty fields leave things as they are. One undo takes it all back. */
export function BatchBar({ chosen, onDone, onAll }: BatchBarProps) {
  const [open, setOpen] = useState(false);
  const [given, setGiven, clear] = useDraft('batch', EMPTY);
  const seen = chosen.map(({ id, version }) => ({ id, version }));
  const change = useChange(
    (what: { set?: BatchSet; remove?: boolean }) =>
      order(routes.batchEdit, { body: { supplies: seen, ...what } }),
    { quiet: true },
  );
  const merge = useChange(
    ([keep, other]: readonly [SupplyView, SupplyView]) =>
      order(routes.mergeSupplies, {
        body: {
          keep: { id: keep.id, version: keep.version },
          other: { id: other.id, version: other.version },
        },
      }),
    { quiet: true },
  );
  const set = (key: keyof typeof EMPTY) => (value: string) => setGiven({ ...given, [key]: value });
  const apply = () =>
    void change.mutateAsync({ set: toSet(given) }).then(
      () => {
        clear();
        onDone();
      },
      () => undefined,
    );
  const [first, second] = chosen;
  const error = change.error ?? merge.error;
  return (
    <View style={styles.bar}>
      <View style={styles.row}>
        <Txt look="strong">{many(chosen.length, 'chosen', 'chosen')}</Txt>
        <Button label="All shown" onPress={onAll} />
        <Button
          label={open ? 'Close' : 'Change'}
          main
          disabled={chosen.length === 0}
          onPress={() => setOpen(!open)}
        />
        {first && second && chosen.length === 2 && (
          <Button
            label="They are one thing"
            busy={merge.isPending}
            onPress={() => merge.mutate([first, second], { onSuccess: onDone })}
          />
        )}
        <Button
          label="Remove"
          disabled={chosen.length === 0}
          busy={change.isPending}
          onPress={() => change.mutate({ remove: true }, { onSuccess: onDone })}
        />
        <Button label="Done" onPress={onDone} />
      </View>
      {error && <Note sort="error">{error instanceof ApiError ? error.message : 'That did not work.'}</Note>}
      {open && (
        <ScrollView style={styles.form} contentContainerStyle={styles.inside}>
          <Choice
            label="Standing"
            options={STATUSES}
            value={given.status}
            onChange={set('status')}
            optional
          />
          {given.status === 'trial' && (
            <DateField label="Decide by" value={given.decideOn} onChange={set('decideOn')} />
          )}
          <Choice
            label="Good enough for"
            options={GRADES}
            value={given.grade}
            onChange={set('grade')}
            optional
          />
          <View style={styles.row}>
            <Input label="Maker of all" value={given.maker} onChange={set('maker')} />
            <Input label="Range of all" value={given.range} onChange={set('range')} />
          </View>
          <View style={styles.row}>
            <Input label="Add tags" value={given.addTags} onChange={set('addTags')} />
            <Input label="Drop tags" value={given.dropTags} onChange={set('dropTags')} />
          </View>
          <Choice
            label="File all under"
            options={['as computed', ...FAMILIES]}
            value={given.family}
            onChange={set('family')}
            optional
          />
          <Chip
            many
            label="Lift them all out of their slots"
            on={given.lift === 'yes'}
            onPress={() => set('lift')(given.lift === 'yes' ? '' : 'yes')}
          />
          <Button
            label={`Change ${many(chosen.length, 'supply', 'supplies')}`}
            main
            busy={change.isPending}
            onPress={apply}
          />
        </ScrollView>
      )}
    </View>
  );
}

/** What was filled in; empty fields are left out. */
function toSet(given: typeof EMPTY): BatchSet {
  const family = FAMILIES.find((each) => each === given.family);
  const status = STATUSES.find((each) => each === given.status);
  const grade = GRADES.find((each) => each === given.grade);
  return {
    ...(status ? { status } : {}),
    ...(given.decideOn ? { decideOn: given.decideOn } : {}),
    ...(grade ? { grade } : {}),
    ...(given.maker.trim() ? { maker: given.maker } : {}),
    ...(given.range.trim() ? { range: given.range } : {}),
    ...(given.addTags.trim() ? { addTags: splitWords(given.addTags) } : {}),
    ...(given.dropTags.trim() ? { dropTags: splitWords(given.dropTags) } : {}),
    ...(given.family === 'as computed' ? { familyOverride: null, familyReason: '' } : {}),
    ...(given.lift === 'yes' ? { lift: true } : {}),
    ...(family ? { familyOverride: family, familyReason: 'chosen for many at once' } : {}),
  };
}

const styles = StyleSheet.create({
  bar: {
    padding: space.s,
    gap: space.s,
    backgroundColor: colour.card,
    borderTopWidth: 1,
    borderTopColor: colour.hairline,
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  form: { maxHeight: 360 },
  inside: { gap: space.s },
});
