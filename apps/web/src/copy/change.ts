import type { ChangeView, KeptView, LiftedView } from '@red-shelf/contract';
import { listOf, many } from './words';

/** Added to a message while nobody answers. */
export const sayWaits = ' It is kept here until Red Shelf can be reached.';
export const sayUndone = 'Undone.';

/** What was asked for while nobody answers, and cannot be shown before somebody does. */
export const sayAsked = (change: ChangeView): string =>
  `Not done yet: “${sayChange(change).replace(/\.$/, '')}”. It is kept here, and sent when Red Shelf answers.`;

/** What happened, for the message that offers to undo it. */
export function sayChange({ kind, name: given, count }: ChangeView): string {
  const name = given || 'Something';
  switch (kind) {
    case 'add':
      return `${name} added.`;
    case 'edit':
      return `${name} changed.`;
    case 'remove':
      return count > 1 ? `${many(count, 'supply', 'supplies')} removed.` : `${name} removed.`;
    case 'act':
      return `${name}: noted.`;
    case 'place':
      return count > 1 ? `${many(count, 'thing')} moved.` : `${name} moved.`;
    case 'arrange':
      return count > 0 ? `${name} arranged: ${many(count, 'move')}.` : `${name} arranged.`;
    case 'import':
      return `${many(count, 'supply', 'supplies')} brought in.`;
    case 'restore':
      return `The stash was replaced: ${many(count, 'supply', 'supplies')}.`;
    case 'unit':
      return `${name}: the wall was changed.`;
    case 'batch':
      return `${many(count, 'supply', 'supplies')} changed.`;
    case 'merge':
      return `${name}: two records are one now.`;
    case 'pack':
      return `${name}: ${many(count, 'lot')} added.`;
    case 'record':
      return `${name}: kept.`;
    case 'verdict':
      return `${name}: decided.`;
    case 'let go':
      return `${name} is out of your stash. Its history stays.`;
    case 'lot':
      return `${name}: its size is kept.`;
    case 'undo':
      return sayUndone;
  }
}

const NAMED = 3;
const named = (names: readonly string[]): string => {
  const known = [...new Set(names)];
  const more = known.length - NAMED;
  return listOf(more > 0 ? [...known.slice(0, NAMED), many(more, 'other')] : known);
};

const WHY: Readonly<Record<KeptView[number]['why'], string>> = {
  changed_since: 'was changed since and stays as it is',
  taken: 'has no place: its old one is taken',
  refused: 'has no place: its old one does not take it any more',
  gone: 'is gone and stays so',
  letter_taken: 'got another letter: its own was given away',
};

/** What an undo left as it is, in sentences; empty where it took everything back. */
export function sayKept(kept: KeptView): string {
  const byWhy = new Map<KeptView[number]['why'], string[]>();
  for (const { why, name } of kept) byWhy.set(why, [...(byWhy.get(why) ?? []), name || 'something']);
  return [...byWhy].map(([why, names]) => ` ${named(names)} ${WHY[why]}.`).join('');
}

/** What had to be lifted out of its place, in a sentence; empty where nothing was. */
export const sayLifted = (lifted: LiftedView): string =>
  lifted.length === 0 ? '' : ` Without a place now: ${named(lifted.map(({ name }) => name))}.`;
