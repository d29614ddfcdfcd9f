import { lettersMissing, parseLetters, printLetters, shortVowels, type LetterCounts } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useFactsChange } from '../api/useSupplyChange';

const ALPHABET = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/** An alphabet sheet, letter by letter: how many are left, which vowels run short, whether a word can be laid. */
export function Letters({ supply }: { readonly supply: SupplyView }) {
  const [word, setWord] = useState('');
  const change = useFactsChange(supply);
  const { attributes = {} } = supply.facts;
  const counts = parseLetters(typeof attributes.letters === 'string' ? attributes.letters : '');
  const write = (next: LetterCounts) =>
    change.mutate({ ...supply.facts, attributes: { ...attributes, letters: printLetters(next) } });
  if (!counts)
    return (
      <Note sort="attention">
        “Letters left” cannot be counted as it is written. Write it like A3 B2 E0, or AABBE.
      </Note>
    );
  const missing = lettersMissing(word, counts);
  const short = shortVowels(counts);
  const shown = [...new Set([...ALPHABET, ...Object.keys(counts)])];
  const lay = (): void => {
    if (word.trim() === '' || Object.keys(missing).length > 0) return;
    const used = parseLetters(word.replace(/[^A-Za-z0-9&!?]/g, '')) ?? {};
    write(Object.fromEntries(Object.entries(counts).map(([each, n]) => [each, n - (used[each] ?? 0)])));
    setWord('');
  };
  return (
    <View style={styles.box} role="region" aria-label="Letters left">
      <Txt look="strong" level={2}>
        Letters left
      </Txt>
      <View style={styles.grid}>
        {shown.map((letter) => {
          const n = counts[letter] ?? 0;
          return (
            <View key={letter} style={[styles.cell, n === 0 && styles.none]}>
              <Pressable
                role="button"
                aria-label={`One ${letter} more, ${n} now`}
                style={styles.letter}
                onPress={() => write({ ...counts, [letter]: n + 1 })}
              >
                <Txt look="strong">{letter}</Txt>
                <Txt look="number">{n}</Txt>
              </Pressable>
              <Pressable
                role="button"
                aria-label={`One ${letter} less, ${n} now`}
                aria-disabled={n === 0}
                disabled={n === 0}
                style={styles.less}
                onPress={() => write({ ...counts, [letter]: n - 1 })}
              >
                <Txt>−</Txt>
              </Pressable>
            </View>
          );
        })}
      </View>
      {short.length > 0 && Object.keys(counts).length > 0 && (
        <Note sort="attention">{`Running short of ${short.join(', ')}: words fail for want of vowels first.`}</Note>
      )}
      <Input label="Can I lay this word?" value={word} onChange={setWord} onSubmit={lay} />
      {word.trim() !== '' &&
        (Object.keys(missing).length === 0 ? (
          <Note>Yes. Press enter to take its letters off the count.</Note>
        ) : (
          <Note sort="attention">
            {`Not yet: ${Object.entries(missing)
              .map(([letter, n]) => `${n} ${letter}`)
              .join(', ')} short.`}
          </Note>
        ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: space.xs },
  cell: {
    width: 54,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.s,
    alignItems: 'center',
  },
  none: { backgroundColor: colour.ground },
  letter: { minHeight: TOUCH, width: '100%', alignItems: 'center', justifyContent: 'center' },
  less: {
    minHeight: TOUCH,
    width: '100%',
    alignItems: 'center',
    justifyContent: 'center',
    borderTopWidth: 1,
    borderTopColor: colour.hairline,
  },
});
