import {
  doubling,
  familyOf,
  formOf,
  groupOf,
  GROUNDS,
  MADE,
  ownIt,
  parseColour,
  readBarcode,
  type Ground,
  type Made,
  type OwnAnswer,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { Pressable, StyleSheet, View, type TextInput } from 'react-native';
import { useStash } from '../api/queries';
import { ColourWays } from '../colourways/ColourWays';
import { sayStock, sayWhat } from '../copy/supply';
import { useWhere, type Where } from '../order/useWhere';
import { Waiting } from '../frame/Waiting';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { SearchField } from '../ui/SearchField';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { useKeys } from '../ui/useKeys';
import { Scanner } from './Scanner';

const ANY = 'its colour';

/** "Do I own it?" – one field, one answer, one hand: by name, code, number, barcode, hex, photo or reader. */
export function OwnScreen() {
  const { q = '' } = useLocalSearchParams<{ q?: string }>();
  const { stash, error } = useStash();
  const where = useWhere(stash);
  const [question, setQuestion] = useState(q);
  const [tool, setTool] = useState<'colour' | 'scan' | null>(null);
  const [made, setMade] = useState<string>(ANY);
  const [ground, setGround] = useState<Ground>('white');
  const field = useRef<TextInput>(null);
  const asked = useDeferredValue(question);
  const answers = useMemo(() => {
    const manner = made === ANY ? undefined : { made: made as Made, ground };
    return stash
      ? ownIt(
          asked,
          stash.supplies.filter(({ facts }) => facts.status !== 'gone'),
          manner,
        )
      : [];
  }, [stash, asked, made, ground]);
  useKeys({ '/': () => field.current?.focus() });
  if (!stash) return <Waiting error={error} />;
  const ask = (text: string): void => {
    setQuestion(text);
    router.setParams({ q: text });
    setTool(null);
  };
  const hex = parseColour(asked.trim().startsWith('#') ? asked : '');
  const barcode = readBarcode(asked);
  return (
    <Page title="Do I own it?" narrow>
      <SearchField ref={field} value={question} onChange={(text) => ask(text)} />
      <View style={styles.tools}>
        <Button label="By colour" onPress={() => setTool(tool === 'colour' ? null : 'colour')} />
        <Button label="Scan a barcode" onPress={() => setTool(tool === 'scan' ? null : 'scan')} />
      </View>
      {tool === 'colour' && (
        <ColourWays hex={hex.ok ? hex.hex : '#999999'} start="Photo" onTake={(taken) => ask(taken.hex)} />
      )}
      {tool === 'scan' && <Scanner onScan={ask} />}
      {hex.ok && (
        <View style={styles.asked}>
          <Swatch hex={hex.hex} group={groupOf(familyOf(hex.hex).family)} size={56} />
          <Txt>Looking for {hex.hex}</Txt>
        </View>
      )}
      {!barcode.ok && barcode.code === 'misread' && (
        <Note sort="attention">The last digit does not fit: the barcode was misread. Scan it again.</Note>
      )}
      <Verdict asked={asked} answers={answers} />
      {answers.map((answer) => (
        <Answer key={answer.item.id} answer={answer} wanted={hex.ok ? hex.hex : null} where={where} />
      ))}
      {hex.ok && (
        <View style={styles.manner}>
          <Choice label="Compare with" options={[ANY, ...MADE]} value={made} onChange={setMade} />
          {made !== ANY && (
            <Choice
              label="On"
              options={GROUNDS}
              value={ground}
              onChange={(next) => setGround(next as Ground)}
            />
          )}
        </View>
      )}
    </Page>
  );
}

/** Yes, nearly, or no, in large type. */
function Verdict({
  asked,
  answers,
}: {
  readonly asked: string;
  readonly answers: readonly OwnAnswer<SupplyView>[];
}) {
  if (asked.trim() === '')
    return (
      <Txt look="quiet">
        Type a name, a code, a number or a hex, or scan it. Works while you stand in the shop.
      </Txt>
    );
  const exact = answers.filter(
    ({ reason }) =>
      reason.sort === 'exact' || (reason.sort === 'near colour' && reason.difference.step === 'same'),
  );
  const have = exact.some(({ item }) => item.stock.left > 0 || Object.keys(item.stock.parts).length > 0);
  const words = have
    ? 'Yes'
    : exact.length > 0
      ? 'Yes, but it is used up'
      : answers.length > 0
        ? 'Not quite'
        : 'No';
  const detail = have
    ? exact.some(({ item }) => !doubling(item, formOf(item.kind, item.form).counting).double)
      ? 'A spare is still wanted.'
      : 'Another one would be a double.'
    : answers.length > 0
      ? 'The nearest you have:'
      : 'Nothing in the stash comes near it.';
  return (
    <View role="status" aria-live="polite">
      <Txt look="page" style={styles.verdict} testID="verdict">
        {words}
      </Txt>
      <Txt>{detail}</Txt>
    </View>
  );
}

const sayReason = ({ reason }: OwnAnswer<SupplyView>): string =>
  reason.sort === 'exact'
    ? `the same ${reason.by}`
    : reason.sort === 'near name'
      ? 'nearly the same name'
      : `${reason.difference.words} (${reason.difference.deltaE.toFixed(1)} ΔE)`;

interface AnswerProps {
  readonly answer: OwnAnswer<SupplyView>;
  readonly wanted: string | null;
  readonly where: Where;
}

function Answer({ answer, wanted, where }: AnswerProps) {
  const { item } = answer;
  const { have, meant } = doubling(item, formOf(item.kind, item.form).counting);
  return (
    <Pressable
      role="button"
      onPress={() => router.push({ pathname: '/stash', params: { supply: item.id } })}
      style={styles.answer}
    >
      <View style={styles.swatches}>
        {wanted && <View style={[styles.wanted, { backgroundColor: wanted }]} />}
        <Swatch hex={item.hex} group={item.group} size={56} />
      </View>
      <View style={styles.words}>
        <Txt look="strong">{item.name}</Txt>
        <Txt look="quiet">{sayWhat(item)}</Txt>
        <Txt>{sayReason(answer)}</Txt>
        <Txt look="quiet">
          {sayStock(item)} · {have} of {meant} meant
        </Txt>
      </View>
      <Txt look="label" style={styles.address}>
        {where(item) ?? 'no place'}
      </Txt>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  tools: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  manner: { gap: space.s },
  asked: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  verdict: { fontSize: 34 },
  answer: {
    flexDirection: 'row',
    gap: space.m - 4,
    alignItems: 'center',
    padding: space.m - 4,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  swatches: { flexDirection: 'row' },
  wanted: { width: 28, height: 56 },
  words: { flex: 1, minWidth: 0, gap: 2 },
  address: { fontSize: 22 },
});
