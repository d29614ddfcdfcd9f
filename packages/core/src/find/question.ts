import { hasColour } from '../colour/families';
import { plainColour, parseColour } from '../colour/parse';
import { ciede2000, labOf, type Lab } from '../colour/lab';
import { KINDS } from '../kinds/definition';
import { formsOfKind, KIND_DEFINITIONS } from '../kinds/registry';
import { parseLength } from '../measure/length';
import { sheetSizeOf } from '../stash/sheetSize';
import { fold } from '../text/fold';
import { normaliseBarcode } from './barcode';
import { COLOUR_WORDS, FACETS } from './facets';
import type { Searchable, SearchSubject } from './subject';

/** How well one thing answers one term of a question; 0 is not at all. */
export type Rating = (thing: Searchable<unknown>) => number;

/** What a term asks about: the kind or form, the colour, a measure, a code of its own, or any other word. */
export type About = 'kind' | 'colour' | 'size' | 'code' | 'word';

/** One thing that a question asks: a word, or several that belong together ("1/2 in", "12 x 12"). */
export interface Term {
  readonly words: string;
  readonly about: About;
  readonly rate: Rating;
}

export const SCORE = {
  code: 100,
  name: 90,
  nameStart: 60,
  nameWord: 40,
  facet: 30,
  text: 10,
  slip: 4,
} as const;
/** A hex finds what lies within a plainly visible but small distance. */
const NEAR_DELTA_E = 10;
/** In vivid colours ten CIEDE2000 can be some forty plain CIELAB units. */
const FAR_IN_LAB = 60;
/** Words that ask nothing: people write questions as they speak. */
const FILLERS: ReadonlySet<string> = new Set(
  'a an and are any do does for got have i in is me my of one or own please some still that the there we which with you'.split(
    ' ',
  ),
);
const HEX = /^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/;
const RGB = /^(?:rgb|hsl|lab|lch|oklch|oklab)\([^()]*\)$/;

export const singular = (word: string): string =>
  word.length > 3 && word.endsWith('s') ? word.slice(0, -1) : word;

/** Words for kinds and forms, as people say them. */
const KIND_WORDS: ReadonlySet<string> = new Set(
  [
    ...KINDS.flatMap((kind) => [
      KIND_DEFINITIONS[kind].name,
      KIND_DEFINITIONS[kind].plural,
      ...formsOfKind(kind).map(({ name }) => name),
    ]),
    'card pen paper',
  ]
    .flatMap((name) => fold(name).split(/[^a-z0-9]+/))
    .filter((word) => word.length > 1)
    .flatMap((word) => [word, singular(word)]),
);

/** Rates a word against the texts: its beginning of a word, plural or not. */
function byText(word: string): Rating {
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

function byHex(hex: string): Rating {
  const wanted = labOf(hex);
  return ({ subject }) => {
    if (!hasColour(subject)) return 0;
    const all = [subject.hex, ...(subject.facts.otherHexes ?? [])];
    const nearest = Math.min(...all.map((each) => nearness(wanted, labOf(each))));
    return nearest > NEAR_DELTA_E ? 0 : SCORE.code * (1 - nearest / (NEAR_DELTA_E * 1.01));
  };
}

const either =
  (...ratings: readonly Rating[]): Rating =>
  (thing) => {
    let best = 0;
    for (const rate of ratings) best = Math.max(best, rate(thing));
    return best;
  };

/** Sides and widths of a thing, µm. */
function measuresOf({ kind, form, facts }: SearchSubject): number[] {
  const sheet = sheetSizeOf({ form, facts });
  const said = KIND_DEFINITIONS[kind].attributes.flatMap(({ id, type }) => {
    const value = facts.attributes?.[id];
    return type === 'length' && typeof value === 'number' ? [value] : [];
  });
  return [...(sheet ? [sheet.widthUm, sheet.heightUm] : []), ...said];
}
/** Sizes are said roughly: within a fortieth, and no finer than half a millimetre. */
const asLong = (said: number, is: number): boolean => Math.abs(said - is) <= Math.max(500, said / 40);

const bySizes =
  (um: readonly number[]): Rating =>
  ({ subject }) => {
    const measures = measuresOf(subject);
    return um.every((each) => measures.some((is) => asLong(each, is))) ? SCORE.facet : 0;
  };

/** What one word asks. */
export function termOf(word: string): Term {
  if (HEX.test(word) || RGB.test(word)) {
    const colour = parseColour(word);
    if (colour.ok) return { words: word, about: 'colour', rate: byHex(colour.hex) };
  }
  const facet = FACETS.get(word) ?? FACETS.get(singular(word));
  const text = byText(word);
  const rate = facet ? either(text, ({ subject }) => (facet(subject) ? SCORE.facet : 0)) : text;
  const isColour = COLOUR_WORDS.has(word) || COLOUR_WORDS.has(singular(word));
  const about = isColour
    ? 'colour'
    : KIND_WORDS.has(word) || KIND_WORDS.has(singular(word))
      ? 'kind'
      : 'word';
  return { words: word, about, rate };
}

const NUMBER = String.raw`\d+(?:[.,]\d+)?(?: \d+\/\d+)?(?:\/\d+)?`;
const UNIT = String.raw`mm|cm|inches|inch|in|m|yards|yd|"|″`;
/** "12 x 12", "4 x 6 in"; sheets without a unit are in inches. */
const SHEET = new RegExp(String.raw`(?<![\w.])(${NUMBER}) ?[x×] ?(${NUMBER}) ?(${UNIT})?(?![\w])`, 'g');
const LENGTH = new RegExp(String.raw`(?<![\w.])(${NUMBER}) ?(${UNIT})(?![\w])`, 'g');
const NUMBERED = /(?<![\w])no\.? ?(\d{1,6})(?!\w)/g;
const CODED_COLOUR = /(?:rgb|hsl|lab|lch|oklch|oklab)\([^()]*\)/g;

const lengthOf = (number: string, unit: string): number | null => {
  const read = parseLength(`${number.replace(',', '.')} ${unit}`);
  return read.ok ? read.um : null;
};

/**
 * Reads a question or a search in plain words: kind, form, finish, size, maker, theme, colour, name, code, number, hex, barcode,
 * in any order. Words that ask nothing are left out. The one reader of what people ask of their stash.
 */
export function readQuestion(question: string): Term[] {
  const terms: Term[] = [];
  const barcode = normaliseBarcode(question);
  if (barcode !== null)
    return [
      {
        words: barcode,
        about: 'code',
        rate: ({ subject: { facts }, ...thing }) =>
          (facts.barcode && normaliseBarcode(facts.barcode) === barcode) || thing.code === fold(question)
            ? SCORE.code
            : 0,
      },
    ];
  /** Takes what a pattern finds out of the text. */
  const take = (text: string, pattern: RegExp, read: (...parts: string[]) => Term | null): string =>
    text.replace(pattern, (whole: string, ...parts: unknown[]) => {
      const term = read(whole, ...parts.map((part) => (typeof part === 'string' ? part : '')));
      if (!term) return whole;
      terms.push(term);
      return ' ';
    });
  let text = fold(question).replace(/[?!;]/g, ' ');
  text = take(text, CODED_COLOUR, (whole) => termOf(whole));
  text = take(text, NUMBERED, (whole, digits = '') => ({
    words: whole,
    about: 'code',
    rate: ({ subject }) => (subject.number === Number(digits) ? SCORE.code : 0),
  }));
  text = take(text, SHEET, (whole, a = '', b = '', unit = '') => {
    const sides = [lengthOf(a, unit || 'in'), lengthOf(b, unit || 'in')];
    return sides.every((side) => side !== null)
      ? { words: whole, about: 'size', rate: bySizes(sides) }
      : null;
  });
  text = take(text, LENGTH, (whole, number = '', unit = '') => {
    const um = lengthOf(number, unit);
    return um === null ? null : { words: whole, about: 'size', rate: bySizes([um]) };
  });
  for (const part of text.split(/[ ,]+/)) {
    const word = part.replace(/^[("']+|[)"'.:]+$/g, '');
    if (word !== '' && !FILLERS.has(word)) terms.push(termOf(word));
  }
  return terms;
}

/** What colour the colour words of a question ask for, as people mean it: lower-case `#rrggbb`, or null where it asks for none. */
export function colourAsked(terms: readonly Term[]): string | null {
  const words = terms.flatMap(({ about, words: said }) => (about === 'colour' ? [said] : []));
  if (words.length === 0) return null;
  const coded = words.find((word) => HEX.test(word) || RGB.test(word));
  const read = coded && parseColour(coded);
  if (read && read.ok) return read.hex;
  // In whatever order they were said: all of them together, else each by itself.
  const hues = words.map(singular).sort();
  const together = [hues, [...hues].reverse()].map((each) => each.join(' '));
  return [...together, ...hues].reduce<string | null>((found, word) => found ?? plainColour(word), null);
}
