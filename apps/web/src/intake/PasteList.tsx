import { fold, formOf } from '@red-shelf/core';
import { MOST_NAMES, type NewSupplyInput } from '@red-shelf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { ApiError, call, order, routes } from '../api/client';
import { usePreferences } from '../api/queries';
import { useChange } from '../api/useChange';
import { many } from '../copy/words';
import { readForm } from '../form/model';
import { useAsk } from '../form/useAsk';
import { readAmount } from '../form/amount';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { colourWords, readPasted } from './pasted';
import { sharedForm, type PileSession } from './shared';

interface PasteListProps {
  readonly session: PileSession;
  readonly onAdded: (ids: readonly string[]) => Promise<void>;
  readonly onClose: () => void;
}

/** The colours named in a list, by folded name, from the server's list of names. */
function useColoursCalled(text: string): ReadonlyMap<string, string> {
  const names = colourWords(useDeferredValue(text)).slice(0, MOST_NAMES);
  const { data } = useQuery({
    queryKey: ['colours called', names],
    queryFn: () => call(routes.coloursCalled, { body: { names } }),
    enabled: names.length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
  return new Map(data?.names.map(({ name, hex }) => [fold(name), hex]));
}

const pastedSaid = z.object({ text: z.string() });

/** A pasted list, one thing a line; what cannot be read is said line by line, and nothing is half-saved. */
export function PasteList({ session, onAdded, onClose }: PasteListProps) {
  const ask = useAsk(`paste.${session.id}`, pastedSaid, { text: '' });
  const { text } = ask.said;
  const { preferences } = usePreferences();
  const { kind, form: formId } = sharedForm(session);
  const plain = formOf(kind, formId).colourless === true;
  const lines = readPasted(text, useColoursCalled(text), plain);
  const good = lines.filter(({ refusal }) => refusal === null);
  const add = useChange((supplies: NewSupplyInput[]) => order(routes.addSupplies, { body: { supplies } }), {
    quiet: true,
  });
  const send = async (): Promise<void> => {
    const shared = sharedForm(session);
    const form = formOf(shared.kind, shared.form);
    const amount = readAmount(form.counting === 'length' ? '9 m' : String(form.usualPurchase), 'full', form);
    const supplies = good.flatMap(({ name, code, hex }): NewSupplyInput[] => {
      const reading = readForm({ ...shared, name, code, hex }, {}, preferences);
      return reading.ok && amount.ok ? [{ ...reading.fields, count: amount.count }] : [];
    });
    const { ids } = await add.mutateAsync(supplies);
    await onAdded(ids);
    onClose();
  };
  return (
    <View style={styles.box}>
      <Field
        control={ask.control}
        name="text"
        label={plain ? 'One thing a line: name, code' : 'One thing a line: name, colour, code'}
        multiline
        autoFocus
        hint={plain ? 'Fern Gate, 418' : 'Fern Gate, #4c9a52, 418'}
      />
      {lines.map(({ line, name, hex, code, refusal }, i) => (
        <View key={`${i} ${line}`} style={styles.line}>
          <View style={[styles.swatch, hex ? { backgroundColor: hex } : null]} />
          <Txt look={refusal ? 'strong' : 'body'} style={styles.words}>
            {refusal
              ? `⚠ Line ${i + 1} “${line.slice(0, 40)}” ${refusal}.`
              : [name, code].filter(Boolean).join(' · ')}
          </Txt>
        </View>
      ))}
      {add.error && (
        <Note sort="error">{add.error instanceof ApiError ? add.error.message : 'That did not work.'}</Note>
      )}
      <View style={styles.row}>
        <Button
          label={`Add ${many(good.length, 'supply', 'supplies')}`}
          main
          disabled={good.length === 0}
          busy={add.isPending}
          onPress={() => ask.submit(send)}
        />
        <Button label="Close the list" onPress={onClose} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  line: { flexDirection: 'row', gap: space.s, alignItems: 'center', minHeight: 32 },
  swatch: { width: 24, height: 24, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
  words: { flex: 1 },
});
