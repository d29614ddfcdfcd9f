import { colornames } from 'color-name-list';
import { lists } from 'color-name-lists';
import { CSS, ENGLISH, FRENCH, GERMAN, SPANISH, SURVEYED, type Words } from './words.mts';

/** A colour that somebody gave a name speaking for a family. */
export interface Named {
  readonly name: string;
  readonly family: string;
  readonly hex: string;
  /** The word lies between families (beige, khaki); figures are given with and without these. */
  readonly vague: boolean;
}
export interface NamedList {
  readonly rows: readonly Named[];
  /** How much one of its colours says: surveys of people most, house names of paints least. */
  readonly weight: number;
}
type Entry = Readonly<{ name: string; hex: string; meta?: { category?: string; shade?: string } }>;
type Hear = (entry: Entry) => string | undefined;

const VAGUE = new Set(['tan', 'beige', 'khaki', 'cream', 'ivory', 'taupe', 'sand']);

const wordsOf = (name: string): string[] =>
  name
    .toLowerCase()
    .replace(/\(.*\)/, '')
    .trim()
    .split(/[\s-]+/);

/** The last word speaks, as in English. */
const last =
  (words: Words): Hear =>
  ({ name }) =>
    new Map(words).get(wordsOf(name).at(-1) ?? '');
/** The first word speaks, as in French and Spanish. */
const first =
  (words: Words): Hear =>
  ({ name }) =>
    new Map(words).get(wordsOf(name)[0] ?? '');
/** The end of a word written together speaks, as in German; the longest end that fits. */
const end =
  (words: Words): Hear =>
  ({ name }) =>
    words
      .filter(([word]) => name.toLowerCase().endsWith(word))
      .sort(([a], [b]) => b.length - a.length)[0]?.[1];
/** Greens called yellow and greys called blue-black by their makers, and the like: names of two families. */
const TWO_FAMILIES = /greenyellow|yellowgreen|slategr|darkkhaki|lavenderblush|navajowhite/i;
const css: Hear = (entry) => (TWO_FAMILIES.test(entry.name) ? undefined : end(CSS)(entry));
/** A list that says the family itself. */
const said =
  (of: (entry: Entry) => string | undefined, families: Readonly<Record<string, string>>): Hear =>
  (entry) =>
    families[of(entry) ?? ''];
const CATEGORIES = {
  ...Object.fromEntries(
    'red orange yellow green blue purple pink brown black grey white'.split(' ').map((word) => [word, word]),
  ),
  tan: 'brown',
};
const SHADES = { White: 'white', Blue: 'blue', Green: 'green', Orange: 'orange', Umber: 'brown' };

const rowsOf = (entries: readonly Entry[], hear: Hear): Named[] =>
  entries.flatMap((entry) => {
    const family = hear(entry);
    const vague = wordsOf(entry.name).some((word) => VAGUE.has(word));
    return family ? [{ name: entry.name, family, hex: entry.hex, vague }] : [];
  });
const list = (weight: number, entries: readonly Entry[], hear: Hear): NamedList => ({
  weight,
  rows: rowsOf(entries, hear),
});
const byKey = lists as unknown as Readonly<Record<string, readonly Entry[]>>;

/** Every list, by name. */
export const LISTS: Readonly<Record<string, NamedList>> = {
  xkcd: list(1.5, lists.xkcd, last(ENGLISH)),
  mlmc_english: list(1.5, lists.mlmc_english, last(ENGLISH)),
  mlmc_others: {
    weight: 1,
    rows: Object.entries(SURVEYED).flatMap(([key, [how, words]]) =>
      rowsOf(byKey[key] ?? [], how === 'end' ? end(words) : first(words)),
    ),
  },
  wikipedia: list(0.7, lists.wikipedia, last(ENGLISH)),
  css: list(1, lists.html, css),
  leCorbusier: list(
    0.5,
    lists.leCorbusier,
    said(({ meta }) => meta?.shade, SHADES),
  ),
  nbsIscc: list(0.7, lists.nbsIscc, last(ENGLISH)),
  spanish: list(0.4, [...lists.spanish, ...lists.mlmc_spanish], first(SPANISH)),
  ntc: list(0.5, lists.ntc, last(ENGLISH)),
  sanzoWadaI: list(0.35, lists.sanzoWadaI, last(ENGLISH)),
  ridgway: list(0.28, lists.ridgway, last(ENGLISH)),
  werner: list(0.28, lists.werner, last(ENGLISH)),
  ral: list(0.2, lists.ral, last(ENGLISH)),
  thesaurus: list(
    0.2,
    lists.thesaurus,
    said(({ meta }) => meta?.category, CATEGORIES),
  ),
  german: list(0.2, [...lists.german, ...lists.mlmc_german], end(GERMAN)),
  french: list(0.15, [...lists.french, ...lists.mlmc_french], first(FRENCH)),
  colornames: list(0.1, colornames, last(ENGLISH)),
};

export const FAMILY_WORDS: readonly string[] = [...new Set(ENGLISH.map(([, family]) => family))];
