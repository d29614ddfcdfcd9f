import { fold } from '@red-shelf/core';
import type { ColourName } from '@red-shelf/contract';
import { colornames } from 'color-name-list';
import { breathe, chunks } from '../db/tx';

interface Known extends ColourName {
  readonly folded: string;
}
let prepared: readonly Known[] | undefined;

/** Some thirty thousand names, folded when first asked for. */
const names = (): readonly Known[] =>
  (prepared ??= colornames.map(({ name, hex }) => ({ name, hex, folded: ` ${fold(name)}` })));

/** So many names are folded at a stretch. */
const AT_ONCE = 500;

/** Has the names ready before they are first asked for, letting others have their turn. */
export async function prepareNames(): Promise<void> {
  const ready: Known[] = [];
  for (const some of chunks(colornames, AT_ONCE)) {
    for (const { name, hex } of some) ready.push({ name, hex, folded: ` ${fold(name)}` });
    await breathe();
  }
  prepared ??= ready;
}

let byName: ReadonlyMap<string, ColourName> | undefined;

/** The colours that are called just so, in the order asked; names that are no colour's are left out. */
export function coloursCalled(asked: readonly string[]): ColourName[] {
  byName ??= new Map(names().map(({ folded, name, hex }) => [folded, { name, hex }]));
  return asked.flatMap((name) => byName?.get(` ${fold(name)}`) ?? []);
}

const MOST = 8;

/** Colour names that hold all the words, those that begin with them first, short ones before long ones; else all but the first word. */
export function suggestColours(query: string): ColourName[] {
  const words = fold(query).split(' ').filter(Boolean);
  if (words.length === 0) return [];
  const found = holding(words);
  // Nobody has named a pale salmon pink, but salmon pink somebody has.
  return found.length === 0 ? suggestColours(words.slice(1).join(' ')) : found;
}

function holding(words: readonly string[]): ColourName[] {
  const whole = ` ${words.join(' ')}`;
  const rank = ({ folded }: Known): number => (folded === whole ? 0 : folded.startsWith(whole) ? 1 : 2);
  return names()
    .filter(({ folded }) => words.every((word) => folded.includes(` ${word}`)))
    .sort((p, q) => rank(p) - rank(q) || p.name.length - q.name.length || p.name.localeCompare(q.name))
    .slice(0, MOST)
    .map(({ name, hex }) => ({ name, hex }));
}
