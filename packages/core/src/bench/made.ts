import type { Supply } from '../stash/supply';
import type { FlatSize, Holding } from '../stash/holding';
import { fold } from '../text/fold';

/** Forms of what was made: whole pieces, and those that were begun. */
const MADE_FORMS = ['made', 'half-made'] as const;

interface Thing extends Pick<Supply, 'form' | 'name' | 'note' | 'facts'> {
  readonly stock: { readonly left: number };
}

/** Shorter words say nothing of a job, and these neither. */
const SHORTEST = 3;
const IDLE_WORDS: ReadonlySet<string> = new Set([
  'the',
  'and',
  'for',
  'with',
  'from',
  'card',
  'cards',
  'made',
]);
/** From so many letters on the beginning of a word is enough: "otter" and "otters". */
const STEM = 4;

const wordsIn = (text: string): string[] =>
  fold(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word.length >= SHORTEST && !IDLE_WORDS.has(word));

const isAlike = (a: string, b: string): boolean =>
  a === b || (Math.min(a.length, b.length) >= STEM && (a.startsWith(b) || b.startsWith(a)));

/** Made and half-made pieces that share a word with a job, in name, theme, tags or note; the whole ones first. Things times words. */
export function madeFor<T extends Thing>(job: string, things: readonly T[]): T[] {
  const words = wordsIn(job);
  const shares = ({ name, note, facts }: T): boolean => {
    const theme = facts.attributes?.theme;
    const said = wordsIn(
      [name, note, typeof theme === 'string' ? theme : '', ...(facts.tags ?? [])].join(' '),
    );
    return words.some((word) => said.some((each) => isAlike(word, each)));
  };
  return MADE_FORMS.flatMap((made) =>
    things.filter((thing) => thing.form === made && thing.stock.left > 0 && shares(thing)),
  );
}

/** Cut to this much a base is of the size that is wanted, µm. */
const SAME_UM = 500;

/** How many of a panel are cut already and lie there as bases, turned where they may be. */
export function cutAlready(
  panel: FlatSize & { readonly mayTurn?: boolean },
  lots: readonly Pick<Holding, 'as' | 'items' | 'sizeUm'>[],
): number {
  const is = (a: number, b: number): boolean => Math.abs(a - b) <= SAME_UM;
  const fits = ({ widthUm, heightUm }: FlatSize): boolean =>
    (is(widthUm, panel.widthUm) && is(heightUm, panel.heightUm)) ||
    (panel.mayTurn !== false && is(widthUm, panel.heightUm) && is(heightUm, panel.widthUm));
  return lots.reduce(
    (sum, { as, items, sizeUm }) => sum + (as === 'base' && sizeUm && fits(sizeUm) ? Math.max(0, items) : 0),
    0,
  );
}
