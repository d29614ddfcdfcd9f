import type { Supply } from '../stash/supply';
import type { Stock } from '../stock/stock';
import { parseColour } from '../colour/parse';
import { sayDifference, type SaidDifference } from '../colour/sayDifference';
import { ciede2000, labOf } from '../colour/lab';
import { fold } from '../text/fold';
import { colourPhrase, type Coloured } from './facets';
import { sameManner } from '../stash/swatch';
import type { Ground, Made } from '../stash/swatchSchema';
import { distance } from 'fastest-levenshtein';
import { normaliseBarcode } from './barcode';

/** A supply as the question "do I own it?" sees it. */
export type Owned = Pick<Supply, 'id' | 'name' | 'maker' | 'range' | 'code' | 'hex' | 'facts'> &
  Partial<Pick<Supply, 'number' | 'familyOverride'>> & {
    readonly kind: string;
    readonly stock: Pick<Stock, 'items' | 'left'>;
  };

/** Why a supply answers the question. */
export type OwnReason =
  | { readonly sort: 'exact'; readonly by: 'name' | 'code' | 'barcode' | 'number' }
  | { readonly sort: 'near name' }
  /** It is what a plain phrase for a colour means. */
  | { readonly sort: 'so called' }
  /** `plain`: it was to be compared like with like, and has no swatch made that way. */
  | { readonly sort: 'near colour'; readonly difference: SaidDifference; readonly plain?: true };
export interface OwnAnswer<T> {
  readonly item: T;
  readonly reason: OwnReason;
}

/** Colours further away than this are no answer. */
const NEAR_COLOUR = 8;
const MOST_NEAR = 12;
const MOST_OF_A_KIND = 4;

const RANK: Readonly<Record<OwnReason['sort'], number>> = {
  exact: 0,
  'so called': 1,
  'near name': 2,
  'near colour': 3,
};
const worth = ({ reason }: OwnAnswer<unknown>): number =>
  RANK[reason.sort] * 1000 + (reason.sort === 'near colour' ? reason.difference.deltaE : 0);

const initials = (text: string): string => fold(text).replace(/[^a-z0-9 ]/g, '');

function nearName(asked: string, name: string): boolean {
  if (asked.length < 4) return false;
  if (name.includes(asked)) return true;
  const sortWords = (text: string) => text.split(' ').sort().join(' ');
  return (
    Math.min(distance(asked, name), distance(sortWords(asked), sortWords(name))) <=
    Math.floor(asked.length / 5)
  );
}

/** The colour of a supply to compare with: like with like when a manner is asked, else its own. */
function colourOf(
  { hex, facts }: Owned,
  manner?: { made: Made; ground: Ground },
): { seen: string; plain: boolean } {
  const like = manner && facts.swatches?.find((swatch) => sameManner(swatch, manner));
  return { seen: like?.hex ?? hex, plain: manner !== undefined && like === undefined };
}

/**
 * "Do I own it?" – from a name, a code, a barcode, a number (`no. 42`) or a hex: exact answers first,
 * then near names, then near colours with the difference in words. An empty list is a "no".
 */
export function ownIt<T extends Owned>(
  question: string,
  owned: readonly T[],
  manner?: { made: Made; ground: Ground },
): OwnAnswer<T>[] {
  const asked = initials(question);
  const colour = /^#|^[0-9a-f]{6}$|^rgb/i.test(question.trim()) ? parseColour(question) : null;
  if (colour?.ok) return nearColours(colour.hex, owned, manner);
  if (asked === '') return [];
  const barcode = normaliseBarcode(question);
  const numbered = Number(/^no\.?\s*(\d{1,6})$/i.exec(question.trim())?.[1] ?? 0);
  const answers = owned.flatMap((item): OwnAnswer<T>[] => {
    const name = initials(item.name);
    const exact = (by: 'name' | 'code' | 'barcode' | 'number'): OwnAnswer<T>[] => [
      { item, reason: { sort: 'exact', by } },
    ];
    if (barcode && item.facts.barcode && normaliseBarcode(item.facts.barcode) === barcode)
      return exact('barcode');
    if (numbered && item.number === numbered) return exact('number');
    if (item.code !== '' && initials(item.code) === asked) return exact('code');
    const known = [
      name,
      `${initials(item.maker)} ${name}`,
      `${initials(item.range)} ${name}`,
      `${name} ${initials(item.code)}`,
    ];
    if (known.includes(asked)) return exact('name');
    return nearName(asked, name) ? [{ item, reason: { sort: 'near name' } }] : [];
  });
  return answers.sort((p, q) => worth(p) - worth(q));
}

/** An owned thing, and how far the colour it is seen in is. */
interface Near<T> {
  readonly item: T;
  readonly seen: string;
  readonly plain: boolean;
  readonly deltaE: number;
}
const nearReason = (hex: string, { seen, plain }: Near<unknown>): OwnReason => ({
  sort: 'near colour',
  difference: sayDifference(hex, seen),
  ...(plain ? { plain } : {}),
});

/** Owned things that are what a plain phrase such as "pale green" means, those with something left first; null where it is none. */
export function soCalled<T extends Owned & Coloured>(
  question: string,
  owned: readonly T[],
): OwnAnswer<T>[] | null {
  const phrase = colourPhrase(question);
  if (!phrase) return null;
  const found = owned.filter(phrase);
  const isLeft = ({ stock }: T): boolean => stock.left > 0;
  return [...found.filter(isLeft), ...found.filter((item) => !isLeft(item))].map((item) => ({
    item,
    reason: { sort: 'so called' },
  }));
}

/** Every owned thing as far as it is from a colour, the nearest first; equally near ones by id. */
function byDistance<T extends Owned>(
  hex: string,
  owned: readonly T[],
  manner?: { made: Made; ground: Ground },
): Near<T>[] {
  const wanted = labOf(hex);
  return owned
    .filter(({ familyOverride }) => familyOverride !== 'none')
    .map((item) => ({ item, ...colourOf(item, manner) }))
    .map((each) => ({ ...each, deltaE: ciede2000(wanted, labOf(each.seen)) }))
    .sort((p, q) => p.deltaE - q.deltaE || (p.item.id < q.item.id ? -1 : 1));
}

/** Owned things near a colour, the nearest first; of several kinds a few of each, so that none crowds out another. */
export function nearColours<T extends Owned>(
  hex: string,
  owned: readonly T[],
  manner?: { made: Made; ground: Ground },
): OwnAnswer<T>[] {
  const near = byDistance(hex, owned, manner).filter(({ deltaE }) => deltaE <= NEAR_COLOUR);
  const most = new Set(near.map(({ item }) => item.kind)).size > 1 ? MOST_OF_A_KIND : MOST_NEAR;
  const taken = new Map<string, number>();
  return near
    .filter(({ item: { kind } }) => {
      const nth = (taken.get(kind) ?? 0) + 1;
      taken.set(kind, nth);
      return nth <= most;
    })
    .map((each) => ({ item: each.item, reason: nearReason(hex, each) }));
}

/** For every kind with nothing near a colour, the nearest there is of it, however far: what could stand in. */
export function nearestElse<T extends Owned>(
  hex: string,
  owned: readonly T[],
  manner?: { made: Made; ground: Ground },
): OwnAnswer<T>[] {
  const first = new Map<string, Near<T>>();
  for (const each of byDistance(hex, owned, manner))
    if (!first.has(each.item.kind)) first.set(each.item.kind, each);
  return [...first.values()]
    .filter(({ deltaE }) => deltaE > NEAR_COLOUR)
    .map((each) => ({ item: each.item, reason: nearReason(hex, each) }));
}
