import { FACETS } from './facets';
import { readQuestion, SCORE, termOf, type Rating, type Term } from './question';
import type { Searchable } from './subject';
import { meant } from './typo';

/** Every word that anything is known by, and the words that mean something measurable. */
function vocabularyOf(things: readonly Searchable<unknown>[]): Set<string> {
  const words = new Set<string>(FACETS.keys());
  for (const { text } of things) for (const word of text.split(' ')) if (word.length > 2) words.add(word);
  return words;
}

/** So many words are tried for one that nothing answers. */
const MOST_GUESSES = 6;

/** A thing that answers every term of a question. */
export interface Found<T> {
  readonly thing: Searchable<T>;
  readonly score: number;
  /** The terms as they were answered: a slip of the finger by what it was taken for. */
  readonly terms: readonly Term[];
  /** Whether a word of it had to be taken for another one. */
  readonly slip: boolean;
}

const unasked = <T>(thing: Searchable<T>): Found<T> => ({ thing, score: 0, terms: [], slip: false });

const rated =
  (slips: readonly Term[]): Rating =>
  (thing) =>
    slips.some(({ rate }) => rate(thing) > 0) ? SCORE.slip : 0;

/** Things that answer every term, best first; ties stay in the order given. `vocabulary` is asked for where nothing answers a word. */
export function answering<T>(
  things: readonly Searchable<T>[],
  terms: readonly Term[],
  vocabulary: () => ReadonlySet<string> = () => vocabularyOf(things),
): Found<T>[] {
  let found: readonly Found<T>[] | undefined;
  for (const term of terms) {
    const answered = (rate: Rating, said: (thing: Searchable<T>) => Term, slip: boolean): Found<T>[] => {
      const next: Found<T>[] = [];
      const add = (thing: Searchable<T>, before?: Found<T>): void => {
        const more = rate(thing);
        if (more <= 0) return;
        const { score = 0, terms: known = [] } = before ?? {};
        next.push({
          thing,
          score: score + more,
          terms: [...known, said(thing)],
          slip: slip || before?.slip === true,
        });
      };
      // Of thousands most answer no word: nothing is made for these.
      if (found) for (const before of found) add(before.thing, before);
      else for (const thing of things) add(thing);
      return next;
    };
    let next = answered(term.rate, () => term, false);
    const isWord = term.about !== 'size' && term.about !== 'code';
    if (next.length === 0 && isWord && !things.some((thing) => term.rate(thing) > 0)) {
      const guesses = meant(term.words, vocabulary()).slice(0, MOST_GUESSES).map(termOf);
      const guessed = (thing: Searchable<T>): Term => guesses.find(({ rate }) => rate(thing) > 0) ?? term;
      if (guesses.length > 0) next = answered(rated(guesses), guessed, true);
    }
    found = next;
  }
  return [...(found ?? things.map(unasked))].sort((p, q) => q.score - p.score);
}

export interface StashSearch<T> {
  /** Things that answer every word, best first; ties stay in the order given. */
  readonly find: (query: string) => readonly T[];
}

/**
 * Makes a search in plain words: "pale green ribbon", "wide red satin", "unplaced inks", a code, a hex.
 * Every word must be answered, by a text, by what it means (pale, wide, unplaced, a colour), or,
 * when nothing at all answers it, by the word it was probably meant to be.
 */
export function makeStashSearch<T>(things: readonly Searchable<T>[]): StashSearch<T> {
  let vocabulary: Set<string> | undefined;
  return {
    find: (query) => {
      const terms = readQuestion(query);
      if (terms.length === 0) return things.map(({ item }) => item);
      return answering(things, terms, () => (vocabulary ??= vocabularyOf(things))).map(
        ({ thing }) => thing.item,
      );
    },
  };
}
