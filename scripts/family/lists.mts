import { colornames } from 'color-name-list';
import { lists } from 'color-name-lists';

/** A colour that somebody gave a name speaking for a family. */
export interface Named {
  readonly name: string;
  readonly family: string;
  readonly hex: string;
  /** The word lies between families (beige, khaki): it says less. */
  readonly vague: boolean;
}
export interface NamedList {
  readonly rows: readonly Named[];
  /** How much one of its colours says: surveys of people most, house names of paints least. */
  readonly weight: number;
}
type Entry = Readonly<{ name: string; hex: string; meta?: { category?: string } }>;

const dictionary = (words: Readonly<Record<string, string>>): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(words).flatMap(([family, all]) => all.split(' ').map((word) => [word, family])),
  );

const ENGLISH = dictionary({
  red: 'red crimson scarlet maroon vermilion burgundy',
  orange: 'orange apricot tangerine',
  yellow: 'yellow mustard gold lemon',
  green: 'green olive lime emerald',
  teal: 'teal turquoise aqua cyan aquamarine',
  blue: 'blue navy azure',
  purple: 'purple violet lavender lilac mauve indigo plum',
  pink: 'pink magenta rose fuchsia',
  brown: 'brown chocolate tan beige sienna umber khaki taupe',
  black: 'black',
  grey: 'grey gray slate',
  white: 'white ivory cream',
});
const FRENCH = dictionary({
  red: 'rouge',
  orange: 'orange',
  yellow: 'jaune',
  green: 'vert',
  teal: 'turquoise',
  blue: 'bleu',
  purple: 'violet mauve',
  pink: 'rose',
  brown: 'brun marron beige',
  black: 'noir',
  grey: 'gris',
  white: 'blanc',
});
const GERMAN = dictionary({
  red: 'rot',
  orange: 'orange',
  yellow: 'gelb',
  green: 'grün',
  teal: 'türkis',
  blue: 'blau',
  purple: 'violett lila',
  pink: 'rosa pink',
  brown: 'braun beige',
  black: 'schwarz',
  grey: 'grau',
  white: 'weiß weiss',
});
const SPANISH = dictionary({
  red: 'rojo',
  orange: 'naranja',
  yellow: 'amarillo',
  green: 'verde',
  teal: 'turquesa',
  blue: 'azul',
  purple: 'morado violeta púrpura lila',
  pink: 'rosa rosado',
  brown: 'marrón café pardo beige',
  black: 'negro',
  grey: 'gris',
  white: 'blanco',
});
const CATEGORY = dictionary({
  ...Object.fromEntries(
    'red orange yellow green blue purple pink black grey white'.split(' ').map((w) => [w, w]),
  ),
  brown: 'brown tan',
});

const VAGUE = new Set(['tan', 'beige', 'khaki', 'cream', 'ivory', 'taupe', 'sand']);

const wordsOf = (name: string): string[] =>
  name
    .toLowerCase()
    .replace(/\(.*\)/, '')
    .trim()
    .split(/[\s-]+/);
/** The noun speaks: the last word in English, the first in French and Spanish, the end of the word in German. */
const english = ({ name }: Entry): string | undefined => ENGLISH[wordsOf(name).at(-1) ?? ''];
const first =
  (words: Readonly<Record<string, string>>) =>
  ({ name }: Entry): string | undefined =>
    words[wordsOf(name)[0] ?? ''];
const german = ({ name }: Entry): string | undefined =>
  Object.entries(GERMAN).find(([word]) => name.toLowerCase().endsWith(word))?.[1];
const category = ({ meta }: Entry): string | undefined => CATEGORY[meta?.category ?? ''];

const list = (
  weight: number,
  entries: readonly Entry[],
  familyIn: (entry: Entry) => string | undefined,
): NamedList => ({
  weight,
  rows: entries.flatMap((entry) => {
    const family = familyIn(entry);
    const vague = wordsOf(entry.name).some((word) => VAGUE.has(word));
    return family ? [{ name: entry.name, family, hex: entry.hex, vague }] : [];
  }),
});

/** Every list, by name. */
export const LISTS: Readonly<Record<string, NamedList>> = {
  xkcd: list(1.5, lists.xkcd, english),
  mlmc_english: list(1.5, lists.mlmc_english, english),
  nbsIscc: list(1, lists.nbsIscc, english),
  wikipedia: list(0.7, lists.wikipedia, english),
  ntc: list(0.7, lists.ntc, english),
  ridgway: list(0.4, lists.ridgway, english),
  werner: list(0.4, lists.werner, english),
  sanzoWadaI: list(0.5, lists.sanzoWadaI, english),
  x11: list(0.5, lists.x11, english),
  ral: list(0.3, lists.ral, english),
  thesaurus: list(0.3, lists.thesaurus, category),
  spanish: list(0.4, [...lists.spanish, ...lists.mlmc_spanish], first(SPANISH)),
  german: list(0.3, [...lists.german, ...lists.mlmc_german], german),
  french: list(0.2, [...lists.french, ...lists.mlmc_french], first(FRENCH)),
  colornames: list(0.15, colornames, english),
};

export const FAMILY_WORDS: readonly string[] = [...new Set(Object.values(ENGLISH))];
