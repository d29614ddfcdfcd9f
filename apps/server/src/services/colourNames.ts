import { fold } from '@red-shelf/core';
import type { ColourName } from '@red-shelf/contract';
import { colornames } from 'color-name-list';
import { breathe, chunks } from '../db/tx';

interface Known extends ColourName {
  readonly folded: string;
}

/** Some thirty thousand names of colours. */
export interface ColourNames {
  /** The colours that are called just so, in the order asked; names that are no colour's are left out. */
  readonly called: (asked: readonly string[]) => ColourName[];
  /** Colour names that hold all the words, those that begin with them first, short ones before long ones; else all but the first word. */
  readonly suggest: (query: string) => ColourName[];
}
let prepared: Promise<ColourNames> | undefined;

/** The names, folded when first asked for, letting others have their turn. */
export const colourNames = (): Promise<ColourNames> => (prepared ??= prepare());

/** So many names are folded at a stretch. */
const AT_ONCE = 500;
const MOST = 8;

async function prepare(): Promise<ColourNames> {
  const names: Known[] = [];
  const byName = new Map<string, ColourName>();
  for (const some of chunks(colornames, AT_ONCE)) {
    for (const { name, hex } of some) {
      const folded = ` ${fold(name)}`;
      names.push({ name, hex, folded });
      byName.set(folded, { name, hex });
    }
    await breathe();
  }
  const suggest = (query: string): ColourName[] => {
    const words = fold(query).split(' ').filter(Boolean);
    if (words.length === 0) return [];
    const found = holding(names, words);
    // Nobody has named a pale salmon pink, but salmon pink somebody has.
    return found.length === 0 ? suggest(words.slice(1).join(' ')) : found;
  };
  return { called: (asked) => asked.flatMap((name) => byName.get(` ${fold(name)}`) ?? []), suggest };
}

function holding(names: readonly Known[], words: readonly string[]): ColourName[] {
  const whole = ` ${words.join(' ')}`;
  const rank = ({ folded }: Known): number => (folded === whole ? 0 : folded.startsWith(whole) ? 1 : 2);
  return names
    .filter(({ folded }) => words.every((word) => folded.includes(` ${word}`)))
    .sort((p, q) => rank(p) - rank(q) || p.name.length - q.name.length || p.name.localeCompare(q.name))
    .slice(0, MOST)
    .map(({ name, hex }) => ({ name, hex }));
}
