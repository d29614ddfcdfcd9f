import { hasColour, type Family } from '../colour/families';
import { familyOf } from '../colour/family';
import { chromaOf, labOf, type Lab } from '../colour/lab';
import { isLow, isUnused } from '../stock/usage';
import type { SearchSubject } from './subject';

/** Plain words that mean something measurable, and what they ask of a supply. */
type Facet = (subject: SearchSubject) => boolean;
/** What is asked of a supply to know how its colour is called. */
export type Coloured = Pick<SearchSubject, 'hex' | 'family' | 'facts'>;
type ColourFacet = (subject: Coloured) => boolean;

const looks =
  (test: (lab: Lab, chroma: number) => boolean): ColourFacet =>
  (thing) => {
    const lab = labOf(thing.hex);
    return hasColour(thing) && test(lab, chromaOf(lab));
  };
const pale = looks((lab) => lab.l >= 72);
const dark = looks((lab) => lab.l <= 42);
const vivid = looks((_, chroma) => chroma >= 55);
const muted = looks((lab, chroma) => chroma >= 5 && chroma <= 34 && lab.l < 85);

const inFamily =
  (...families: readonly Family[]): ColourFacet =>
  ({ family, facts }) =>
    families.includes(family) ||
    (facts.otherHexes ?? []).some((hex) => families.includes(familyOf(hex).family));
const both =
  <S>(...facets: readonly ((subject: S) => boolean)[]) =>
  (subject: S): boolean =>
    facets.every((facet) => facet(subject));

const MM = 1000;
const WIDE_UM = 25 * MM;
const NARROW_UM = 10 * MM;
const width = ({ facts }: SearchSubject): number | null => {
  const said = facts.attributes?.width;
  return typeof said === 'number' ? said : null;
};
const wide: Facet = (subject) => (width(subject) ?? 0) >= WIDE_UM;
const narrow: Facet = (subject) => (width(subject) ?? Infinity) <= NARROW_UM;

const colours: readonly [words: string, facet: ColourFacet][] = [
  ['pale light pastel', pale],
  ['dark deep', dark],
  ['bright vivid strong neon', vivid],
  ['muted dull dusty soft', muted],
  ['mid medium', looks((lab) => lab.l > 42 && lab.l < 72)],
  ['red scarlet crimson', inFamily('red')],
  ['orange', inFamily('orange')],
  ['yellow', inFamily('yellow')],
  ['green', inFamily('green')],
  ['teal turquoise aqua cyan', inFamily('teal')],
  ['blue', inFamily('blue')],
  ['navy', both(inFamily('blue'), dark)],
  ['purple violet lilac lavender mauve', inFamily('purple')],
  ['pink magenta', inFamily('pink')],
  ['brown', inFamily('brown')],
  ['beige tan', both(inFamily('brown', 'white'), pale)],
  ['maroon burgundy', both(inFamily('red', 'brown', 'purple'), dark)],
  ['black', inFamily('black')],
  ['grey gray', inFamily('grey')],
  ['white cream ivory', inFamily('white')],
  ['neutral', inFamily('black', 'grey', 'white')],
  ['metallic gold silver copper', inFamily('metallic')],
];

const entries: readonly [words: string, facet: Facet][] = [
  ...colours,
  ['wide', wide],
  ['narrow thin', narrow],
  ['unplaced homeless', ({ addresses }) => addresses.length === 0],
  ['placed', ({ addresses }) => addresses.length > 0],
  ['low', ({ stock }) => isLow(stock)],
  ['out empty', ({ stock }) => stock.state === 'out'],
  ['unused', isUnused],
  ['unopened', both<SearchSubject>(isUnused, ({ facts }) => !facts.openedOn)],
  ['opened', ({ facts, stock }) => facts.openedOn !== undefined || !isUnused({ stock })],
  ['reserved', ({ keptFor = [] }) => keptFor.length > 0],
  ['collection', ({ facts }) => facts.collection === true],
  ['swatched', ({ facts }) => (facts.swatches ?? []).length > 0],
  ['unswatched', ({ facts }) => (facts.swatches ?? []).length === 0],
  ['untagged', ({ facts }) => (facts.tags ?? []).length === 0],
];

/** Facets by the word that asks for them. */
export const FACETS: ReadonlyMap<string, Facet> = new Map(
  entries.flatMap(([words, facet]) => words.split(' ').map((word) => [word, facet] as const)),
);

/** Words that ask for a colour: a family, or how light or strong it is. */
export const COLOUR_WORDS: ReadonlyMap<string, ColourFacet> = new Map(
  colours.flatMap(([words, facet]) => words.split(' ').map((word) => [word, facet] as const)),
);
