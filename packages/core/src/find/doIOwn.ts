import { plainColour } from '../colour/parse';
import { inStash } from '../stash/standing';
import { fold } from '../text/fold';
import { normaliseBarcode } from './barcode';
import { nearColours, type Manner } from './nearColours';
import { isOwned, isSame, type Owned, type OwnAnswer, type OwnReason } from './ownAnswer';
import { colourAsked, readQuestion, singular, type Term } from './question';
import { answering, type Found } from './stashSearch';
import { searchable, type Searchable } from './subject';

export interface OwnOptions<T> {
  /** Compares swatches made so, on such a ground; each thing's own colour where left out. */
  readonly manner?: Manner | undefined;
  /** What a name of a colour means, `#rrggbb`, beyond the plain words that are known here; null for what is none. */
  readonly colourCalled?: ((name: string) => string | null) | undefined;
  /** A thing prepared for searching, where that was done before. */
  readonly prepared?: ((item: T) => Searchable<T>) | undefined;
}
export interface OwnVerdict<T> {
  /** `yes`: there is something of just that; `not quite`: used up, nearly called so, or near in colour; else `no`. */
  readonly verdict: 'yes' | 'not quite' | 'no';
  readonly answers: OwnAnswer<T>[];
  /** What comes nearest in colour of the kind that was asked for, further off than an answer. */
  readonly nearest: OwnAnswer<T>[];
}

const plainly = (text: string): string =>
  fold(text)
    .replace(/[^a-z0-9 ]/g, '')
    .trim();

/** How a thing is just what was typed, by its barcode, number, code or name; null where it is not. */
function exactly({ name, maker, range, code, number, facts }: Owned, question: string): OwnReason | null {
  const asked = plainly(question);
  if (asked === '') return null;
  const by = (what: 'name' | 'code' | 'barcode' | 'number'): OwnReason => ({ sort: 'exact', by: what });
  const barcode = normaliseBarcode(question);
  if (barcode !== null && facts.barcode && normaliseBarcode(facts.barcode) === barcode) return by('barcode');
  const numbered = /^no\.?\s*(\d{1,6})$/i.exec(question.trim())?.[1];
  if (numbered !== undefined && number === Number(numbered)) return by('number');
  if (code !== '' && plainly(code) === asked) return by('code');
  const own = plainly(name);
  const known = [own, `${plainly(maker)} ${own}`, `${plainly(range)} ${own}`, `${own} ${plainly(code)}`];
  return known.includes(asked) ? by('name') : null;
}

/** Whether a thing that answers every word is all that was asked, or only bears a part of its name. */
function byWords<T>({ thing, terms, slip }: Found<T>): OwnReason {
  const rest = thing.text.slice(thing.name.length);
  const beginsIn = (text: string, { words }: Term): boolean => text.includes(` ${singular(words)}`);
  const nameOnly = terms.filter(
    (term) => term.about === 'word' && beginsIn(thing.name, term) && !beginsIn(rest, term),
  );
  if (nameOnly.length === 0) return { sort: 'words' };
  const whole = thing.name
    .trim()
    .split(' ')
    .every((word) => terms.some(({ words }) => word.startsWith(singular(words))));
  return whole && !slip ? { sort: 'words' } : { sort: 'near name' };
}

const RANK: Readonly<Record<OwnReason['sort'], number>> = {
  exact: 0,
  words: 1,
  'near name': 2,
  'near colour': 3,
};

function verdictOf<T extends Owned>(answers: readonly OwnAnswer<T>[]): OwnVerdict<T>['verdict'] {
  if (answers.some((answer) => isSame(answer) && isOwned(answer.item))) return 'yes';
  return answers.length > 0 ? 'not quite' : 'no';
}

/** Things of the kind that was asked for, in whatever else they differ; those that answer more of the question first. */
function ofKindAsked<T>(things: readonly Searchable<T>[], terms: readonly Term[]): T[] {
  const ofKind = answering(
    things,
    terms.filter(({ about }) => about === 'kind'),
  ).map(({ thing }) => thing);
  const others = terms.filter(({ about }) => about !== 'colour' && about !== 'kind');
  const answered = (thing: Searchable<T>): number => others.filter(({ rate }) => rate(thing) > 0).length;
  return ofKind
    .map((thing) => ({ thing, more: answered(thing) }))
    .sort((p, q) => q.more - p.more)
    .map(({ thing }) => thing.item);
}

const nameIn = (terms: readonly Term[]): string =>
  terms.flatMap(({ about, words }) => (about === 'word' || about === 'colour' ? [words] : [])).join(' ');

/** The plain colour a name means, also said the wrong way round: "green fern" is "fern green". */
function plainlyCalled(terms: readonly Term[]): string | null {
  const words = (about: Term['about']): Term[] => terms.filter((term) => term.about === about);
  return plainColour(nameIn(terms)) ?? plainColour(nameIn([...words('word'), ...words('colour')]));
}

/** What of a question may be the name of a colour, without the words for what it comes as; empty where nothing is. */
export const colourNameAsked = (question: string): string => nameIn(readQuestion(question));

/** The colour a question asks for, by a code (`#4c9a52`, `rgb(…)`) or in plain words, `#rrggbb`; null where it asks for none. */
export function hexAsked(question: string): string | null {
  const terms = readQuestion(BARE_HEX.test(question.trim()) ? `#${question.trim()}` : question);
  const coded = codedIn(terms);
  return coded ? colourAsked([coded]) : (plainlyCalled(terms) ?? colourAsked(terms));
}
const codedIn = (terms: readonly Term[]): Term | undefined =>
  terms.find(({ about, words }) => about === 'colour' && /^(#|[a-z]+\()/.test(words));

/** Six digits of a hex without its sign; a word of such letters is none. */
const BARE_HEX = /^(?=.*\d)[0-9a-f]{6}$/i;

/**
 * "Do I own it?": reads a question in plain words, as the stash search does (kind, form, finish, size, maker, theme, colour, name,
 * code, number, hex, barcode, in any order, a slip forgiven), and answers it of what is owned. `no` only where nothing of the kind
 * asked for is within a clear step of the colour asked for (8 CIEDE2000); then `nearest` says what comes nearest. What was let go is
 * not owned; what is used up is `not quite`. An empty question is a `no`. n log n.
 */
export function doIOwn<T extends Owned>(
  question: string,
  owned: readonly T[],
  { manner, colourCalled, prepared }: OwnOptions<T> = {},
): OwnVerdict<T> {
  const here = owned.filter(inStash);
  const exact = here.flatMap((item): OwnAnswer<T>[] => {
    const reason = exactly(item, question);
    return reason ? [{ item, reason }] : [];
  });
  const bare = exact.length === 0 && BARE_HEX.test(question.trim());
  const terms = readQuestion(bare ? `#${question.trim()}` : question);
  if (terms.length === 0) return { verdict: 'no', answers: [], nearest: [] };
  const things = here.map(
    (item) => prepared?.(item) ?? searchable(item, { ...item, addresses: item.addresses ?? [] }),
  );
  const coded = codedIn(terms);
  const answers = new Map(exact.map((answer) => [answer.item.id, answer]));
  if (!coded)
    for (const found of answering(things, terms)) {
      const { item } = found.thing;
      if (!answers.has(item.id)) answers.set(item.id, { item, reason: byWords(found) });
    }
  const inOrder = (): OwnAnswer<T>[] =>
    [...answers.values()].sort(
      (p, q) =>
        RANK[p.reason.sort] - RANK[q.reason.sort] || Number(isOwned(q.item)) - Number(isOwned(p.item)),
    );
  const known = inOrder();
  if (known.some(isSame) && !coded) return { verdict: verdictOf(known), answers: known, nearest: [] };
  const name = nameIn(terms);
  const called = plainlyCalled(terms) ?? (name === '' ? null : (colourCalled?.(name) ?? null));
  const hex = coded ? colourAsked([coded]) : (called ?? colourAsked(terms));
  if (hex === null) return { verdict: verdictOf(known), answers: known, nearest: [] };
  const { near, further } = nearColours(hex, ofKindAsked(things, terms), manner);
  const also = near.filter(({ item }) => !answers.has(item.id));
  const all = [...known, ...also];
  return { verdict: verdictOf(all), answers: all, nearest: further };
}
