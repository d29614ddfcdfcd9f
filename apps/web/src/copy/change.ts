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
      return `${name} removed.`;
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
    case 'undo':
      return 'Undone.';
  }
}
