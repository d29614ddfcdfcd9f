import { nestIn, type Unit } from '@red-shelf/core';
import { sayNest } from '../../copy/room';
import { Note } from '../../ui/Note';

interface NestNoteProps {
  readonly unit: Pick<Unit, 'model' | 'facts'>;
  /** What it is to stand in; undefined for the room itself. */
  readonly parent: Pick<Unit, 'model' | 'facts' | 'name'> | undefined;
}

/** Says where a unit does not go into what it is to stand in, and by how much. */
export function NestNote({ unit, parent }: NestNoteProps) {
  const answer = parent && nestIn(unit, parent);
  if (!parent || !answer || answer.ok) return null;
  return <Note sort="attention">{sayNest(parent.name, answer)}</Note>;
}
