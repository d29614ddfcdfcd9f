import { KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import { rangeBody, rangeReading, type RangeBody, type RangeReadingView } from '@red-shelf/contract';
import { useMutation } from '@tanstack/react-query';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { ApiError, order, routes } from '../api/client';
import { readRangeFile } from '../api/files';
import { useChange } from '../api/useChange';
import { many } from '../copy/words';
import { ChoiceField } from '../form/bound';
import { into } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { useBegun } from '../form/useDraft';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { chooseFile } from '../ui/files';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

/** A checklist from a CSV file with names and hexes, or from a .gpl palette. */
export function NewRange() {
  const [read, setRead, clear] = useBegun('range.read', rangeReading);
  const choose = useMutation({
    mutationFn: async () => {
      const file = await chooseFile('.csv,.gpl,text/csv,text/plain');
      return file && readRangeFile(file);
    },
    onSuccess: (answer) => answer && setRead(answer),
  });
  const { error } = choose;
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Bring a range in
      </Txt>
      <Txt look="quiet">A CSV file with columns for name, code and hex, or a .gpl palette.</Txt>
      <Button label="Choose a range file" busy={choose.isPending} onPress={() => choose.mutate()} />
      {error && <Note sort="error">{error instanceof ApiError ? error.message : 'That did not work.'}</Note>}
      {read && <KeepRange key={read.name} reading={read} onKept={clear} />}
    </View>
  );
}

/** What is asked of a range that was read, and what the checklist is then. */
const rangeSaid = ({ entries }: RangeReadingView) =>
  z
    .object({ kind: z.enum(KINDS), maker: z.string(), name: z.string() })
    .transform((said) => ({
      sort: 'range' as const,
      ...said,
      form: KIND_DEFINITIONS[said.kind].defaultForm,
      entries,
    }))
    .transform(into(rangeBody));

function KeepRange({
  reading: read,
  onKept,
}: {
  readonly reading: RangeReadingView;
  readonly onKept: () => void;
}) {
  const ask = useAsk('range', rangeSaid(read), { kind: 'ink', maker: '', name: read.name });
  const keep = useChange((body: RangeBody) => order(routes.addRecord, { body: { body } }));
  const submit = (): void =>
    ask.submit(async (body) => {
      const { record } = await keep.mutateAsync(body);
      onKept();
      router.setParams({ range: record.id });
    });
  const leftOut = read.leftOut > 0 ? `, ${many(read.leftOut, 'line')} without a name or colour left out` : '';
  return (
    <>
      <Note>{`${many(read.entries.length, 'colour')} read${leftOut}.`}</Note>
      <ChoiceField
        control={ask.control}
        name="kind"
        label="They are"
        options={KINDS}
        say={(kind) => KIND_DEFINITIONS[kind as Kind].plural}
      />
      <View style={styles.row}>
        <Field control={ask.control} name="maker" label="Maker" />
        <Field control={ask.control} name="name" label="Range" onSubmit={submit} />
      </View>
      <Button label="Keep the checklist" main busy={keep.isPending} onPress={submit} />
    </>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
