import {
  colourNameAsked,
  doIOwn,
  familyOf,
  groupOf,
  GROUNDS,
  hexAsked,
  KINDS,
  MADE,
  readBarcode,
  type Ground,
  type Made,
} from '@red-shelf/core';
import { router, useLocalSearchParams } from 'expo-router';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { StyleSheet, View, type TextInput } from 'react-native';
import { useStash } from '../api/queries';
import { preparer } from '../api/search';
import { useKnown } from '../api/useFound';
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

/** Answers shown; the rest is in the stash. */
const MOST_SHOWN = 12;

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
  const manner = useMemo(() => (made === ANY ? undefined : { made: made as Made, ground }), [made, ground]);
  const names = useColourNames(colourNameAsked(asked));
  const known = useKnown(stash);
  const found = useMemo(
    () =>
      doIOwn(asked, pile, {
        manner,
        colourCalled: (name) => calledSo(name, names)?.hex ?? null,
        prepared: known && preparer(...known),
      }),
    [asked, pile, manner, names, known],
  );
  const compared = [...found.answers, ...found.nearest].some(({ reason }) => reason.sort === 'near colour');
  const hex = compared ? (hexAsked(asked) ?? calledSo(colourNameAsked(asked), names)?.hex ?? null) : null;
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
      {hex && <Wanted hex={hex} words="The colour you asked for" />}
      {!barcode.ok && barcode.code === 'misread' && (
        <Note sort="attention">The last digit does not fit: the barcode was misread. Scan it again.</Note>
      )}
      <Verdict asked={asked} found={found} />
      <Answers answers={found.answers.slice(0, MOST_SHOWN)} wanted={hex} where={where} />
      {found.answers.length > MOST_SHOWN && (
        <Button
          label={`All ${found.answers.length} in the stash`}
          onPress={() => router.push({ pathname: '/stash', params: { q: asked } })}
        />
      )}
      {found.nearest.length > 0 && (
        <>
          {found.verdict !== 'no' && (
            <Txt look="strong" level={2}>
              Further off, the nearest of its kind
            </Txt>
          )}
          <Answers answers={found.nearest} wanted={hex} where={where} />
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
