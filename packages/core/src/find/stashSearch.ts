import { hasColour } from '../colour/families';
import { parseColour } from '../colour/parse';
import { ciede2000, labOf, type Lab } from '../colour/lab';
import { FACETS } from './facets';
import { fold } from '../text/fold';
import type { Searchable } from './subject';
import { meant } from './typo';

/** How well one thing answers one word of a query; 0 is not at all. */
type Rating<T> = (thing: Searchable<T>) => number;

const SCORE = { code: 100, name: 90, nameStart: 60, nameWord: 40, facet: 30, text: 10, slip: 4 } as const;
/** A hex finds what lies within a plainly visible but small distance. */
const NEAR_DELTA_E = 10;
/** In vivid colours ten CIEDE2000 can be some forty plain CIELAB units. */
const FAR_IN_LAB = 60;
const FILLERS = new Set([
  'a',
  'an',
  'and',
  'for',
  'in',
  'my',
  'of',
  'or',
  'that',
  'the',
  'with',
  'which',
  'are',
  'is',
]);
const HEX = /^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/;

const singular = (word: string): string => (word.length > 3 && word.endsWith('s') ? word.slice(0, -1) : word);

/** Rates a word against the texts: its beginning of a word, plural or not. */
function byText<T>(word: string): Rating<T> {
  const one = singular(word);
  const start = ` ${one}`;
  return ({ code, name, text }) => {
    if (code !== '' && code === word) return SCORE.code;
    if (!text.includes(start)) return 0;
    if (name === ` ${word}` || name === start) return SCORE.name;
    if (name.startsWith(start)) return SCORE.nameStart;
    return name.includes(start) ? SCORE.nameWord : SCORE.text;
  };
}

/** CIEDE2000, or infinity for colours so far apart in CIELAB that it need not be worked out. */
const nearness = (a: Lab, b: Lab): number =>
  Math.hypot(a.l - b.l, a.a - b.a, a.b - b.b) > FAR_IN_LAB ? Infinity : ciede2000(a, b);

function byHex<T>(hex: string): Rating<T> {
  const wanted = labOf(hex);
  return ({ subject }) => {
    if (!hasColour(subject)) return 0;
    const all = [subject.hex, ...(subject.facts.otherHexes ?? [])];
    const nearest = Math.min(...all.map((each) => nearness(wanted, labOf(each))));
    return nearest > NEAR_DELTA_E ? 0 : SCORE.code * (1 - nearest / (NEAR_DELTA_E * 1.01));
  };
}

const either =
  <T>(...ratings: readonly Rating<T>[]): Rating<T> =>
  (thing) =>
    Math.max(...ratings.map((rate) => rate(thing)));

function rateWord<T>(word: string): Rating<T> {
  if (HEX.test(word)) {
    const colour = parseColour(word);
    if (colour.ok) return byHex(colour.hex);
  }
  const facet = FACETS.get(word) ?? FACETS.get(singular(word));
  return facet ? either(byText(word), ({ subject }) => (facet(subject) ? SCORE.facet : 0)) : byText(word);
}

/** Every word that anything is known by, and the words that mean something measurable. */
function vocabularyOf<T>(things: readonly Searchable<T>[]): Set<string> {
  const words = new Set<string>(FACETS.keys());
  for (const { text } of things) for (const word of text.split(' ')) if (word.length > 2) words.add(word);
  return words;
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
  const corrected = (word: string): Rating<T>[] => {
    vocabulary ??= vocabularyOf(things);
    return meant(word, vocabulary)
      .slice(0, 6)
      .map((known) => {
        const rate = rateWord<T>(known);
        return (thing) => (rate(thing) > 0 ? SCORE.slip : 0);
      });
  };
  return {
    find: (query) => {
      const words = fold(query)
        .split(' ')
        .filter((word) => word !== '' && !FILLERS.has(word));
      if (words.length === 0) return things.map(({ item }) => item);
      let found = things.map((thing) => ({ thing, score: 0 }));
      for (const word of words) {
        const rate = rateWord<T>(word);
        const answered = (by: Rating<T>) =>
          found.flatMap(({ thing, score }) => {
            const more = by(thing);
            return more > 0 ? [{ thing, score: score + more }] : [];
          });
        let next = answered(rate);
        if (next.length === 0 && !things.some((thing) => rate(thing) > 0)) {
          const guesses = corrected(word);
          if (guesses.length > 0) next = answered(either(...guesses));
        }
        found = next;
      }
      return found.sort((p, q) => q.score - p.score).map(({ thing }) => thing.item);
    },
  };
}
