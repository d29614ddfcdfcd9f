import {
  familyOf,
  groupOf,
  GROUNDS,
  KINDS,
  MADE,
  nearColours,
  nearestElse,
  ownIt,
  soCalled,
  parseColour,
  readBarcode,
  type Ground,
  type Made,
} from '@red-shelf/core';
import { router, useLocalSearchParams } from 'expo-router';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { StyleSheet, View, type TextInput } from 'react-native';
import { useStash } from '../api/queries';
import { ColourWays } from '../colour/ColourWays';
import { calledSo, useColourNames } from '../colour/useColourNames';
import { Waiting } from '../ui/Waiting';
import { useWhere } from '../api/where';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { KindChips } from '../ui/KindChips';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { SearchField } from '../ui/SearchField';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { useKeys } from '../ui/useKeys';
import { Answers } from './Answers';
import { Scanner } from './Scanner';
import { Verdict } from './Verdict';

const ANY = 'its colour';

/** Rows shown of what a phrase means; the rest is in the stash. */
const MOST_CALLED = 12;

/** "Do I own it?" – one field, one answer, one hand: by name, code, number, barcode, hex, photo or reader. */
export function OwnScreen() {
  const { q = '', kind: ofKind } = useLocalSearchParams<{ q?: string; kind?: string }>();
  const { stash, error } = useStash();
  const where = useWhere(stash);
  const [question, setQuestion] = useState(q);
  const [tool, setTool] = useState<'colour' | 'scan' | null>(null);
  const [made, setMade] = useState<string>(ANY);
  const [ground, setGround] = useState<Ground>('white');
  const field = useRef<TextInput>(null);
  const asked = useDeferredValue(question);
  const kind = KINDS.find((each) => each === ofKind) ?? null;
  const pile = useMemo(
    () => (stash?.supplies ?? []).filter((supply) => kind === null || supply.kind === kind),
    [stash, kind],
  );
  const typed = parseColour(asked.trim().startsWith('#') ? asked : '');
  const named = calledSo(asked, useColourNames(asked));
  const hex = typed.ok ? typed.hex : (named?.hex ?? null);
  const manner = useMemo(() => (made === ANY ? undefined : { made: made as Made, ground }), [made, ground]);
  const answers = useMemo(() => ownIt(asked, pile, manner), [asked, pile, manner]);
  const called = useMemo(() => soCalled(asked, pile), [asked, pile]);
  const others = useMemo(() => {
    const said = new Set(answers.map(({ item }) => item.id));
    return (called ?? []).filter(({ item }) => !said.has(item.id));
  }, [answers, called]);
  const inColour = useMemo(
    () => (named && !typed.ok ? nearColours(named.hex, pile, manner) : []),
    [named, typed.ok, pile, manner],
  );
  const further = useMemo(() => (hex ? nearestElse(hex, pile, manner) : []), [hex, pile, manner]);
  useKeys({ '/': () => field.current?.focus() });
  if (!stash) return <Waiting error={error} />;
  const ask = (text: string): void => {
    setQuestion(text);
    router.setParams({ q: text });
    setTool(null);
  };
  const barcode = readBarcode(asked);
  return (
    <Page title="Do I own it?" narrow>
      <SearchField ref={field} value={question} onChange={ask} />
      <KindChips value={kind} onChange={(next) => router.setParams({ kind: next ?? '' })} />
      <View style={styles.tools}>
        <Button label="By colour" onPress={() => setTool(tool === 'colour' ? null : 'colour')} />
        <Button label="Scan a barcode" onPress={() => setTool(tool === 'scan' ? null : 'scan')} />
      </View>
      {tool === 'colour' && (
        <ColourWays hex={hex ?? '#999999'} start="Photo" onTake={(taken) => ask(taken.hex)} />
      )}
      {tool === 'scan' && <Scanner onScan={ask} />}
      {typed.ok && <Wanted hex={typed.hex} words={`Looking for ${typed.hex}`} />}
      {!barcode.ok && barcode.code === 'misread' && (
        <Note sort="attention">The last digit does not fit: the barcode was misread. Scan it again.</Note>
      )}
      <Verdict
        asked={asked}
        answers={answers}
        inColour={named && !typed.ok ? inColour : null}
        called={called}
      />
      <Answers answers={answers} wanted={typed.ok ? typed.hex : null} where={where} />
      <Answers answers={others.slice(0, MOST_CALLED)} wanted={null} where={where} />
      {others.length > MOST_CALLED && (
        <Button
          label={`All ${others.length} in the stash`}
          onPress={() => router.push({ pathname: '/stash', params: { q: asked } })}
        />
      )}
      {named && !typed.ok && (
        <>
          <Wanted
            hex={named.hex}
            words={
              inColour.length > 0
                ? `${named.name} is a colour too. Nearest to it:`
                : `${named.name} is a colour too; nothing you have comes near it.`
            }
          />
          <Answers answers={inColour} wanted={named.hex} where={where} />
        </>
      )}
      {further.length > 0 && (
        <>
          <Txt look="strong" level={2}>
            Further off, the nearest of its kind
          </Txt>
          <Answers answers={further} wanted={hex} where={where} />
        </>
      )}
      {hex && (
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

/** The colour asked for, beside its words. */
function Wanted({ hex, words }: { readonly hex: string; readonly words: string }) {
  return (
    <View style={styles.asked}>
      <Swatch hex={hex} group={groupOf(familyOf(hex).family)} size={56} />
      <Txt style={styles.words}>{words}</Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  tools: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  manner: { gap: space.s },
  asked: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  words: { flex: 1 },
});
