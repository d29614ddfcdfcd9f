import type { ChangeView } from '@red-shelf/contract';
import { many } from './words';

/** What happened, for the message that offers to undo it. */
export function sayChange({ kind, name, count }: ChangeView): string {
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
      return `${name} moved.`;
    case 'arrange':
      return `${name} arranged: ${many(count, 'move')}.`;
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
    case 'undo':
      return 'Undone.';
  }
}
